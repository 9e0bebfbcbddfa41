import fc from "fast-check";
import { expect, test } from "vitest";
import { addDays, PLAIN_WEEK, workingDaysBetween } from "../time/day";
import { chaseLanguage, chaseLetter } from "./chase-letter";
import { isAbout } from "./is-about";
import { isMachinesAddress } from "./machines-address";
import { isForToday, MOST_CHASES_A_WEEK, nextStep, type WaitNow } from "./next-step";
import { daysOfSilence, longFrom, usualDays } from "./silence";

// Tuesday 24 November 2026.
const TODAY = "2026-11-24";
const wait = (more: Partial<WaitNow> = {}): WaitNow => ({
  side: "theirs",
  today: TODAY,
  due: null,
  isPromise: false,
  heard: "2026-11-23",
  silence: 1,
  usual: null,
  chased: [],
  chasedThisWeek: 0,
  awayUntil: null,
  planned: null,
  isInSort: false,
  canWrite: true,
  answer: null,
  ...more,
});
const step = (more: Partial<WaitNow>) => nextStep(wait(more), PLAIN_WEEK);

test("silence is counted in working days, not while they are away, and not on holidays", () => {
  expect(daysOfSilence("2026-11-17", TODAY, PLAIN_WEEK)).toBe(5);
  expect(daysOfSilence("2026-11-20", TODAY, PLAIN_WEEK)).toBe(2);
  expect(daysOfSilence(TODAY, TODAY, PLAIN_WEEK)).toBe(0);
  expect(daysOfSilence("2026-11-30", TODAY, PLAIN_WEEK)).toBe(0);
  expect(daysOfSilence("2026-11-17", TODAY, { ...PLAIN_WEEK, holidays: ["2026-11-19"] })).toBe(4);
  // Away from Wednesday 18 until back on Monday 23: Tuesday is silent alone, and the Monday itself.
  expect(daysOfSilence("2026-11-17", TODAY, PLAIN_WEEK, "2026-11-23", "2026-11-17")).toBe(2);
  // They said on Friday that they are away until Thursday 26: the days before count.
  expect(daysOfSilence("2026-11-17", TODAY, PLAIN_WEEK, "2026-11-26", "2026-11-20")).toBe(3);
  expect(daysOfSilence("2026-11-17", TODAY, PLAIN_WEEK, "2026-11-10", "2026-11-05")).toBe(5);
});

test("how long they usually take: three of four answers were quicker; little is nothing", () => {
  expect(usualDays([1, 2])).toBeNull();
  expect(usualDays([1, 1, 2, 6])).toBe(2);
  expect(usualDays([0, 0, 0])).toBe(1);
  expect(longFrom(null)).toBe(4);
  expect(longFrom(2)).toBe(3);
});

test("a broken promise is chased the day after, what is needed two working days before, silence when it is unusual", () => {
  expect(step({ due: "2026-11-23", isPromise: true })).toEqual({ what: "letter", day: TODAY, why: "promise broken" });
  expect(step({ due: "2026-11-26", isPromise: true })).toMatchObject({ day: "2026-11-27", why: "promise broken" });
  expect(step({ due: "2026-11-27" })).toMatchObject({ day: "2026-11-25", why: "before it is needed" });
  expect(step({ due: "2026-11-26", heard: TODAY, silence: 0 })).toMatchObject({ day: "2026-11-25" });
  expect(step({ due: "2026-12-18" })).toMatchObject({ day: "2026-11-27", why: "silent" });
  expect(step({ heard: "2026-11-17", silence: 5 })).toMatchObject({ what: "letter", day: TODAY, why: "silent" });
  expect(step({ heard: "2026-11-17", silence: 5, usual: 6 })).toMatchObject({ day: "2026-11-26" });
});

