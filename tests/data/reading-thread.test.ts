import { afterAll, expect, test } from "vitest";
import { inProcess, type ReadingAsk } from "@/acts/reading/reader";
import { ReadingThread } from "@/acts/reading/thread";
import { corpus } from "../outside/pick";

const ask: ReadingAsk = {
  house: {
    zone: "Europe/London",
    calendar: { workingDays: [1, 2, 3, 4, 5], holidays: [] },
    figures: "dmy",
    team: [{ id: "ines", personId: "ines", name: "Ines Valdarno", address: "ines@house.example" }],
    projects: [],
    workstreams: [],
  },
  lessons: [],
  haste: [],
  priorities: [],
  examples: [],
  openTasks: new Map(),
  names: new Map([["ada@beech.example", "Ada Lund"]]),
  now: Date.parse("2026-11-24T11:20:00Z"),
  isOurs: false,
};
const letter = (text: string) =>
  Buffer.from(
    `From: ada@beech.example\r\nTo: ines@house.example\r\nDate: Mon, 23 Nov 2026 09:00:00 +0000\r\nSubject: x\r\n\r\n${text}\r\n`,
  );
const raws = [
  letter("Could you send the price by Friday?"),
  Buffer.from("\u0000\u0001 no mail at all"),
  letter("Thanks a lot."),
];

const thread = new ReadingThread();
afterAll(() => thread.stop());

test("the thread parses and reads as this process does", async () => {
  const ours = await inProcess.parse(raws);
  const theirs = await thread.parse(raws);
  expect(theirs.letters).toEqual(ours.letters);
  const read = await theirs.read(ask);
  expect(read).toEqual(await ours.read(ask));
  expect(read.map((one) => one.found.length)).toEqual([1, 0, 0]);
  expect((await thread.parse([])).letters).toEqual([]);
});

test("letters of real people, with all their encodings and files, come out of the thread as out of this process", async () => {
  const real = [...corpus(120), ...corpus(120, "hard-ham-1")].map((one) => one.raw);
  const ours = await inProcess.parse(real);
  const theirs = await thread.parse(real);
  expect(theirs.letters).toEqual(ours.letters);
  const files = ours.letters.flatMap((one) => (one.ok ? one.letter.files : []));
  console.log(`${real.length} letters with ${files.length} files`);
  expect(ours.letters.filter((one) => one.ok).length).toBeGreaterThan(230);
}, 60_000);

test("a letter that takes too long is given up alone, and the next ones are read by a new thread", async () => {
  const hasty = new ReadingThread({ batch: 1, letter: 1 });
  const given = await hasty.parse([raws[0]!]);
  expect(given.letters).toEqual([{ ok: false, why: "It took too long to read. Its bytes are kept as they came." }]);
  expect(await given.read(ask)).toEqual([{ found: [], awayUntil: null, search: null }]);
  await hasty.stop();
  // A batch that cannot end in time is tried letter by letter.
  const patient = new ReadingThread({ batch: 1, letter: 20_000 });
  const read = await patient.parse(raws);
  expect(read.letters.map((one) => one.ok)).toEqual([true, (await inProcess.parse([raws[1]!])).letters[0]!.ok, true]);
  expect((await read.read(ask))[0]!.found).toHaveLength(1);
  await patient.stop();
});

test("a thread that is stopped in the middle of its work leaves nothing hanging", async () => {
  const stopped = new ReadingThread();
  await stopped.parse([raws[0]!]);
  const parsing = stopped.parse(Array.from({ length: 200 }, (_, i) => letter(`Could you send number ${i}?`)));
  await stopped.stop();
  expect((await parsing).letters).toHaveLength(200);
  await stopped.stop();
});

test("however many batches wait at once, each is read; what the thread has forgotten is parsed anew", async () => {
  const many = Array.from({ length: 90 }, (_, i) => [letter(`Could you send number ${i} by Friday?`)]);
  const batches = await Promise.all(many.map((one) => thread.parse(one)));
  const read = await Promise.all(batches.map((batch) => batch.read(ask)));
  expect(read.map(([one]) => one!.found.length)).toEqual(many.map(() => 1));
});
