import fs from "node:fs";
import path from "node:path";
import { expect, test } from "vitest";
import { followConversation } from "@/core/following/follow";
import type { Letter } from "@/core/letters/letter";
import { parseLetter } from "@/core/letters/parse-letter";
import type { People, Person } from "@/core/reading/slip";
import { answersIn, type PlainAnswer } from "./plain";

// Most answers are short and plain, and stand among a little talk. Here they are held against the guide for conversations, from
// either side: as what colleagues owe somebody outside, and as what somebody outside owes them.

const person = (name: string, house: string): Person => {
  const address = `${name.split(" ")[0]!.toLowerCase()}@${house}.example`;
  return { id: address, name, address };
};
const OWES = person("Sam Fielding", "works");
const ASKS = person("Lena Ortwin", "parish");
const BESIDE = [
  "Nora Beck",
  "Agnes Rowntree",
  "Ruben Castell",
  "Kirsten Dahl",
  "Pip Marsh",
  "Emeka Duru",
  "Sanna Lind",
];
const COLLEAGUES = BESIDE.map((name) => person(name, "works"));
const SIDES: readonly People[] = [
  { team: [OWES, ...COLLEAGUES], outside: [ASKS] },
  { team: [ASKS], outside: [OWES, ...COLLEAGUES] },
];

const AROUND = ["…", "Dear NAME,\n\n…\n\nKind regards,\nSIGNED"];
const AMONG_TALK =
  "Dear NAME,\n\nI hope you had a good start to the week. … It's been raining here all day.\n\nKind regards,\nSIGNED";

const first = ({ name }: Person) => name.split(" ")[0]!;

async function written(from: Person, to: Person, date: string, around: string, words: string): Promise<Letter> {
  const text = around
    .replace("NAME", first(to))
    .replace("SIGNED", first(from))
    .replace("…", () => words);
  const head = `From: ${from.name} <${from.address}>\nTo: ${to.name} <${to.address}>\nDate: ${date}\nSubject: Re: a matter`;
  const parsed = await parseLetter(Buffer.from(`${head}\nContent-Type: text/plain; charset=utf-8\n\n${text}\n`));
  if (!parsed.ok) throw new Error(parsed.why);
  return parsed.letter;
}

/** What is wrong with how an answer is followed; null where nothing is. */
async function wrongIn(answer: PlainAnswer, around: string, people: People): Promise<string | null> {
  const { kind, asked, byOwner, change, due, text } = answer;
  const isPromise = kind === "promise";
  const opening = isPromise
    ? await written(OWES, ASKS, "Tue, 03 Mar 2026 09:00:00 +0000", AROUND[1]!, asked)
    : await written(ASKS, OWES, "Tue, 03 Mar 2026 09:00:00 +0000", AROUND[1]!, asked);
  const [from, to] = byOwner ? [OWES, ASKS] : [ASKS, OWES];
  const letter = await written(from, to, "Thu, 05 Mar 2026 08:00:00 +0000", around, text);
  const [opened, followed] = followConversation([opening, letter], people);
  const is = followed!.changes.find(({ item }) => item === opened!.opens[0]?.id);
  const isChange = change !== "none" && change !== "asks back";
  const isRight = isChange ? is?.change === change && (due === null || is.due === due) : is === undefined;
  if (isRight && followed!.opens.length === Number(change === "asks back")) return null;
  return `${asked} ${byOwner ? ">" : "<"} ${text} ${change}, found ${is?.change ?? "nothing"} ${is?.due ?? ""} and ${followed!.opens.length} opened`;
}

test.each([
  ["answers.txt", 550, { plain: 0.92, talk: 0.9 }],
  ["answers-unlearnt.txt", 140, { plain: 0.87, talk: 0.85 }],
] as const)("short and plain answers of %s", async (file, least, floors) => {
  const answers = answersIn(file);
  expect(answers.length).toBeGreaterThan(least);
  for (const [name, shapes] of [
    [
      "plain",
      [
        [AROUND[0]!, SIDES[0]!],
        [AROUND[1]!, SIDES[1]!],
      ],
    ],
    ["talk", [[AMONG_TALK, SIDES[0]!]]],
  ] as const) {
    const wrong: string[] = [];
    let count = 0;
    for (const answer of answers)
      for (const [around, people] of shapes) {
        count += 1;
        const why = await wrongIn(answer, around, people);
        if (why) wrong.push(why);
      }
    const right = 1 - wrong.length / count;
    console.log(`${file}, ${name}: ${answers.length} answers, ${count} times, ${right.toFixed(3)} right`);
    expect([name, right >= floors[name] ? "enough" : [...new Set(wrong)]]).toEqual([name, "enough"]);
  }
});

const SEVERAL =
  "Could you send us the price list by Friday? How many chairs do you need? And please have the container moved.";

test("short letters that answer several things at once", async () => {
  const lines = fs.readFileSync(path.join(import.meta.dirname, "plain/answers-to-several.txt"), "utf8").split("\n");
  const sum = { labels: 0, found: 0, right: 0 };
  const wrong: string[] = [];
  for (const line of lines) {
    const [, side, text, changes] = /^([<>]) (.+) \| ((?:[abc] [a-z ]+(?:; )?)+)$/.exec(line) ?? [];
    if (!text || !changes) continue;
    const wanted = new Map(changes.split("; ").map((one) => [one[0]!, one.slice(2)]));
    const [from, to] = side === ">" ? [OWES, ASKS] : [ASKS, OWES];
    const opening = await written(ASKS, OWES, "Tue, 03 Mar 2026 09:00:00 +0000", AROUND[1]!, SEVERAL);
    const letter = await written(from, to, "Wed, 04 Mar 2026 09:00:00 +0000", AROUND[1]!, text);
    const [opened, followed] = followConversation([opening, letter], SIDES[0]!);
    sum.labels += wanted.size;
    sum.found += followed!.changes.length;
    for (const [i, name] of ["a", "b", "c"].entries()) {
      const is = followed!.changes.find(({ item }) => item === opened!.opens[i]?.id)?.change;
      sum.right += Number(is !== undefined && is === wanted.get(name));
      if (is !== wanted.get(name))
        wrong.push(`${text} ${name} ${wanted.get(name) ?? "nothing"}, found ${is ?? "nothing"}`);
    }
  }
  const f1 = (2 * sum.right) / (sum.labels + sum.found);
  console.log(`${sum.labels} changes of letters that answer several things: ${f1.toFixed(3)}`);
  expect(sum.labels).toBeGreaterThan(70);
  expect(f1 >= 0.85 ? "enough" : wrong).toBe("enough");
});
