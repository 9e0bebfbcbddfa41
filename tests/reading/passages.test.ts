import { expect, test } from "vitest";
import { splitText } from "@/core/letters/split-text";
import { asOneItem } from "@/core/reading/one-item";
import { isSure } from "@/core/reading/slip";
import { anna, ben, cleo, owners, read, short } from "./bakery";

test("thanks and maxims ask nothing, one question is one, and a sentence may begin small", () => {
  expect(short("Ta for the yeast. A baker should never sleep.")).toEqual([]);
  expect(short("May I weigh it again and bring it on Friday?").map(([kind, quote]) => [kind, quote])).toEqual([
    ["question", "May I weigh it again and bring it on Friday?"],
  ]);
  expect(short("Hi Anna\n\nPlease send us 40 sacks of rye. do you deliver on Sundays?").map(([kind]) => kind)).toEqual([
    "ask",
    "question",
  ]);
});

test("of two questions in one sentence each has its answer; the two sides of one have one", () => {
  const quotes = (text: string) => short(text).map(([kind, quote]) => [kind, quote]);
  expect(quotes("Do you bake on Sundays, and what does a loaf cost?")).toEqual([
    ["question", "Do you bake on Sundays"],
    ["question", "what does a loaf cost?"],
  ]);
  expect(quotes("Two things: may we park at the back, and is there a lift?").map(([kind]) => kind)).toEqual([
    "question",
    "question",
  ]);
  expect(quotes("Do you bake it yourselves, or does it come from the mill?")).toHaveLength(1);
  expect(quotes("What matters is the crust, so could you bake it longer?").map(([kind]) => kind)).toEqual(["ask"]);
  expect(quotes("When you come on Friday, could you bring the list?").at(-1)).toEqual([
    "ask",
    "When you come on Friday, could you bring the list?",
  ]);
});

test("asks, questions, promises and trouble are told apart", () => {
  expect(
    short(
      "Hi Anna,\n\nCould you send me the order by Friday?\n\nWhich oven is it for?\n\nI'll bring the sacks on Monday.\n\nThe mixer at our end broke down this morning.\n\nRegards,\nDov",
    ),
  ).toEqual([
    ["ask", "Could you send me the order by Friday?", "anna", "2026-03-06", "normal"],
    ["question", "Which oven is it for?", "anna", null, "normal"],
    ["promise", "I'll bring the sacks on Monday.", "dov", "2026-03-09", "normal"],
    ["trouble", "The mixer at our end broke down this morning.", null, null, "normal"],
  ]);
});

test("whoever is named or called has to act", () => {
  expect(
    short("Ben will have to count the trays. Cleo: please order yeast, no rush.", { to: [anna!, ben!, cleo!] }).map(
      ([kind, , owner, , priority]) => [kind, owner, priority],
    ),
  ).toEqual([
    ["ask", "ben", "normal"],
    ["ask", "cleo", "low"],
  ]);
  expect(short("Somebody has to sweep the yard.", { to: [anna!, ben!] })[0]?.[2]).toBeNull();
  expect(short("Please go easy with the salt, Ben.", { to: [anna!, ben!] })[0]?.[2]).toBe("ben");
});

test("one sentence with two asks is two slips", () => {
  expect(
    short("Please send the invoice by Thursday, and could you let me know which door to use?").map(
      ([kind, , , due]) => [kind, due],
    ),
  ).toEqual([
    ["ask", "2026-03-05"],
    ["ask", null],
  ]);
});

test("what one sentence says of one kind, for one person, by one day, is one slip; another sentence is another", () => {
  const text = "The oven is broken, and the mixer has burst. The van is stuck.";
  expect(short(text)).toEqual([
    ["trouble", "The oven is broken, and the mixer has burst.", null, null, "normal"],
    ["trouble", "The van is stuck.", null, null, "normal"],
  ]);
  expect(short("Please weigh the sacks; please mark the bags.")).toEqual([
    ["ask", "Please weigh the sacks; please mark the bags.", "anna", null, "normal"],
  ]);
  expect(read("Please weigh the sacks; please mark the bags.")[0]?.title).toBe("Weigh the sacks and mark the bags");
  // What begins with a capital in the letter keeps it, and the reason is that of the surer part.
  const of = (title: string, from: number, to: number, confidence: number) => ({
    ...read("Please weigh the sacks.")[0]!,
    ...{ title, start: from, end: to, confidence, reason: `because ${title}` },
  });
  const words = "weigh the sacks; VAT forms back";
  expect(asOneItem(of("Weigh the sacks", 0, 15, 0.6), of("VAT forms back", 17, 31, 0.9), words)).toMatchObject({
    ...{ title: "Weigh the sacks and VAT forms back", start: 0, end: 31 },
    ...{ confidence: 0.9, reason: "because VAT forms back" },
  });
});

