import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { isMbox, messagesOfMbox } from "./exchange/mbox";
import { clausesIn } from "./reading/clauses";
import { guessProject } from "./sorting/guess-project";
import { dayOf, instantOf, isZone, timeOf } from "./time/moment";
import { findTimes } from "./time/rules/time-of-day";
import { initialsOf } from "./views/initials";
import { whoSees } from "./views/who-sees";

test("initials are of the first and the last word", () => {
  expect(
    ["Ines Valdarno", "colm", "p.nnadi@school.example", "Ana María de la Cruz", "", "“Bo” (Bo Ek)", "李 小龙"].map(
      initialsOf,
    ),
  ).toEqual(["IV", "C", "PE", "AC", "?", "B", "李小"]);
});

test("who sees letters that are put on a project or a task", () => {
  const team = ["Ada", "Bo", "Cy", "Di", "Ed"].map((name) => ({
    id: name.toLowerCase(),
    name,
    initials: name,
    address: `${name}@house.example`,
    work: "",
    nicknames: [],
    away: null,
  }));
  const projects = [
    { id: "open", name: "Open", workstreams: [], members: null },
    { id: "private", name: "Private", workstreams: [], members: ["ada", "bo"] },
    { id: "own", name: "Own", workstreams: [], members: ["ada"] },
  ];
  const house = { me: team[0]!, organisation: "Yard", projects, team };
  const cases: [(string | null)[], (string | null)[], string][] = [
    [["open"], [], "all of Yard (4 others)"],
    [[null], [], "all of Yard (4 others)"],
    [["private"], [], "Bo"],
    [["private"], ["ed"], "Bo and Ed"],
    [["own"], ["ada", null], "nobody else"],
    [["own"], ["ed", "cy", "bo"], "Bo, Cy and Ed"],
  ];
  for (const [ids, owners, says] of cases) expect(whoSees(ids, owners, house)).toBe(says);
  const larger = { ...house, team: [...team, { ...team[4]!, id: "flo", name: "Flo" }] };
  expect(whoSees(["own"], ["ed", "cy", "bo", "di"], larger)).toBe("Bo, Cy, Di and 1 more");
});

describe("a letter's project", () => {
  const projects = [
    { id: "green", firmId: "council", words: ["Harbour Green", "crane"] },
    { id: "lane", firmId: "council", words: ["Merrow Lane"] },
    { id: "yard", firmId: "school", words: ["Ashgrove yard"] },
  ];
  test("is the one its subject names, else the only one of the writer's firm, else the one its text names", () => {
    expect(guessProject("Re: Harbour Green fence", "", null, projects)).toBe("green");
    expect(guessProject("Fence", "", "school", projects)).toBe("yard");
    expect(guessProject("Fence", "about Merrow Lane", "council", projects)).toBe("lane");
    expect(guessProject("Fence", "", "council", projects)).toBeNull();
    expect(guessProject("Harbour Green and Merrow Lane", "", null, projects)).toBeNull();
  });
});

describe("moments", () => {
  test("are read on the wall of their zone, spring gap and autumn fold included", () => {
    const at = Date.parse("2026-11-24T23:30:00Z");
    expect([
      dayOf({ at, zone: "Europe/London" }),
      dayOf({ at, zone: "+13:00" }),
      timeOf({ at, zone: "-03:30" }),
    ]).toEqual(["2026-11-24", "2026-11-25", "20:00"]);
    // 29 March 2026, 01:30 does not exist in London: the clocks go from 01:00 to 02:00.
    expect(new Date(instantOf("2026-03-29", "01:30", "Europe/London")).toISOString()).toBe("2026-03-29T01:30:00.000Z");
    expect([isZone("Europe/Dublin"), isZone("+05:30"), isZone("Mars/Dome"), isZone("")]).toEqual([
      true,
      true,
      false,
      false,
    ]);
  });
  test("go there and back", () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 2_000_000_000 }),
        fc.constantFrom("UTC", "+13:00", "-09:30", "Asia/Kolkata"),
        (seconds, zone) => {
          const at = Math.floor(seconds / 60) * 60_000;
          expect(instantOf(dayOf({ at, zone }), timeOf({ at, zone }), zone)).toBe(at);
        },
      ),
      { numRuns: 200, seed: 422 },
    );
  });
});

