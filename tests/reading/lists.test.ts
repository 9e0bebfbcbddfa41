import { expect, test } from "vitest";
import { anna, ben, cleo, read, short } from "./bakery";

test("short lines that no mail program would have folded are lines of their own", () => {
  const text = "the oven's repaired, the mixer too, and it runs quietly\ncan you send us the bill";
  expect(short(text).map(([kind, words]) => [kind, words])).toEqual([["ask", "can you send us the bill"]]);
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

test("lines that begin with a name below what is wanted by a day are theirs, and due then", () => {
  const found = short("What I need by Friday:\nBen: the list of the trays\nCleo: complaints, with what we did\n");
  expect(found.map(([kind, words, who, due]) => [kind, words, who, due])).toEqual([
    ["ask", "Ben: the list of the trays", "ben", "2026-03-06"],
    ["ask", "Cleo: complaints, with what we did", "cleo", "2026-03-06"],
  ]);
});
