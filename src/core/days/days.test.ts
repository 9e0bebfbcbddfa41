import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { addDays, type Day, PLAIN_WEEK } from "../time/day";
import { instantOf } from "../time/moment";
import { type Absence, awayFault, awayStateOn } from "./away";
import { readAway } from "./read-away";
import { minutesOf, nextMorning, roundAt } from "./round";

const ZONE = "Europe/London";
const TUESDAY = { at: instantOf("2026-11-24", "11:20", ZONE), zone: ZONE };
const PEOPLE = [
  { id: "suki", name: "Suki Aldane", address: "suki@house.example" },
  { id: "toby", name: "Tobias Reyne", address: "tobias@house.example", nicknames: ["Toby"] },
];

describe("a time away", () => {
  const read = (line: string) => readAway(line, TUESDAY, PLAIN_WEEK, "dmy", PEOPLE);

  test("is read from one line: days, who covers, whether mailboxes are opened", () => {
    expect(read("monday until friday 4 december, Suki")).toEqual({
      fromDay: "2026-11-30",
      backDay: "2026-12-07",
      covers: ["suki"],
      withMailboxes: false,
    });
    expect(read("from thursday, back on 1 december, toby covers, with my mail")).toEqual({
      fromDay: "2026-11-26",
      backDay: "2026-12-01",
      covers: ["toby"],
      withMailboxes: true,
    });
    expect(read("until thursday")).toMatchObject({ fromDay: "2026-11-24", backDay: "2026-11-27", covers: [] });
    expect(read("tomorrow")).toMatchObject({ fromDay: "2026-11-25", backDay: "2026-11-26" });
    expect(read("suki and toby on friday").covers).toEqual(["suki", "toby"]);
    expect(read("soon")).toMatchObject({ fromDay: null, backDay: null });
  });

  const absence = (more: Partial<Absence> = {}): Absence => ({
    personId: "ines",
    coverId: "suki",
    fromDay: "2026-11-30",
    backDay: "2026-12-07",
    ...more,
  });

  test("is refused where it is past, backwards, covered by oneself, or clashes with another", () => {
    const fault = (more: Partial<Absence>, known: Absence[] = []) => awayFault(absence(more), known, "2026-11-24");
    expect(fault({})).toBeNull();
    expect(fault({ fromDay: "2026-11-02", backDay: "2026-11-24" })).toBe("past");
    expect(fault({ fromDay: "2026-12-07" })).toBe("backwards");
    expect(fault({ coverId: "ines" })).toBe("covers oneself");
    expect(fault({}, [absence({ fromDay: "2026-12-04", backDay: "2026-12-11" })])).toBe("away already");
    expect(fault({}, [absence({ fromDay: "2026-12-07", backDay: "2026-12-11" })])).toBeNull();
    expect(fault({}, [absence({ personId: "suki", coverId: null })])).toBe("cover is away");
  });

  test("is now on each of its days alone, whatever they are", () => {
    let days = 0;
    fc.assert(
      fc.property(fc.integer({ min: -30, max: 30 }), fc.integer({ min: 1, max: 40 }), (start, length) => {
        const fromDay = addDays("2026-03-20", start);
        const backDay = addDays(fromDay, length);
        for (let day: Day = addDays(fromDay, -2); day <= addDays(backDay, 2); day = addDays(day, 1)) {
          days += 1;
          const is = awayStateOn({ fromDay, backDay }, day);
          expect(is).toBe(day < fromDay ? "planned" : day < backDay ? "on" : "over");
        }
      }),
    );
    expect(days).toBeGreaterThan(500);
  });
});

describe("a round", () => {
  test("takes the minutes between its acts, without long pauses", () => {
    const at = (minute: number) => minute * 60_000;
    expect(minutesOf([])).toBe(0);
    expect(minutesOf([at(0)])).toBe(1);
    expect(minutesOf([at(5), at(0), at(9)])).toBe(10);
    expect(minutesOf([at(0), at(4), at(90), at(92)])).toBe(8);
  });

  test("never takes longer than from its first act to its last, and a minute for each stretch", () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 0, max: 12 * 60 }), { minLength: 1 }), (minutes) => {
        const times = minutes.map((minute) => minute * 60_000);
        const span = Math.max(...minutes) - Math.min(...minutes);
        expect(minutesOf(times)).toBeLessThanOrEqual(span + 1);
        expect(minutesOf(times)).toBeGreaterThanOrEqual(1);
      }),
    );
  });

  test("is named by the time of the day; a closed day is quiet until the next working morning", () => {
    const times = ["13:00", "08:00", "17:00"];
    const at = (time: string) => ({ at: instantOf("2026-11-27", time, ZONE), zone: ZONE });
    expect(roundAt(times, at("07:10"))).toBe("Morning round");
    expect(roundAt(times, at("12:59"))).toBe("Morning round");
    expect(roundAt(times, at("13:00"))).toBe("Round after lunch");
    expect(roundAt(times, at("18:30"))).toBe("Round at the end of the day");
    expect(roundAt(["09:00", "11:00", "14:00", "16:00"], at("14:30"))).toBe("Round of 14:00");
    expect(nextMorning(times, at("18:30"), PLAIN_WEEK)).toBe(instantOf("2026-11-30", "08:00", ZONE));
    // The clocks go back in the night to Sunday 25 October 2026: the morning stays at eight.
    const friday = { at: instantOf("2026-10-23", "18:00", ZONE), zone: ZONE };
    expect(nextMorning(times, friday, PLAIN_WEEK)).toBe(Date.parse("2026-10-26T08:00:00Z"));
  });
});
