import { expect, test } from "vitest";
import type { Letter } from "../letters/letter";
import { splitText } from "../letters/split-text";
import { asOneItem } from "./one-item";
import { readLetter } from "./read-letter";
import { isSure, type People } from "./slip";

// A bakery and its suppliers: another trade than the demo's, written for these tests.
const person = (name: string) => ({ id: name, name, address: `${name.split(" ")[0]!.toLowerCase()}@crumb.example` });
const [anna, ben, cleo] = [person("Anna Rye"), person("Ben Spelt"), person("Cleo Oatley")];
const miller = { id: "miller", name: "Dov Miller", address: "dov@mill.example" };
const people: People = { team: [anna!, ben!, cleo!], outside: [miller] };

function letter(text: string, more: Partial<Letter> = {}): Letter {
  return {
    messageId: null,
    references: [],
    sentAt: 0,
    offset: "+00:00",
    from: miller,
    to: [anna!],
    cc: [],
    subject: "Flour",
    text,
    parts: splitText(text, false),
    hasHtml: false,
    files: [],
    automatic: null,
    passedOn: null,
    bounce: null,
    sealed: null,
    isUrgent: false,
    problems: [],
    ...more,
  };
}

/** Wednesday 4 March 2026, 09:00. */
const wednesday = { at: Date.parse("2026-03-04T09:00:00Z"), zone: "+00:00" };
const read = (text: string, more: Partial<Letter> = {}) => readLetter(letter(text, more), people, wednesday);
const short = (text: string, more: Partial<Letter> = {}) =>
  read(text, more).map((slip) => [
    slip.kind,
    text.slice(slip.start, slip.end),
    slip.owner?.split("@")[0] ?? null,
    slip.due?.day ?? null,
    slip.priority,
  ]);

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

