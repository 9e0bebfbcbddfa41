import { spawnSync } from "node:child_process";
import path from "node:path";
import fc from "fast-check";
import { expect, test } from "vitest";
import { daysFeed, type FeedTask, tasksFeed } from "@/core/exchange/calendar-feed";

// Read back by a second reader, Debian's python3-icalendar: ical.js, which writes the feeds, is not its own referee. Sections
// are those of RFC 5545.

interface Part {
  name: string;
  errors: string[];
  UID: string;
  SUMMARY: string;
  DESCRIPTION?: string;
  STATUS?: string;
  PRIORITY?: number;
  URL?: string;
  TRANSP?: string;
  DTSTART?: string;
  DTEND?: string;
  DUE?: string;
  COMPLETED?: string;
}

function readBack(feed: string): Part[] {
  const script = path.join(import.meta.dirname, "python_calendar.py");
  const printed = spawnSync("/usr/bin/python3", [script], { input: feed, maxBuffer: 64 * 1024 * 1024 });
  if (printed.status !== 0) throw new Error(printed.stderr.toString());
  return (JSON.parse(printed.stdout.toString()) as { parts: Part[] }).parts;
}

const OWNER = { id: "ines", name: "Ines Valdarno" };
const NOW = Date.parse("2026-11-24T11:20:00Z");
const task = (more: Partial<FeedTask>): FeedTask => ({
  id: "0193",
  reference: "quince 417",
  title: "Send the drawing",
  state: "to begin",
  priority: "normal",
  due: { day: "2026-11-25", time: null, zone: "Europe/London" },
  startDay: null,
  percent: null,
  project: "Harbour Green",
  createdAt: NOW - 86_400_000,
  changedAt: NOW,
  finishedAt: null,
  link: "http://localhost:3900/tasks/quince-417",
  ...more,
});

test("tasks as VTODO: status and priority as 3.8.1.11 and 3.8.1.9 have them, dates and instants as 3.3.4 and 3.3.5", () => {
  const parts = readBack(
    tasksFeed(OWNER, [
      task({}),
      task({
        id: "b",
        state: "under way",
        priority: "top",
        due: { day: "2026-07-01", time: "14:00", zone: "Europe/London" },
      }),
      task({ id: "c", state: "done", priority: "high", finishedAt: NOW, due: null }),
      task({ id: "d", state: "called off", priority: "low" }),
      task({ id: "e", state: "under way", startDay: "2026-11-23", percent: 40 }),
      task({ id: "f", startDay: "2026-11-25" }),
    ]),
  );
  // From when on it can be begun, only where that lies before the due (RFC 5545 section 3.8.2.3).
  expect(parts.map((part) => part.DTSTART ?? null)).toEqual([null, null, null, null, "2026-11-23", null]);
  expect(parts.map((part) => [part.name, part.STATUS, part.PRIORITY, part.DUE ?? null, part.errors])).toEqual([
    ["VTODO", "NEEDS-ACTION", 5, "2026-11-25", []],
    // 14:00 of a summer day in London.
    ["VTODO", "IN-PROCESS", 1, "2026-07-01T13:00:00+00:00", []],
    ["VTODO", "COMPLETED", 3, null, []],
    ["VTODO", "CANCELLED", 9, "2026-11-25", []],
    ["VTODO", "IN-PROCESS", 5, "2026-11-25", []],
    ["VTODO", "NEEDS-ACTION", 5, "2026-11-25", []],
  ]);
  expect(parts[2]!.COMPLETED).toBe("2026-11-24T11:20:00+00:00");
  expect(parts[0]!.URL).toBe("http://localhost:3900/tasks/quince-417");
});

test("one entry a day says what is due; what is over stands in today's; days with nothing have none", () => {
  const due = (day: string, time: string | null = null) => ({ day, time, zone: "Europe/London" });
  const parts = readBack(
    daysFeed(
      OWNER,
      [
        task({ id: "1", title: "Old one", due: due("2026-11-20") }),
        task({ id: "2", title: "Today", due: due("2026-11-24") }),
        ...["A", "B", "C", "D"].map((title) => task({ id: title, title, due: due("2026-11-26", "09:00") })),
        task({ id: "9", state: "done", due: due("2026-11-27") }),
        task({ id: "10", due: null }),
      ],
      "2026-11-24",
      NOW,
    ),
  );
  expect(parts.map((part) => [part.DTSTART, part.DTEND, part.SUMMARY, part.TRANSP])).toEqual([
    ["2026-11-24", "2026-11-25", "1 due, 1 over: Old one; Today", "TRANSPARENT"],
    ["2026-11-26", "2026-11-27", "4 due: A; B; C, and 1 more", "TRANSPARENT"],
  ]);
  expect(parts[1]!.DESCRIPTION).toContain("09:00 D (quince 417)\nhttp://localhost:3900/tasks/quince-417");
});

test("whatever a title holds comes back as it was, in lines of at most 75 octets (3.1)", () => {
  const title = fc
    .string({ unit: "grapheme", minLength: 1, maxLength: 200 })
    // A backslash before an n is read back wrongly by this reader (it undoes "\\n" before "\\\\"); it is looked at below.
    .map(
      (text) =>
        text
          .replace(/\\(?=[nN])/g, "")
          .replace(/[\p{Cc}\p{Cs}\u2028\u2029]/gu, "")
          .trim() || "x",
    );
  const titles = fc.sample(title, { numRuns: 300, seed: 5 });
  const hard = ["a;b,c\\d", "BEGIN:VTODO", "é".repeat(120), '"quoted": yes', "x".repeat(75)];
  const all = [...hard, ...titles].map((text, i) => task({ id: `t${i}`, title: text }));
  const feed = tasksFeed(OWNER, all);
  for (const line of feed.split("\r\n")) expect(Buffer.byteLength(line)).toBeLessThanOrEqual(75);
  expect(feed).not.toMatch(/[^\r]\n/);
  const parts = readBack(feed);
  expect(parts).toHaveLength(all.length);
  const read = parts.filter((part, i) => part.SUMMARY === all[i]!.title).length;
  expect(read).toBe(all.length);
  expect(read).toBeGreaterThan(300);
  // 3.3.11: the backslash is escaped, the n after it stays.
  expect(tasksFeed(OWNER, [task({ title: "C:\\new" })])).toContain("\r\nSUMMARY:C:\\\\new\r\n");
});
