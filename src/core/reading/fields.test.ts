import { describe, expect, test } from "vitest";
import { findDates } from "../time/dates-in-words";
import { PLAIN_WEEK } from "../time/day";
import { dueOf } from "./due";
import { namedIn } from "./kind-rule";
import { calledAt, callsSeveral, greetedIn } from "./owner";
import { priorityOf, saysHowUrgent } from "./priority";
import type { SlipKind } from "./slip";
import { titleOf } from "./title";

const person = (name: string, ...nicknames: string[]) => ({
  id: name,
  name,
  address: `${name.split(" ")[0]!.toLowerCase()}@yard.example`,
  nicknames,
});
const rosa = person("Rosa Beck");
const piet = person("Piet Holm", "Pete");
const otherPiet = person("Piet Vos");
const fenna = person("Fenna Dahl");

/** Wednesday 4 March 2026. */
const wednesday = { at: Date.parse("2026-03-04T09:00:00Z"), zone: "+00:00" };
const due = (text: string, kind: SlipKind = "ask") =>
  dueOf(kind, text, findDates(text, wednesday, PLAIN_WEEK))?.day ?? null;

describe("people", () => {
  test("are known by first name, whole name, nickname and title, as whole words", () => {
    expect(namedIn("Could Pete and Rosa Beck help Mr Holm?", [rosa, piet]).map(({ person: one }) => one.name)).toEqual([
      "Piet Holm",
      "Rosa Beck",
      "Piet Holm",
    ]);
    expect(namedIn("The rosary is in rosa's box at rosa@yard.example", [rosa]).map(({ at }) => at)).toEqual([17]);
    expect(namedIn("Rosalind came", [rosa])).toEqual([]);
    // A name that is a common word needs its capital, or a place where names stand.
    const line = person("Line Vik");
    expect(namedIn("The new line must be paid by May.", [line])).toEqual([]);
    expect(namedIn("can you ask line about it", [line])).toHaveLength(1);
    expect(namedIn("Line can draw it.", [line])).toHaveLength(1);
  });
  test("houses, desks and shops are known by their whole name alone", () => {
    const houses = [
      person("The Tool Barn"),
      person("Claims Desk"),
      person("Building Control"),
      person("Beck and Sons"),
    ];
    expect(namedIn("The skip has to go. Claims must be in by noon, Building work starts, Beck came.", houses)).toEqual(
      [],
    );
    expect(namedIn("Ask the Tool Barn and Claims Desk", houses).map(({ person: one }) => one.name)).toEqual([
      "The Tool Barn",
      "Claims Desk",
    ]);
  });
  test("are called with a sign before the name and a note behind it; several together are none of them alone", () => {
    expect(calledAt("@Rosa - the keel", [rosa, piet])?.name).toBe("Rosa Beck");
    expect(calledAt("Rosa (in copy), he says it leaks.", [rosa, piet])?.name).toBe("Rosa Beck");
    expect(namedIn("Write to x@rosa.example", [rosa])).toEqual([]);
    // It ends in no time, whatever stands before the name.
    expect(callsSeveral(`${"- ".repeat(30)}a Rosa, Pete,`, [rosa, piet])).toBe(false);
    expect(
      ["Rosa and Pete: by tonight", "Rosa, Pete,", "Rosa & Pete - the keel"].map((text) =>
        callsSeveral(text, [rosa, piet]),
      ),
    ).toEqual([true, true, true]);
    expect(
      ["Rosa: ask Pete", "Rosa and the yard: by tonight", "the keel, Rosa and Pete", "Rosa and Pete went"].map((text) =>
        callsSeveral(text, [rosa, piet]),
      ),
    ).toEqual([false, false, false, false]);
  });
  test("with one first name for two, neither is meant; the whole name tells them apart", () => {
    expect(namedIn("Piet could weld it.", [piet, otherPiet])).toEqual([]);
    expect(namedIn("Piet Vos could weld it.", [piet, otherPiet]).map(({ person: one }) => one.name)).toEqual([
      "Piet Vos",
    ]);
  });
  test("a letter to several that greets one of them is written to that one", () => {
    const greeted = (text: string) => greetedIn(text, [rosa, piet, fenna])?.name ?? null;
    expect(greeted("Dear Rosa,\n\ncould you look at the keel?")).toBe("Rosa Beck");
    expect(greeted("Hi Rosa and Pete,\n\ncould you look?")).toBeNull();
    expect(greeted("Hello all,\n\nRosa, could you look?")).toBeNull();
    expect(greeted("Could you look at the keel, Rosa?")).toBeNull();
  });
  test("are called at the head of a clause", () => {
    expect(
      ["Rosa, could you look?", "Rosa: the keel", "Hi Rosa, fine", "Ask Rosa, she knows", "the keel, Rosa, is old"].map(
        (text) => calledAt(text, [rosa, piet])?.name ?? null,
      ),
    ).toEqual(["Rosa Beck", "Rosa Beck", "Rosa Beck", null, null]);
  });
});