test("times of day are read as offices say them, and figures that are none are left", () => {
  const times = (text: string) => findTimes(text).map((found) => found.time);
  expect(
    [
      "at 14:00",
      "by 2 pm",
      "at 2.30pm",
      "10 o'clock",
      "at noon",
      "by half past nine",
      "at quarter to five",
      "ten o’clock",
      "by 9am",
      "at 17.30",
      "first thing",
    ].map((text) => times(text)[0]),
  ).toEqual(["14:00", "14:00", "14:30", "10:00", "12:00", "09:30", "16:45", "10:00", "09:00", "17:30", "09:00"]);
  for (const text of ["25:00", "12:61", "size 10", "3.5 m", "50 %", "at two weeks", "10/11", "1,200"])
    expect([text, times(text)]).toEqual([text, []]);
});

describe("clauses", () => {
  const clauses = (text: string) => clausesIn(text, [{ kind: "new", start: 0, end: text.length }]);
  test("lie where they say, in order, and never overlap", () => {
    const word = fc.constantFrom(
      "please",
      "send",
      "Suki",
      "and",
      "could",
      "you",
      "the",
      "plan.",
      "by",
      "Friday,",
      "Hi",
      "\n",
      "\n\n",
      "- ",
      "why?",
      "e.g.",
      "Regards,",
      ":",
    );
    let seen = 0;
    fc.assert(
      fc.property(fc.array(word, { maxLength: 60 }), (words) => {
        const text = words.join(" ");
        let last = 0;
        for (const clause of clauses(text)) {
          expect(text.slice(clause.start, clause.end).replace(/\s+/g, " ")).toBe(clause.text);
          expect(clause.start).toBeGreaterThanOrEqual(last);
          last = clause.end;
          seen += 1;
        }
      }),
      { numRuns: 300, seed: 423 },
    );
    expect(seen).toBeGreaterThan(300);
  });
  test("end at the farewell, skip the greeting, and do not break at abbreviations", () => {
    expect(
      clauses("Hi Ines,\n\nSee e.g. sheet 3, it is fine.\n\nKind regards,\nColm\nTown Hall").map(
        (clause) => clause.text,
      ),
    ).toEqual(["See e.g. sheet 3, it is fine."]);
  });
});

describe("an mbox", () => {
  const bytes = (text: string) => new TextEncoder().encode(text);
  async function cut(text: string, size: number): Promise<string[]> {
    const whole = bytes(text);
    async function* chunks() {
      for (let at = 0; at < whole.length; at += size) yield whole.subarray(at, at + size);
    }
    const found: string[] = [];
    for await (const message of messagesOfMbox(chunks(), 10_000)) found.push(new TextDecoder().decode(message.raw));
    return found;
  }
  test("is known by its first line", () => {
    expect([
      isMbox(bytes("From a@b Mon Sep  2 14:00:00 2002\nX: y\n")),
      isMbox(bytes("From: a@b\n\nx")),
      isMbox(bytes("From here on it is cold\n")),
    ]).toEqual([true, false, false]);
  });
  test("is cut the same whatever the size of the chunks, and a sentence that begins with From stays in its letter", async () => {
    const box =
      "From a@b Mon Sep  2 14:00:00 2002\r\nA: 1\r\n\r\nFrom now on, at 10:30 in 2002 or so,\r\nnothing.\r\n\r\nFrom a@b Mon Sep  2 14:00:00 2002\r\nB: 2\r\n\r\n\r\nFrom where I stand\r\n>From a@b quoted\r\n";
    const whole = await cut(box, 10_000);
    expect(whole).toHaveLength(2);
    for (const size of [1, 2, 3, 7, 64]) expect(await cut(box, size)).toEqual(whole);
    expect(whole[1]).toContain("From where I stand");
  });
});
