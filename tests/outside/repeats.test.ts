import { spawnSync } from "node:child_process";
import path from "node:path";
import { expect, test } from "vitest";
import { isRule, nextDay } from "@/core/repeating/rule";
import { addDays } from "@/core/time/day";

// Judge: python-dateutil (Debian's python3-dateutil), which expands RFC 5545 rules on its own. The rules are those of the
// examples of RFC 5545 section 3.8.5.3 that repeat by days, without their times of day, with the first days given there, and
// those that our words come to.

const RFC_5545: readonly (readonly [string, string])[] = [
  ["FREQ=DAILY;COUNT=10", "1997-09-02"],
  ["FREQ=DAILY;INTERVAL=2", "1997-09-02"],
  ["FREQ=DAILY;INTERVAL=10;COUNT=5", "1997-09-02"],
  ["FREQ=WEEKLY;COUNT=10", "1997-09-02"],
  ["FREQ=WEEKLY;INTERVAL=2;WKST=SU", "1997-09-02"],
  ["FREQ=WEEKLY;COUNT=10;WKST=SU;BYDAY=TU,TH", "1997-09-02"],
  ["FREQ=WEEKLY;INTERVAL=2;COUNT=8;WKST=SU;BYDAY=TU,TH", "1997-09-02"],
  ["FREQ=MONTHLY;COUNT=10;BYDAY=1FR", "1997-09-05"],
  ["FREQ=MONTHLY;INTERVAL=2;COUNT=10;BYDAY=1SU,-1SU", "1997-09-07"],
  ["FREQ=MONTHLY;COUNT=6;BYDAY=-2MO", "1997-09-22"],
  ["FREQ=MONTHLY;BYMONTHDAY=-3", "1997-09-28"],
  ["FREQ=MONTHLY;COUNT=10;BYMONTHDAY=2,15", "1997-09-02"],
  ["FREQ=MONTHLY;COUNT=10;BYMONTHDAY=1,-1", "1997-09-30"],
  ["FREQ=MONTHLY;INTERVAL=18;COUNT=10;BYMONTHDAY=10,11,12,13,14,15", "1997-09-10"],
  ["FREQ=MONTHLY;INTERVAL=2;BYDAY=TU", "1997-09-02"],
  ["FREQ=YEARLY;COUNT=10;BYMONTH=6,7", "1997-06-10"],
  ["FREQ=YEARLY;INTERVAL=2;COUNT=10;BYMONTH=1,2,3", "1997-03-10"],
  ["FREQ=YEARLY;INTERVAL=3;COUNT=10;BYYEARDAY=1,100,200", "1997-01-01"],
  ["FREQ=YEARLY;BYDAY=20MO", "1997-05-19"],
  ["FREQ=YEARLY;BYWEEKNO=20;BYDAY=MO", "1997-05-12"],
  ["FREQ=YEARLY;BYMONTH=3;BYDAY=TH", "1997-03-13"],
  ["FREQ=YEARLY;BYDAY=TH;BYMONTH=6,7,8", "1997-06-05"],
  ["FREQ=MONTHLY;BYDAY=FR;BYMONTHDAY=13", "1997-09-02"],
  ["FREQ=MONTHLY;BYDAY=SA;BYMONTHDAY=7,8,9,10,11,12,13", "1997-09-13"],
  ["FREQ=YEARLY;INTERVAL=4;BYMONTH=11;BYDAY=TU;BYMONTHDAY=2,3,4,5,6,7,8", "1996-11-05"],
  ["FREQ=MONTHLY;COUNT=3;BYDAY=TU,WE,TH;BYSETPOS=3", "1997-09-04"],
  ["FREQ=MONTHLY;BYDAY=MO,TU,WE,TH,FR;BYSETPOS=-2", "1997-09-29"],
  ["FREQ=WEEKLY;INTERVAL=2;COUNT=4;BYDAY=TU,SU;WKST=MO", "1997-08-05"],
  ["FREQ=WEEKLY;INTERVAL=2;COUNT=4;BYDAY=TU,SU;WKST=SU", "1997-08-05"],
  ["FREQ=MONTHLY;BYMONTHDAY=15,30;COUNT=5", "2007-01-15"],
];

const OURS: readonly (readonly [string, string])[] = [
  "FREQ=DAILY",
  "FREQ=WEEKLY;BYDAY=MO,TU,WE,TH,FR",
  "FREQ=WEEKLY;INTERVAL=2;BYDAY=FR",
  "FREQ=MONTHLY",
  "FREQ=MONTHLY;INTERVAL=3",
  "FREQ=MONTHLY;BYDAY=1MO",
  "FREQ=MONTHLY;BYDAY=-1FR",
  "FREQ=MONTHLY;BYMONTHDAY=31",
  "FREQ=MONTHLY;BYMONTHDAY=-1",
  "FREQ=YEARLY",
  "FREQ=WEEKLY;BYDAY=MO;UNTIL=20270331",
].flatMap((rule) => ["2026-11-24", "2024-01-31", "2026-02-28"].map((first) => [rule, first] as const));

test("day after day, a rule leads where python-dateutil says", () => {
  const cases = [...RFC_5545, ...OURS];
  const script = path.join(import.meta.dirname, "python_repeats.py");
  const input = cases.map(([rule, first]) => `${rule}\t${first}`).join("\n");
  const printed = spawnSync("/usr/bin/python3", [script], { input });
  if (printed.status !== 0) throw new Error(printed.stderr.toString());
  const judged = JSON.parse(printed.stdout.toString()) as string[][];
  let days = 0;
  for (const [i, [rule, first]] of cases.entries()) {
    expect([rule, isRule(rule)]).toEqual([rule, true]);
    const found: string[] = [];
    // Years ahead are looked through no further than a dozen; no rule here pauses longer.
    for (
      let day = nextDay(rule, first, addDays(first, -1));
      day !== null && found.length < 40;
      day = nextDay(rule, first, day)
    )
      found.push(day);
    const expected = judged[i]!;
    expect([rule, first, ...found.slice(0, expected.length)]).toEqual([
      rule,
      first,
      ...expected.slice(0, found.length),
    ]);
    expect(found.length).toBeGreaterThanOrEqual(Math.min(expected.length, 3));
    days += found.length;
  }
  expect(cases).toHaveLength(63);
  expect(days).toBeGreaterThan(1_200);
});