describe("due days", () => {
  test("are those by which the work is wanted", () => {
    expect(due("Please send it by Friday.")).toBe("2026-03-06");
    expect(due("Please sign the order today, it is on your desk.")).toBe("2026-03-04");
    expect(due("Have it ready for the launch on 14 March.")).toBe("2026-03-14");
    expect(due("We need it two days before the 14th.")).toBe("2026-03-12");
    expect(due("Scrap Monday, make it Tuesday.")).toBe("2026-03-10");
    expect(due("Please send me the drawing on Friday.")).toBe("2026-03-06");
    expect(due("I'll send you the quote on Friday.", "promise")).toBe("2026-03-06");
    expect(due("I need the long trailer on Monday.")).toBe("2026-03-09");
    expect(due("To keep the berth from 1 April we must have it by noon on Tuesday 10 March.")).toBe("2026-03-10");
    expect(due("Could you look at it before Easter, at the latest by Good Friday?")).toBe("2026-04-03");
    expect(due("Come at once instead of on Friday.")).toBe("2026-03-04");
    expect(due("If I hear today you have it back on Monday.", "promise")).toBe("2026-03-09");
    expect(due("I arrive on the 18th by the slow train.", "promise")).toBe("2026-03-18");
    expect(due("Send me a drawing today, otherwise the mast won't stand on Monday.")).toBe("2026-03-04");
    expect(due("I hope for the 12th and will confirm it on Friday at the latest.", "promise")).toBe("2026-03-06");
    expect(due("By Friday: the new mast.")).toBe("2026-03-06");
    expect(due("Don't forget to send it before Friday.")).toBe("2026-03-05");
    expect(due("Yes, make the plate please, Tuesday's fine.")).toBe("2026-03-10");
  });
  test("are not those on which something else happens", () => {
    expect(due("Please invite Rosa to the meeting on Friday.")).toBeNull();
    expect(due("Could you answer the letter of 2 March?")).toBeNull();
    expect(due("Water the plants every Monday.")).toBeNull();
    expect(due("The mast broke on Monday.", "trouble")).toBeNull();
    expect(due("Access to the slip on 9 March: I'll talk to Rosa", "promise")).toBeNull();
    expect(due("Are you in on Friday?", "question")).toBeNull();
    expect(due("Which rope, and can I know by Friday?", "question")).toBe("2026-03-06");
    expect(due("Please load the rest of Friday's order.")).toBeNull();
    expect(due("Tell the yard that I paid on the 2nd.")).toBeNull();
    expect(due("Tell the yard I signed the papers on Friday.")).toBeNull();
    expect(due("Both boats should be bailed every morning.")).toBeNull();
    expect(due("Take the dinghy along, they can have it until Sunday.")).toBeNull();
    expect(due("We'll varnish her, but you won't see her before the 20th.", "promise")).toBeNull();
    expect(due("Please have the pass renewed, valid until the end of May.")).toBeNull();
    expect(due("On receipt the rope will be sent within ten working days.", "promise")).toBeNull();
    expect(due("Somebody has to ring the Thursday people today.")).toBe("2026-03-04");
  });
  test("are those of another thing where it is the limit", () => {
    expect(due("Please load it by Friday's run.")).toBe("2026-03-06");
    expect(due("From 9 March all boats are to be moored aft.")).toBe("2026-03-09");
    expect(due("From 9 March I am away.", "promise")).toBeNull();
  });
});

test("priority follows the words", () => {
  expect(
    [
      "Please ring me urgently",
      "this cannot wait",
      "no rush",
      "whenever you have a moment",
      "it is not urgent",
      "please ring me",
    ].map(priorityOf),
  ).toEqual(["high", "high", "low", "low", "low", "normal"]);
});

test("a sentence that only says how urgent what stands before it is", () => {
  expect(
    ["It can't wait.", "No rush with this one, the tide decides.", "This is urgent.", "There's no hurry."].map(
      saysHowUrgent,
    ),
  ).toEqual(["high", "low", "high", "low"]);
  expect(
    ["There's no hurry with the mast.", "We can't wait to see her.", "Urgent repairs come first."].map(saysHowUrgent),
  ).toEqual([null, null, null]);
});

