import { expect, test } from "vitest";
import { PLAIN_READING } from "../reading/settings";
import type { SlipKind } from "../reading/slip";
import { readAnswerDraft } from "./read-answer-draft";
import type { OpenTask } from "./task-changes";

// A boatyard and the mill that it buys from.
const person = (address: string, name: string) => ({ id: address, name, address });
const rosa = person("rosa@yard.example", "Rosa Beck");
const piet = person("piet@yard.example", "Piet Holm");
const ada = person("ada@mill.example", "Ada Lund");
const people = { team: [rosa, piet], outside: [ada] };
/** Tuesday 24 November 2026. */
const now = { at: Date.parse("2026-11-24T11:20:00Z"), zone: "Europe/London" };
const task = (id: string, title: string, passage: string, owner: string, kind: SlipKind, asker: string): OpenTask => ({
  id,
  conversationId: "c",
  title,
  passage,
  kind,
  owner,
  asker,
  due: null,
  askedAt: 0,
  isOver: false,
});
const open = [
  task(
    "drawing",
    "Send Ada the drawing",
    "Could you send us the drawing of the mast?",
    rosa.address,
    "ask",
    ada.address,
  ),
  task("oak", "Oak planks", "I will send the oak planks on Friday.", ada.address, "promise", rosa.address),
];
const read = (text: string, tasks = open) =>
  readAnswerDraft({ from: rosa, to: [ada], cc: [], subject: "Re: Mast", text }, tasks, people, now, PLAIN_READING).map(
    (slip) => ("changes" in slip ? [slip.changes.change, slip.changes.taskId, slip.due?.day ?? null] : [slip.kind]),
  );

test("what one's own answer says of open tasks changes them, with its day; what it asks anew stays", () => {
  expect(read("Dear Ada,\n\nthe drawing of the mast is attached.\n\nRosa")).toEqual([["done", "drawing", null]]);
  expect(read("I'm sorry, the drawing will be Monday instead.")).toEqual([
    [expect.stringMatching(/^(?:moved|promised)$/), "drawing", "2026-11-30"],
  ]);
  expect(read("We no longer need the oak planks.")).toEqual([["called off", "oak", null]]);
  expect(read("I sent you the drawing this morning. Could you also weigh the anchor for us?")).toEqual([
    ["done", "drawing", null],
    ["ask"],
  ]);
});

test("without open tasks it is read as any letter of one's own", () => {
  expect(read("I will ring the carrier tomorrow.", [])).toEqual([["promise"]]);
  expect(read("Thank you for your letter.")).toEqual([]);
});