test("short lines that no mail program would have folded are lines of their own", () => {
  const text = "the oven's repaired, the mixer too, and it runs quietly\ncan you send us the bill";
  expect(short(text).map(([kind, words]) => [kind, words])).toEqual([["ask", "can you send us the bill"]]);
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

test("what somebody is to be told by then is not due then", () => {
  const [, told] = short("Please send the rye by Friday. Please tell them that the rye is gone by then.");
  expect(told?.[3]).toBeNull();
  const [, same] = short("Please send the rye by Friday. Please sweep the yard by then.");
  expect(same?.[3]).toBe("2026-03-06");
});

test("lists are read item by item, with the day of the line that leads into them", () => {
  const slips = short(
    "Could you please do these by Friday:\n\n- clean the sieve\n- weigh the sacks\n- label the bins\n",
  );
  expect(slips.map(([kind, words, , due]) => [kind, words, due])).toEqual([
    ["ask", "clean the sieve", "2026-03-06"],
    ["ask", "weigh the sacks", "2026-03-06"],
    ["ask", "label the bins", "2026-03-06"],
  ]);
});

test("the day of a whole list may stand behind it, and is no item then; points with a day of their own keep it", () => {
  const list = "We would be grateful to receive:\n\n- a copy of the order\n- the bill by Thursday\n\n";
  for (const behind of ["These should reach us by Friday.", "I need both by Friday."])
    expect(short(`${list}${behind}`).map(([kind, words, , due]) => [kind, words, due])).toEqual([
      ["ask", "a copy of the order", "2026-03-06"],
      ["ask", "the bill by Thursday", "2026-03-05"],
    ]);
  expect(short(`${list}Please sweep the yard by Friday.`)).toHaveLength(3);
});

test("a sentence that only says by when what was asked before it is wanted gives that its day", () => {
  const days = (text: string) => short(text).map(([, words, , due]) => [words, due]);
  for (const behind of [
    "It would be a great help to have this until Friday.",
    "I need it by Friday.",
    "By Friday, please.",
    "By Friday, please, if you can.",
  ])
    expect([behind, days(`Could you write me what rye costs? ${behind}`)]).toEqual([
      behind,
      [["Could you write me what rye costs?", "2026-03-06"]],
    ]);
  // What has a day keeps it, and a thing of its own is an item.
  expect(days("Could you write me today what rye costs? I need it by Friday.")).toHaveLength(2);
  expect(days("Could you write me what rye costs? I need two sacks by Friday.")).toHaveLength(2);
});

test("points are what the line above them says: troubles, what is done, an agenda", () => {
  const kinds = (lead: string) =>
    short(`${lead}\n- van 3 loses oil\n- could you look at the mill?\n`).map(([kind, words]) => [kind, words]);
  expect(kinds("Problems:")).toEqual([
    ["trouble", "van 3 loses oil"],
    ["ask", "could you look at the mill?"],
  ]);
  expect(short("Done this week:\n- oven bricks collected\n- the sieve mended\n")).toEqual([]);
  expect(kinds("Agenda for Thursday:")).toEqual([["ask", "could you look at the mill?"]]);
});

test("things announced by their number are asked for one by one, and a greeting in the same line says whose they are", () => {
  const text = "Hi Ben, for the plan I need two things: the size of the oven by Friday, and a list of the trays.";
  expect(short(text, { to: [anna!, ben!] }).map(([kind, words, owner, due]) => [kind, words, owner, due])).toEqual([
    ["ask", "the size of the oven by Friday", "ben", "2026-03-06"],
    ["ask", "a list of the trays.", "ben", null],
  ]);
});

test("a point of several sentences is one item, with the day that its last one names; points among questions are questions", () => {
  const found = short(
    "We ask for the following:\n- A plan of the oven. It is in the blue folder. We need it 20 March.\n- a list of the trays\n",
  );
  expect(found.map(([kind, words, , due]) => [kind, words, due])).toEqual([
    ["ask", "A plan of the oven.", "2026-03-20"],
    ["ask", "a list of the trays", null],
  ]);
  const bill =
    "Please see to these:\n- I asked for the bill by Friday. Scrap that: please hold it back until we have signed.\n";
  expect(short(bill).map(([kind, , , due]) => [kind, due])).toEqual([["ask", null]]);
  const clause =
    "Please see to these:\n- The days are to be stated. Please insert them and send the page back by Friday.\n";
  expect(short(clause).map(([kind, , , due]) => [kind, due])).toEqual([["ask", "2026-03-06"]]);
  const required = "The following steps are required within 28 days of this letter.\n\n1. The door has to be mended.\n";
  expect(short(required).map(([kind, , , due]) => [kind, due])).toEqual([["ask", "2026-04-01"]]);
  const asked = short("A few questions from me:\n- can I bring my own sieve, it is wider\n- who sweeps, you or me\n");
  expect(asked.map(([kind]) => kind)).toEqual(["question", "question"]);
});

test("days that are over, in which what is asked for lies, or until which something lasts are no due dates", () => {
  const due = (text: string) => short(text).map(([kind, , , day]) => [kind, day]);
  expect(due("Please send the papers of all bakers who came after 1 June 2025.")).toEqual([["ask", null]]);
  expect(due("Please let me have a date within seven days.")).toEqual([["ask", "2026-03-11"]]);
  expect(due("Could you swap your Sunday with Ben?")).toEqual([["ask", null]]);
  expect(due("Please let me have two dates in the week of 20 April.")).toEqual([["ask", null]]);
  expect(due("The new oven comes on Monday. Until then please use the old one.")).toContainEqual(["ask", null]);
  expect(due("The first bill has to be here before the year end on 31 March.")).toEqual([["ask", "2026-03-31"]]);
  expect(due("We will try again between 12.00 and 14.00.")).toEqual([["promise", "2026-03-04"]]);
});

test("how urgent the whole matter is holds for all that is asked, wherever it is said; what cannot wait longer is not urgent", () => {
  const asks = "Could you weigh the sacks?\n\nPlease also sweep the yard. The oven is broken.\n\n";
  const priorities = (text: string) => short(text).map(([kind, , , , priority]) => [kind, priority]);
  expect(priorities(`${asks}The matter is not pressing, any day will do.`)).toEqual([
    ["ask", "low"],
    ["ask", "low"],
    ["trouble", "normal"],
  ]);
  expect(priorities("Please be at the gate, the driver cannot wait more than ten minutes.")).toEqual([
    ["ask", "normal"],
  ]);
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

test("a thing on a list of what is wanted is to be sent", () => {
  const titles = (lead: string) =>
    read(`${lead}\n- a copy of the bill;\n- weigh the sacks\n`).map(({ title }) => title);
  expect(titles("We would be grateful to receive, please:")).toEqual([
    "Send Dov a copy of the bill",
    "Weigh the sacks",
  ]);
  expect(titles("Please do these:")).toEqual(["A copy of the bill", "Weigh the sacks"]);
});

test("rows of a table of actions are asks of who and by when it says, the writer's own a promise", () => {
  const table = (head: string) =>
    `Notes of today.\n\n${head}\nClean the sieve | Ben Spelt | Friday\nOrder rye | CO | end of the month\nSend the bill | Dov |\nPaint the door | Ben, Cleo |\n`;
  expect(short(table("Action | Who | By"))).toEqual([
    ["ask", "Clean the sieve", "ben", "2026-03-06", "normal"],
    ["ask", "Order rye", "cleo", "2026-03-31", "normal"],
    ["promise", "Send the bill", "dov", null, "normal"],
    ["ask", "Paint the door", null, null, "normal"],
  ]);
  expect(short(table("Thing | Maker | Day")).filter(([, words]) => words === "Order rye")).toEqual([]);
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

test("words of haste make an ask high, headers make the letter's asks high", () => {
  expect(short("Please ring me ASAP.")[0]).toEqual(["ask", "Please ring me ASAP.", "anna", "2026-03-04", "high"]);
  expect(short("Please ring me.", { isUrgent: true })[0]?.[4]).toBe("high");
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

test("how long the work takes is read with the ask or from the sentence behind it, and the reason says so", () => {
  const found = read(
    "Hi Anna,\n\nCould you sieve the rye? It shouldn't take more than half an hour.\n\nBen, please clean the proving room, a two-hour job, by Friday.\n\nPlease send the list. The delivery takes two days.",
  );
  expect(found.map(({ estimate }) => estimate)).toEqual([30, 120, null]);
  expect(found[0]!.reason).toContain("“half an hour”");
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

const owners = (text: string) => read(text).map(({ owner, due }) => [owner?.split("@")[0] ?? null, due?.day ?? null]);

test("a point with a name behind it is theirs, and a name at the head of one point does not hold for the next", () => {
  const found = read(
    "Hi all,\n\n- Proving baskets: Ben, by Friday\n- new aprons (Anna)\n- Ben: flour order\n- all keys back on the hook please\n",
    { to: [anna!, ben!, cleo!] },
  );
  expect(found.map(({ kind }) => kind)).toEqual(["ask", "ask", "ask", "ask"]);
  expect(found.map(({ owner }) => owner?.split("@")[0] ?? null)).toEqual(["ben", "anna", "ben", null]);
  expect(found[0]!.title).toBe("Proving baskets");
  const noted = read(
    "Notes:\n\n1. Mill: Ben rings the builder today\n2. Sieve for Anna: Cleo to order\n3. Papers have to be with the guild by Friday. Ben.\n",
    { to: [anna!, ben!, cleo!] },
  );
  expect(noted.map(({ owner, due }) => [owner?.split("@")[0] ?? null, due?.day ?? null])).toEqual([
    ["ben", "2026-03-04"],
    ["cleo", null],
    ["ben", "2026-03-06"],
  ]);
});

test("two people named for one thing are neither alone; who only wants something does not have to act", () => {
  expect(owners("Ben and Cleo: by tonight, please.\n\nPlease sign it too.").at(-1)?.[0]).toBe("anna");
  expect(owners("Please don't write to them before we have spoken.").at(-1)?.[0]).toBe("anna");
  expect(owners("The oven was Cleo's. Would she please sweep it?").at(-1)?.[0]).toBe("cleo");
  expect(owners("Ben is asked to bring the bill.").at(-1)?.[0]).toBe("ben");
  expect(owners("Ben and Anna still have to hand in their hours.").at(-1)?.[0]).toBeNull();
  expect(owners("Cleo wants a third up front, so you would have to approve that.").at(-1)?.[0]).toBe("anna");
});

test("lines that begin with a name below what is wanted by a day are theirs, and due then", () => {
  const found = short("What I need by Friday:\nBen: the list of the trays\nCleo: complaints, with what we did\n");
  expect(found.map(([kind, words, who, due]) => [kind, words, who, due])).toEqual([
    ["ask", "Ben: the list of the trays", "ben", "2026-03-06"],
    ["ask", "Cleo: complaints, with what we did", "cleo", "2026-03-06"],
  ]);
});

test("two orders of one sentence that have a day each are two; what has to be before a day that was named", () => {
  const days = (text: string) => short(text).map(([, words, , due]) => [words, due]);
  expect(days("Ring the mill tomorrow and get a sample taken by Friday.")).toEqual([
    ["Ring the mill tomorrow", "2026-03-05"],
    ["get a sample taken by Friday.", "2026-03-06"],
  ]);
  expect(days("Ring the mill and get a sample taken by Friday.")).toHaveLength(1);
  expect(days("The baker comes on Friday. Please sweep the yard before that.").at(-1)?.[1]).toBe("2026-03-06");
});

test("somebody is to be somewhere at a time: on the day that was just named", () => {
  expect(owners("The oven man comes on Friday. Somebody should be there at nine.").at(-1)?.[1]).toBe("2026-03-06");
});