test("after two letters without a word one rings; who is away is left alone; what lies in Sort is read first", () => {
  const chased = ["2026-11-18", "2026-11-20"];
  expect(step({ heard: "2026-11-17", silence: 5, chased })).toMatchObject({ what: "ring", day: TODAY });
  expect(step({ heard: "2026-11-19", silence: 3, due: "2026-11-20", chased })).toMatchObject({ what: "letter" });
  expect(step({ awayUntil: "2026-11-28", due: "2026-11-20" })).toEqual({
    what: "wait until back",
    day: "2026-11-30",
    why: "away",
  });
  expect(step({ isInSort: true, due: "2026-11-20" })).toMatchObject({ what: "read their letter" });
  expect(step({ canWrite: false, due: "2026-11-20" })).toMatchObject({ what: "ring", why: "no address" });
});

test("a colleague is asked when it is late, in doubt or not answered; handed back it needs an owner", () => {
  const ours = (more: Partial<WaitNow>) => step({ side: "ours", ...more });
  expect(ours({ answer: "handed back" })).toMatchObject({ what: "give it an owner" });
  expect(ours({ answer: "asks" })).toMatchObject({ what: "answer" });
  expect(ours({ answer: "taken on", due: "2026-11-23" })).toMatchObject({ what: "ask", why: "over" });
  expect(ours({ answer: "not answered", silence: 0 })).toMatchObject({ what: "nothing", why: "on time" });
  expect(ours({ answer: "not answered", silence: 1 })).toMatchObject({ what: "ask", why: "not answered" });
});

const day = fc.integer({ min: -40, max: 40 }).map((days) => addDays(TODAY, days));
test("whatever the wait, no letter is for today to who is away, twice within two days, or beyond what is agreed", () => {
  let letters = 0;
  fc.assert(
    fc.property(
      fc.record({
        due: fc.option(day),
        isPromise: fc.boolean(),
        heard: day,
        usual: fc.option(fc.integer({ min: 1, max: 12 })),
        chased: fc.array(day, { maxLength: 4 }).map((days) => days.filter((one) => one <= TODAY).sort()),
        chasedThisWeek: fc.integer({ min: 0, max: 4 }),
        awayUntil: fc.option(day),
        canWrite: fc.boolean(),
        planned: fc.oneof({ weight: 9, arbitrary: fc.constant(null) }, fc.constantFrom(TODAY, "2026-11-26")),
        isInSort: fc.boolean(),
      }),
      (more) => {
        const now = wait({ ...more, silence: daysOfSilence(more.heard, TODAY, PLAIN_WEEK) });
        const next = nextStep(now, PLAIN_WEEK);
        if (next.what !== "letter") return;
        letters += 1;
        // Where one leaves by itself, none is offered beside it.
        expect(now.planned).toBeNull();
        expect(next.day! >= TODAY).toBe(true);
        expect([6, 7]).not.toContain(new Date(`${next.day}T00:00Z`).getUTCDay() || 7);
        if (!isForToday(next, TODAY)) return;
        expect(now.awayUntil === null || now.awayUntil <= TODAY).toBe(true);
        expect(now.canWrite && !now.isInSort).toBe(true);
        expect(now.chasedThisWeek).toBeLessThan(MOST_CHASES_A_WEEK);
        const last = now.chased.at(-1);
        if (last) expect(workingDaysBetween(last, TODAY, PLAIN_WEEK)).toBeGreaterThanOrEqual(2);
      },
    ),
    { numRuns: 5_000, seed: 7 },
  );
  expect(letters).toBeGreaterThan(400);
});

