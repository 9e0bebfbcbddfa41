import fs from "node:fs";
import { expect, test } from "vitest";
import { isRule, nextDay } from "@/core/repeating/rule";

// The tables of rrule-go's own tests (Debian's golang-github-teambition-rrule-go-dev): a rule, and the days that it names. Only
// rules of whole days, and only where the first day is in the set (RFC 5545 section 3.8.5.3 says nothing of the others).

const TABLE = "/usr/share/gocode/src/github.com/teambition/rrule-go/rrule_test.go";
const CASE = /NewRRule\(ROption\{(?<options>[\s\S]*?)\n?\t*\}\)\s*want := \[\]time\.Time\{(?<want>[\s\S]*?)\}\n/g;
const DATE = /time\.Date\((\d+), (\d+), (\d+), (\d+), (\d+), (\d+)/g;

function daysIn(text: string): string[] {
  return [...text.matchAll(DATE)].map(([, y, m, d]) =>
    [y!.padStart(4, "0"), m!.padStart(2, "0"), d!.padStart(2, "0")].join("-"),
  );
}

/** "Byweekday: []Weekday{TU.Nth(1), TH}" as BYDAY=1TU,TH. */
function ruleOf(options: string): string | null {
  if (/Byhour|Byminute|Bysecond|Byeaster|Until/.test(options)) return null;
  const freq = /Freq: (YEARLY|MONTHLY|WEEKLY|DAILY)\b/.exec(options)?.[1];
  if (!freq) return null;
  const parts = [`FREQ=${freq}`];
  for (const [, name, value] of options.matchAll(/(Interval|Count|Wkst):\s+(\w+)/g))
    parts.push(`${name!.toUpperCase()}=${value}`);
  for (const [, name, values] of options.matchAll(/(By\w+):\s+\[\]\w+\{([^\n]*)\}/g)) {
    const list = values!.split(/,\s*/).map((one) => one.replace(/^(\w\w)\.Nth\((.+)\)$/, "$2$1").replace(/^\+/, ""));
    parts.push(`${name === "Byweekday" ? "BYDAY" : name!.toUpperCase()}=${list.join(",")}`);
  }
  return parts.join(";");
}

test("rules name the days that rrule-go's tables name", () => {
  let count = 0;
  let days = 0;
  for (const { groups } of fs.readFileSync(TABLE, "utf8").matchAll(CASE)) {
    const { options, want } = groups as { options: string; want: string };
    const rule = ruleOf(options);
    const [from] = daysIn(/Dtstart:.*/.exec(options)?.[0] ?? "");
    const named = daysIn(want);
    if (!rule || !from || named[0] !== from || new Set(named).size < named.length) continue;
    // Once in a hundred years is no repeat for us: we look twelve years ahead.
    if (/INTERVAL=100/.test(rule) && rule.includes("YEARLY")) continue;
    expect([rule, isRule(rule)]).toEqual([rule, true]);
    const ours = [from];
    for (let day = nextDay(rule, from, from); day && ours.length < named.length; day = nextDay(rule, from, day))
      ours.push(day);
    expect([rule, ours]).toEqual([rule, named]);
    // A counted series ends where the table does.
    if (/COUNT=/.test(rule)) expect([rule, nextDay(rule, from, named.at(-1)!)]).toEqual([rule, null]);
    count += 1;
    days += named.length;
  }
  console.log(`${count} rules, ${days} days`);
  expect(count).toBeGreaterThan(15);
});