describe("titles", () => {
  test.each([
    ["ask", "Could you please send me the survey by Friday?", "by Friday", "Send Fenna the survey"],
    ["ask", "Rosa, would you measure the berth for us?", null, "Measure the berth"],
    ["ask", "Rosa will have to sign the form.", null, "Sign the form"],
    ["ask", "I'd be grateful if you could lend us a winch.", null, "Lend us a winch"],
    ["ask", "We need you to haul her out because the tide turns.", null, "Haul her out"],
    ["ask", "Could Rosa please oil the block?", null, "Oil the block"],
    ["ask", "Whoever does the rigging should mark the shroud.", null, "Mark the shroud"],
    ["promise", "I'll send you the quote on Friday.", "on Friday", "Send us the quote"],
    ["question", "Hi Piet, when does the tide turn?", null, "Answer Fenna: when does the tide turn?"],
    ["trouble", "The mast is cracked.", null, "The mast is cracked"],
    ["ask", "I should be grateful if you would let me have the keys.", null, "Let Fenna have the keys"],
    ["ask", "I should also be grateful for a tide table.", null, "Get Fenna a tide table"],
    [
      "ask",
      "I need to know as well whether the crane fits under the bridge.",
      null,
      "Tell Fenna whether the crane fits under the bridge",
    ],
    ["ask", "We need another roll of sailcloth by Friday.", "Friday", "Get Fenna another roll of sailcloth"],
    ["ask", "I need it on Monday.", "Monday", "Get it to Fenna"],
    ["ask", "I need the keel faired before the launch.", null, "Get the keel faired"],
    ["ask", "We need a slipway plan off you.", null, "Get Fenna a slipway plan"],
    ["ask", "We need to agree who launches her.", null, "Agree who launches her"],
    ["ask", "I would like to have it in the log.", null, "Have it in the log"],
    ["ask", "Thanks Rosa, please book it.", null, "Book it"],
    ["ask", "Do it.", null, "Do it"],
    ["ask", "We would love the blue sails and can you tell me what they cost?", null, "Tell Fenna what they cost"],
    ["ask", "We would need it in week 51.", "week 51", "Get it to Fenna"],
    ["promise", "You will have the survey by Thursday.", "Thursday", "Get the survey to us"],
    ["promise", "I'll have the sails with you on Monday.", "Monday", "Get the sails to us"],
    ["promise", "We ship them on Tuesday with the first lorry.", "Tuesday", "Ship them with the first lorry"],
    ["promise", "ill bring the tiller", null, "Bring the tiller"],
    ["promise", "will hold the berth for you", null, "Hold the berth for you"],
    ["ask", "The price for the keel is missing on page 2, please add it.", null, "Add the price for the keel"],
    ["ask", "The keel is down, please come over.", null, "Come over"],
    ["ask", "Could you make sure that a fork lift is there?", null, "Make sure that a fork lift is there"],
    ["ask", "can u try him?", null, "Try him"],
    ["ask", "@Rosa - move the dinghy", null, "Move the dinghy"],
    ["ask", "We are still waiting for the photographs.", null, "Get Fenna the photographs"],
    ["ask", "I’d be grateful for a proper invoice.", null, "Get Fenna a proper invoice"],
    ["ask", "I would also like an apology.", null, "Get Fenna an apology"],
    ["ask", "We'd like the deck painted by Friday.", "Friday", "Get the deck painted"],
    ["ask", "Can I also have the big iron back?", null, "Get Fenna the big iron back"],
    ["ask", "Mr Holm is asked to bring the record.", null, "Bring the record"],
    ["ask", "We kindly ask you to return the charts.", null, "Return the charts"],
    ["ask", "Would she kindly do it before Wednesday's run?", "Wednesday", "Do it before Wednesday's run"],
    ["ask", "Would you be so good as to let me know the price?", null, "Let Fenna know the price"],
    ["ask", "Block 4 sticks again, Rosa to check the winch", null, "Check the winch"],
    ["ask", "Please each bring a rope.", null, "Bring a rope"],
    ["ask", "Rosa, first thing please, look at the keel.", null, "First thing please, look at the keel"],
    ["promise", "I'll go to the yard tomorrow morning.", "tomorrow", "Go to the yard"],
    ["promise", "I'm gluing it tonight.", "tonight", "Glue it"],
    ["promise", "We're sending the signed contract.", null, "Send the signed contract"],
    ["promise", "I do the stocktake on Tuesday", "Tuesday", "Do the stocktake"],
    ["promise", "Will write to Piet tonight.", "tonight", "Write to Piet"],
    ["promise", "Will do, you have it tomorrow.", "tomorrow", "Get it to us"],
    ["promise", "I'll splice new ones, by Tuesday say.", "Tuesday", "Splice new ones"],
  ] as const)("%s: %s", (kind, clause, words, title) => {
    expect(titleOf(kind, clause, fenna, words)).toBe(title);
  });
  test("are never longer than a line, and end at a word", () => {
    const title = titleOf("ask", `Please send ${"the very long list of every single shackle ".repeat(4)}`, null, null);
    expect(title.length).toBeLessThanOrEqual(70);
    expect(title).toMatch(/\w…$/);
  });
});
