import { describe, expect, test } from "vitest";
import { addressWord, readOurAddress, taskAddress, workstreamAddress } from "../sorting/addresses";
import { fruitOf } from "../tasks/reference";
import { isRefusal, pauseAfter } from "./outgoing";
import { personInWords } from "./person-in-words";
import { quotedBelow, replyHead } from "./reply";
import { splitText } from "./split-text";
import { isAddress, tidyLetter } from "./to-send";

const ada = { name: "Ada Lund", address: "ada@beech.example" };
const bo = { name: "Bo Rask", address: "bo@oak.example" };
const me = { name: "Ines", address: "ines@house.example" };
const OWN = new Set(["ines@house.example", "hello@house.example"]);

function letter(more: Partial<Parameters<typeof replyHead>[0]> = {}) {
  const text = "The swing is loose.\n\n> It was fine.\n-- \nAda";
  return {
    from: ada,
    to: [me, bo],
    cc: [
      { name: "", address: "hello@house.example" },
      { name: "Cy", address: "cy@elm.example" },
    ],
    subject: "Re: [yard] Fwd: Swing",
    text,
    parts: splitText(text, false),
    sentAt: Date.UTC(2026, 10, 24, 7, 12),
    offset: "+01:00",
    ...more,
  };
}

describe("whom an answer goes to (RFC 5322 section 3.6.3)", () => {
  test("the writer and the others, copies to those who had one, never an address of ours", () => {
    expect(replyHead(letter(), OWN)).toEqual({
      to: [ada, bo],
      cc: [{ name: "Cy", address: "cy@elm.example" }],
      subject: "Re: Swing",
    });
  });

  test("an answer to one's own letter goes to those it went to, and nobody twice", () => {
    const head = replyHead(letter({ from: me, to: [ada, ada, me], cc: [ada] }), OWN);
    expect(head.to).toEqual([ada]);
    expect(head.cc).toEqual([]);
  });

  test("a letter without a writer is answered to nobody but the others", () => {
    expect(replyHead(letter({ from: null, to: [bo] }), OWN).to).toEqual([bo]);
  });
});

test("what is quoted below is the letter's own words, in the writer's time, without history and signature", () => {
  expect(quotedBelow(letter())).toBe("On Tue 24 Nov, 08:12, Ada Lund wrote:\n> The swing is loose.");
  expect(quotedBelow(letter({ text: "", parts: [] }))).toBe("");
  // Our own splitter knows it again as history: the next answer does not carry it as new text.
  const whole = `Thanks.\n\n${quotedBelow(letter())}`;
  const fresh = splitText(whole, false).filter((part) => part.kind === "new");
  expect(fresh.map((part) => whole.slice(part.start, part.end).trim())).toEqual(["Thanks."]);
});

describe("a letter before it goes out", () => {
  const written = { to: [ada], cc: [], subject: "Swing", text: "Hello" };

  test("nothing typed begins a header of its own, nobody has it twice", () => {
    const tidy = tidyLetter({
      to: [{ name: "Ada\r\nBcc: x@y.example", address: " ADA@beech.example " }, ada],
      cc: [ada, bo],
      subject: "Hi\r\n\tthere\u2028now",
      text: "a\r\nb\u0000\u0007 \n\n",
    });
    expect(tidy).toEqual({
      ok: true,
      letter: {
        to: [{ name: "Ada Bcc: x@y.example", address: "ada@beech.example" }],
        cc: [bo],
        subject: "Hi there now",
        text: "a\nb",
      },
    });
  });

  test.each([
    ["nobody", { ...written, to: [] }, "Say whom it goes to"],
    ["no address", { ...written, to: [{ name: "", address: "ada" }] }, "“ada” is no mail address"],
    ["no words", { ...written, text: " \n" }, "The letter is empty"],
    [
      "a circular",
      { ...written, cc: Array.from({ length: 60 }, (_, i) => ({ name: "", address: `a${i}@b.example` })) },
      "61 people",
    ],
    ["a book", { ...written, text: "x".repeat(200_001) }, "longer than"],
  ])("%s is refused in a sentence", (_, one, says) => {
    const tidy = tidyLetter(one);
    expect(tidy.ok ? "" : tidy.why).toContain(says);
  });

  test("a subject may be missing", () => {
    expect(tidyLetter({ ...written, subject: " \n " })).toMatchObject({ letter: { subject: "(no subject)" } });
  });

  // RFC 5321 section 4.1.2 and 4.5.3.1.1, RFC 6531 for letters beyond ASCII.
  test.each([
    ["ada@beech.example", true],
    ["ada.lund+yard@in.beech.example", true],
    ["пример@пример.example", true],
    ["ada@beech", false],
    ["ada@@beech.example", false],
    ["ada@-beech.example", false],
    ["ada lund@beech.example", false],
    [`${"a".repeat(65)}@beech.example`, false],
    ["ada@beech.example\r\nBcc: x@y.example", false],
  ])("%j: %j", (address, is) => expect(isAddress(address)).toBe(is));
});

test("pauses grow, add up to two days, and end; only 5yz is a no (RFC 5321 section 4.2.1)", () => {
  const pauses: number[] = [];
  for (let tries = 1; ; tries += 1) {
    const pause = pauseAfter(tries);
    if (pause === null) break;
    pauses.push(pause);
  }
  expect(pauses).toEqual([...pauses].sort((a, b) => a - b));
  expect(Math.round(pauses.reduce((sum, one) => sum + one, 0) / 86_400_000)).toBe(2);
  expect([450, 499, 500, 554, 600, null].map(isRefusal)).toEqual([false, false, true, true, false, false]);
});

test.each([
  ["Ada Lund <ada@beech.example>", ada],
  ['"Lund, Ada" <ADA@beech.example>', { name: "Lund, Ada", address: "ada@beech.example" }],
  ["Ada Lund [mailto:ada@beech.example]", ada],
  ["ada@beech.example (Ada Lund)", { name: "Ada Lund", address: "ada@beech.example" }],
  ["ada@beech.example", { name: "", address: "ada@beech.example" }],
  ["Ada Lund", { name: "Ada Lund", address: "" }],
  ["", null],
])("somebody in words: %j", (words, who) => expect(personInWords(words)).toEqual(who));

describe("addresses of tasks and workstreams", () => {
  test("lead back to what they are for", () => {
    const slug = `${fruitOf(417)}-417`;
    expect(readOurAddress(taskAddress(slug, "in.house.example"))).toEqual({ kind: "task", number: 417 });
    expect(workstreamAddress("Harbour Green", "Façade & roof", "in.house.example")).toBe(
      "harbour-green.facade-roof@in.house.example",
    );
    expect(readOurAddress("harbour-green.facade-roof+note@in.house.example")).toEqual({
      kind: "workstream",
      project: "harbour-green",
      workstream: "facade-roof",
    });
  });

  test.each([
    "hello@house.example",
    "fig-0417@house.example",
    "pear-417@house.example",
    "417@house.example",
    "a.b.c@house.example",
  ])("%s is for nothing of the kind", (address) => {
    expect(fruitOf(417)).not.toBe("pear");
    expect(readOurAddress(address)).toBeNull();
  });

  test("names of any language become letters, figures and hyphens", () => {
    expect(addressWord("  Über–den Zaun, 2. Teil ")).toBe("uber-den-zaun-2-teil");
  });
});
