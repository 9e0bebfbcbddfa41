import { expect, test } from "vitest";
import { PLAIN_WEEK } from "../time/day";
import { bringTaskBack, isOnShelf, putConversationBy, putTaskBy, SHELF } from "./decisions/put-by";
import { readPutBy } from "./read-put-by";

const NOW = "2026-11-24T11:20:00.000Z";
const FROM = { at: Date.parse(NOW), zone: "Europe/London" };
const read = (line: string) => {
  const understood = readPutBy(line, FROM, PLAIN_WEEK, "dmy");
  return understood.kind === "until" ? new Date(understood.at).toISOString() : understood.kind;
};

test("until when something is put by: a day is its morning, a time is that time, the shelf is no day", () => {
  expect(read("thursday")).toBe("2026-11-26T08:00:00.000Z");
  expect(read("next monday at 14:00")).toBe("2026-11-30T14:00:00.000Z");
  expect(read("in 2 hours")).toBe("2026-11-24T13:20:00.000Z");
  expect(read("an hour")).toBe("2026-11-24T12:20:00.000Z");
  expect(read("the shelf")).toBe("shelf");
  expect(read("sometime or other")).toBe("not understood");
  // Half past two on the night the clocks go back in London is there twice: the earlier one.
  const before = { at: Date.parse("2026-10-20T09:00:00Z"), zone: "Europe/London" };
  const night = readPutBy("25 October 01:30", before, PLAIN_WEEK, "dmy");
  expect(night).toEqual({ kind: "until", at: Date.parse("2026-10-25T00:30:00Z") });
});

test("put by it is out of sight with its day; past moments and finished tasks are refused", () => {
  const conversation = { conversationId: "c", place: "sort" as const, slips: [], actorId: "ines" };
  expect(putConversationBy(conversation, { until: "2026-11-26T08:00:00.000Z" }, NOW)).toMatchObject({
    writes: [{ row: "conversation", values: { place: "put by", putUntil: "2026-11-26T08:00:00.000Z" } }],
  });
  expect(putConversationBy(conversation, { until: null }, NOW)).toMatchObject({
    writes: [{ values: { putUntil: SHELF } }],
  });
  expect(putConversationBy(conversation, { until: NOW }, NOW)).toMatchObject({ ok: false });
  const task = {
    id: "t",
    about: ["t"],
    reference: "quince 417",
    state: "to begin" as const,
    holding: { ownerId: null, chain: [] },
    actorId: "ines",
    doerId: "ines",
    ownerName: null,
  };
  expect(putTaskBy(task, { until: null }, NOW)).toMatchObject({ ok: true });
  expect(putTaskBy({ ...task, state: "done" }, { until: null }, NOW)).toMatchObject({ ok: false });
  expect(bringTaskBack(task, NOW)).toMatchObject({ writes: [{ values: { putUntil: null, returnedAt: NOW } }] });
  expect([isOnShelf(SHELF), isOnShelf(NOW), isOnShelf(null)]).toEqual([true, false, false]);
});