test("a chase quotes what was said, names the date, and is plainer each time, never twice the same", () => {
  const facts = {
    name: "Perpetua Nnadi",
    sender: "Ines Valdarno",
    title: "Governors’ answer on the hours",
    quote: { words: "will look at the opening\n hours on Thursday.", isTheirs: true, day: "2026-11-18" },
    due: "2026-11-30",
    isPromise: true,
    today: TODAY,
    chases: 0,
    language: "English" as const,
  };
  const first = chaseLetter(facts, PLAIN_WEEK);
  expect(first).toBe(
    "Dear Perpetua,\n\nOn Wednesday 18 November you wrote: “will look at the opening hours on Thursday.” We need it by Monday 30 November, in 4 working days. Did it come about, or is there something we can help with?\n\nInes Valdarno",
  );
  for (const isPromise of [true, false]) {
    const letters = [0, 1, 2, 3].map((chases) => chaseLetter({ ...facts, isPromise, chases }, PLAIN_WEEK));
    expect(new Set(letters).size).toBe(4);
  }
  expect(
    chaseLetter({ ...facts, quote: null, due: null, isPromise: false, title: "Send the bolts" }, PLAIN_WEEK),
  ).toContain("We are waiting for one thing from you: send the bolts. May I ask how far it is?");
  expect(chaseLetter({ ...facts, due: "2026-11-20" }, PLAIN_WEEK)).toContain("That was meant for Friday 20 November.");
});

test("a chase is in the language of the letter that it quotes, plainer each time in each", () => {
  expect(chaseLanguage("Guten Tag, die Pläne schicke ich Ihnen bis Freitag, und die Rechnung auch.")).toBe("German");
  expect(chaseLanguage("Bonjour, je vous envoie les plans vendredi avec la facture et le devis.")).toBe("French");
  expect(chaseLanguage("Jag skickar er ritningarna på fredag och även priset för det.")).toBe("English");
  expect(chaseLanguage(null)).toBe("English");
  const facts = {
    name: "Grete Holm",
    sender: "Ines Valdarno",
    title: "Plans",
    quote: { words: "Die Pläne schicke ich Ihnen bis Freitag", isTheirs: true, day: "2026-11-16" },
    due: "2026-11-20",
    isPromise: true,
    today: TODAY,
    chases: 0,
  };
  expect(chaseLetter({ ...facts, language: "German" }, PLAIN_WEEK)).toBe(
    "Guten Tag Grete,\n\nam Montag, 16. November haben Sie geschrieben: „Die Pläne schicke ich Ihnen bis Freitag.“ Das war für Freitag, 20. November gedacht. Hat es geklappt, oder können wir bei etwas helfen?\n\nInes Valdarno",
  );
  let letters = 0;
  for (const language of ["German", "French", "Dutch", "Spanish"] as const)
    for (const isPromise of [true, false])
      for (const due of ["2026-11-20", "2026-11-30", null]) {
        const all = [0, 1, 2, 3].map((chases) =>
          chaseLetter({ ...facts, language, isPromise, due, chases }, PLAIN_WEEK),
        );
        expect(new Set(all).size).toBe(4);
        for (const letter of all) expect(letter).not.toMatch(/\b(?:you|we|the|undefined|November \d)\b/);
        letters += all.length;
      }
  expect(letters).toBe(96);
});

test("which letter may be about a wait: two words that tell, or all where there are fewer", () => {
  expect(isAbout("Road closure permit number", "Road closure: the number comes tomorrow")).toBe(true);
  expect(isAbout("Road closure permit number", "Opening: the choir sings on the road")).toBe(false);
  expect(isAbout("Hats", "Here are the hats")).toBe(true);
  expect(isAbout("Send it", "Send it")).toBe(false);
});

test("addresses that say themselves that nobody reads there are known", () => {
  for (const machine of [
    "noreply@shop.example",
    "no-reply@shop.example",
    "orders.no-reply@shop.example",
    "do-not-reply@x.example",
    "MAILER-DAEMON@x.example",
    "bounces+17@x.example",
  ])
    expect([machine, isMachinesAddress(machine)]).toEqual([machine, true]);
  for (const person of ["norea.plyth@shop.example", "colm@council.example", "reply@council.example"])
    expect([person, isMachinesAddress(person)]).toEqual([person, false]);
});