test("a letter folded to a narrow window is read by its sentences; a mark in quotation marks ends none", () => {
  const asked =
    "Could you tell the people of the mill\nthat we need the sacks with the blue\nlabel again by Friday and that the\ndriver may come in by the gate?";
  expect(short(`Dear Anna,\n\n${asked}\n\nDov`).map(([kind, words]) => [kind, words])).toEqual([["ask", asked]]);
  const quoted = "Can you check the page that asks “How many?” before it goes to the printer?";
  expect(short(quoted).map(([kind, words]) => [kind, words])).toEqual([["ask", quoted]]);
});

test("an advert has a way out; an answer may have one below it", () => {
  const text = "Could you send us the rye by Friday?\n\nTo unsubscribe from this list, write to leave@mill.example.\n";
  const parts = splitText(text, false);
  expect(read(text, { parts })).toEqual([]);
  expect(read(text, { parts, references: ["1@crumb.example"] }).map(({ kind }) => kind)).toEqual(["ask"]);
});

test("an advert says why everybody has it, or how to get no more of them; a person's letter does not", () => {
  const offer = "Order any sieve before Friday and get a second one free. Call us today!";
  expect(short(`${offer}\n\nYou get this mail because you bought from us.`)).toEqual([]);
  expect(short(`${offer}\n\nTo stop receiving these offers, write to us.`)).toEqual([]);
  expect(short(`${offer}\n\nIf you do not want to hear from me again, let me know.`)).toEqual([]);
  expect(short(`${offer}\n\nYou receive this message because you were our guest.`)).toEqual([]);
  expect(short("Please call me today. You get this mail because you know the oven.").map(([kind]) => kind)).toEqual([
    "ask",
  ]);
});

test("a plain report right behind an ask is trouble, and sure", () => {
  const reports = [
    "Four of the last ones came cracked.",
    "The last delivery never arrived.",
    "The client is not happy.",
  ];
  for (const report of reports) {
    const slips = read(`Could Ben order forty sacks by Friday? ${report}`);
    expect(slips.map(({ kind }) => kind)).toEqual(["ask", "trouble"]);
    expect([report, isSure(slips[1]!)]).toEqual([report, true]);
  }
});

test("a question behind a statement is a slip of its own; one that is led into is not cut", () => {
  const kinds = (text: string) => short(text).map(([kind, words]) => [kind, words]);
  expect(kinds("We need the trays back by Friday, is the side door open then?")).toEqual([
    ["ask", "We need the trays back by Friday"],
    ["question", "is the side door open then?"],
  ]);
  expect(kinds("If we come on Monday, is the side door open?")).toHaveLength(1);
});

test("what stands behind an apology counts, a colleague who is at it has it, and everybody is nobody", () => {
  expect(short("I am sorry to trouble you with this but the bill is twice what you quoted.")).toEqual([
    ["trouble", "the bill is twice what you quoted.", null, null, "normal"],
  ]);
  expect(short("Ben is changing the bill and will send you a new one.").map(([kind, , who]) => [kind, who])).toEqual([
    ["ask", "ben"],
  ]);
  expect(short("Ben: sweep the yard.\nBack to work at noon, everybody please.").at(-1)?.[2]).toBeNull();
  expect(short("Find somebody for the oven before Friday.").map(([, , who]) => who)).toEqual(["anna"]);
});

test("what a program sends to any customer asks nothing", () => {
  const hours = "Please note that we close at noon on Friday. Orders should be placed by Thursday.";
  expect(short(`Dear customer,\n\n${hours}\n\nThis is an automatic message.`)).toEqual([]);
  expect(short(`Dear Anna,\n\n${hours}`)).not.toEqual([]);
});

