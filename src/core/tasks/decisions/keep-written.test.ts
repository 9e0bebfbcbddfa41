import { expect, test } from "vitest";
import type { Owner } from "../task";
import { keepWritten, type WrittenSlip } from "./keep-written";

const NOW = "2026-11-24T11:20:00.000Z";
const slip = (more: Partial<WrittenSlip> = {}): WrittenSlip => ({
  kind: "ask",
  title: "Send the varnish",
  start: 4,
  end: 20,
  due: null,
  priority: "normal",
  ...more,
});
const IN = { outgoingId: "o", conversationId: null, projectId: "p", actorId: "ines", textLength: 40 };
const keep = (slips: readonly WrittenSlip[], owner: Owner) =>
  keepWritten(
    slips,
    slips.map((_, i) => ({ id: `t${i}`, number: 300 + i, owner })),
    IN,
    NOW,
  );

test("what is asked of people outside is waited for by the writer, the rest has its owner; all stand on the letter", () => {
  const outside = keep([slip()], { side: "theirs", correspondentId: "mill" });
  expect(outside).toMatchObject({
    ok: true,
    writes: [{ id: "t0", values: { side: "theirs", theirsId: "mill", ownerId: "ines", outgoingId: "o", start: 4 } }],
  });
  const ours = keep([slip(), slip({ kind: "promise", start: 20, end: 40 })], { side: "ours", personId: "rosa" });
  expect(ours).toMatchObject({
    ok: true,
    writes: [
      { id: "t0", values: { side: "ours", ownerId: "rosa", projectId: "p", number: 300 } },
      { id: "t1", values: { kind: "promise", number: 301, letterId: null } },
    ],
  });
});

test.each([
  ["a title of white space", { title: "  " }],
  ["words beyond the letter's end", { end: 41 }],
  ["words that end before they begin", { start: 9, end: 9 }],
  ["a day that does not exist", { due: { day: "2026-02-30", time: null, zone: "Europe/London" } }],
])("%s keeps nothing, and the reason is said", (_what, more) => {
  const answer = keep([slip(), slip(more)], { side: "ours", personId: null });
  expect(answer).toMatchObject({ ok: false });
  expect(answer).not.toHaveProperty("writes");
  expect((answer as { why: string }).why).toMatch(/\.$/);
});
