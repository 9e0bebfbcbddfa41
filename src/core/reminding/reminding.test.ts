import { expect, test } from "vitest";
import { addDays, PLAIN_WEEK, weekdayOf } from "../time/day";
import { dayOf, timeOf } from "../time/moment";
import { reminderWords } from "./reminder-words";
import { type RemindedTask, type Reminder, remindersBetween, remindersOf } from "./reminders";

const task = (more: Partial<RemindedTask> = {}): RemindedTask => ({
  id: "t",
  due: { day: "2026-11-30", time: null, zone: "Europe/London" },
  start: null,
  owner: { personId: "suki", zone: "Europe/London" },
  own: [],
  ...more,
});
const says = (reminders: readonly Reminder[]) => reminders.map((one) => [new Date(one.at).toISOString(), one.of]);

test("the morning of the working day before and of the day, on the owner's clock; of a time also two hours before", () => {
  expect(says(remindersOf(task(), PLAIN_WEEK))).toEqual([
    ["2026-11-27T08:00:00.000Z", "the day before"],
    ["2026-11-30T08:00:00.000Z", "the day"],
  ]);
  const york = task({
    owner: { personId: "jo", zone: "America/New_York" },
    due: { day: "2026-11-30", time: "17:00", zone: "Europe/London" },
  });
  expect(says(remindersOf(york, PLAIN_WEEK))).toEqual([
    ["2026-11-27T13:00:00.000Z", "the day before"],
    ["2026-11-30T13:00:00.000Z", "the day"],
    ["2026-11-30T15:00:00.000Z", "soon"],
  ]);
  expect(remindersOf(task({ owner: null }), PLAIN_WEEK)).toEqual([]);
  // From when on it can be begun: in its morning, but not beside a reminder of the due.
  expect(says(remindersOf(task({ start: "2026-11-24" }), PLAIN_WEEK))[0]).toEqual([
    "2026-11-24T08:00:00.000Z",
    "the start",
  ]);
  expect(says(remindersOf(task({ start: "2026-11-27" }), PLAIN_WEEK)).map(([, of]) => of)).toEqual([
    "the day before",
    "the day",
  ]);
  expect(says(remindersOf(task({ start: "2026-11-24", due: null }), PLAIN_WEEK))).toEqual([
    ["2026-11-24T08:00:00.000Z", "the start"],
  ]);
  const own = [{ personId: "ines", at: Date.parse("2026-11-25T09:30:00Z") }];
  expect(says(remindersOf(task({ owner: null, due: null, own }), PLAIN_WEEK))).toEqual([
    ["2026-11-25T09:30:00.000Z", "own time"],
  ]);
});

test("a year in three zones with both clock changes and fifty restarts: each comes once, none before its time, at eight by the wall", () => {
  const zones = ["Europe/London", "America/New_York", "Australia/Sydney"];
  const tasks = zones.flatMap((zone) =>
    Array.from({ length: 365 }, (_, i) => {
      const day = addDays("2026-01-05", i);
      return task({
        id: `${zone} ${day}`,
        due: { day, time: i % 5 === 0 ? "16:30" : null, zone },
        owner: { personId: zone, zone },
      });
    }),
  );
  const expected = tasks.flatMap((one) => remindersOf(one, PLAIN_WEEK));
  const start = Date.parse("2026-01-01T00:00:00Z");
  const end = Date.parse("2027-01-10T00:00:00Z");
  const fired = new Map<string, number>();
  const noons = new Map(tasks.map((one) => [one.due!.day, Date.parse(`${one.due!.day}T12:00Z`)]));
  // A server that looks every hundred minutes; fifty times it is down for up to three days and goes on from where it was.
  let last = start;
  let at = start;
  let restarts = 0;
  for (let i = 0; at < end; i += 1) {
    at += 100 * 60_000;
    if (i % 60 === 59 && restarts < 50) {
      restarts += 1;
      at += ((restarts * 7_919) % 72) * 3_600_000;
    }
    // Only tasks near the span are looked at, as the server does.
    const near = tasks.filter((one) => {
      const noon = noons.get(one.due!.day)!;
      return noon > last - 2 * 86_400_000 && noon < at + 5 * 86_400_000;
    });
    for (const reminder of remindersBetween(near, last, at, PLAIN_WEEK)) {
      const key = `${reminder.taskId} ${reminder.of}`;
      expect(reminder.at).toBeLessThanOrEqual(at);
      fired.set(key, (fired.get(key) ?? 0) + 1);
    }
    last = at;
  }
  expect(restarts).toBe(50);
  expect([...fired.values()].every((count) => count === 1)).toBe(true);
  expect(fired.size).toBe(expected.length);
  expect(fired.size).toBeGreaterThan(2_300);
  for (const one of expected) {
    const zone = one.personId;
    if (one.of === "soon") expect(timeOf({ at: one.at, zone })).toBe("14:30");
    else expect(timeOf({ at: one.at, zone })).toBe("08:00");
    if (one.of === "the day before") expect(weekdayOf(dayOf({ at: one.at, zone }))).toBeLessThan(6);
  }
}, 120_000);

test("a reminder says when it is due, and that it comes late", () => {
  const now = { at: Date.parse("2026-11-24T08:00:30Z"), zone: "Europe/London" };
  const at = Date.parse("2026-11-24T08:00:00Z");
  expect(reminderWords({ day: "2026-11-24", time: "12:00" }, at, now)).toBe("is due today, 12:00");
  expect(reminderWords({ day: "2026-11-25", time: null }, at, now)).toBe("is due Wed 25 Nov");
  expect(reminderWords(null, at, now)).toBe("you wanted to be reminded");
  const later = { ...now, at: now.at + 26 * 3_600_000 };
  expect(reminderWords({ day: "2026-11-24", time: null }, at, later)).toBe(
    "was due Tue 24 Nov, 1 day over; meant for Tue 24 Nov, 08:00",
  );
});