test("a postscript below the name is read", () => {
  expect(
    short("All is well.\n\nKind regards\nDov Miller\n\nPS: Could you ring my brother?").map(([kind, words]) => [
      kind,
      words,
    ]),
  ).toEqual([["ask", "Could you ring my brother?"]]);
  expect(short("All is well.\n\nKind regards\nDov Miller\nSend us your grain!")).toEqual([]);
});

test("courtesy, releases, adverts, quoted words and machines ask nothing", () => {
  const nothing = [
    "Thank you for the lovely bread.",
    "Let me know if you have any questions.",
    "Please find attached the list.",
    "How are you?",
    "No need to answer.",
    "Register now and save ten per cent!",
    "Looking forward to Friday.",
  ];
  for (const text of nothing) expect([text, short(text)]).toEqual([text, []]);
  expect(short("Fine.\n\nOn Tue, 3 Mar 2026, Anna wrote:\n> Could you send flour?\n")).toEqual([]);
  expect(short("Could you send flour?", { automatic: "newsletter" })).toEqual([]);
});

test("titles begin with what is to be done and name the writer", () => {
  const title = (text: string) => read(text)[0]?.title;
  expect(title("Could you please send me the new price list by Friday?")).toBe("Send Dov the new price list");
  expect(title("We need you to sign the form before Monday.")).toBe("Sign the form");
  expect(title("When does the lorry leave?")).toBe("Answer Dov: when does the lorry leave?");
  expect(title(`Please ${"write a very long list of things ".repeat(20)}`)!.length).toBeLessThanOrEqual(70);
});

test("foreign and enormous text never throws", () => {
  for (const text of [
    "\u0000\uFFFD\u202E",
    "?".repeat(20_000),
    "a ".repeat(60_000),
    "Könnten Sie bitte bis Freitag antworten?",
    "- \n- \n-",
    ":".repeat(500),
  ])
    expect(Array.isArray(read(text))).toBe(true);
});

test("turns that only look like asks, questions, promises or trouble are none; a doubted word asks nothing", () => {
  const said = [
    "Believe it or not, the oven is older than I am.",
    "Well, think about it.",
    "You should be all set now.",
    "They are asked to wait outside.",
    "There is (must be?) a second tin.",
    "Who the hell bakes at noon?",
    "I will keep watching the dough and hoping.",
    "We're opening a new shop next week and I couldn't get away.",
    "You are missing the point of rye.",
    "I didn't think before writing.",
    "Copyright 2026 Crumb.",
    "-- Please reply above this line --",
    "I'll be at the mill this afternoon.",
    "I'm free on Friday morning.",
    "You can keep the old sieve.",
    "Please keep this message for your records.",
    "I shall be a quarter of an hour late tomorrow.",
    "I'm away until Thursday.",
    "I have to tell my baker on Friday.",
    "Can't make it?",
    "The mill is, to put it kindly, historical.",
  ];
  for (const text of said) expect(read(`Hi Anna,\n\n${text}\n\nDov`), text).toEqual([]);
});

test("two people named for one thing are neither alone; who only wants something does not have to act", () => {
  expect(owners("Ben and Cleo: by tonight, please.\n\nPlease sign it too.").at(-1)?.[0]).toBe("anna");
  expect(owners("Please don't write to them before we have spoken.").at(-1)?.[0]).toBe("anna");
  expect(owners("The oven was Cleo's. Would she please sweep it?").at(-1)?.[0]).toBe("cleo");
  expect(owners("Ben is asked to bring the bill.").at(-1)?.[0]).toBe("ben");
  expect(owners("Ben and Anna still have to hand in their hours.").at(-1)?.[0]).toBeNull();
  expect(owners("Cleo wants a third up front, so you would have to approve that.").at(-1)?.[0]).toBe("anna");
});

test("why an answer is wanted is no item of its own; by when it is wanted is", () => {
  expect(short("Which hours is the oven free? I need to know for the apprentices.")).toHaveLength(1);
  expect(short("Which hours is the oven free? I need to know by Friday.").map(([kind]) => kind)).toEqual([
    "question",
    "ask",
  ]);
});
