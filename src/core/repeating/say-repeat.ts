import { MONTHS_IN_FULL, WEEKDAYS_IN_FULL } from "../time/day-in-full";
import type { RepeatRule } from "./rule";

const CODES = ["MO", "TU", "WE", "TH", "FR", "SA", "SU"];
const NTH: Readonly<Record<string, string>> = {
  "1": "first",
  "2": "second",
  "3": "third",
  "4": "fourth",
  "-1": "last",
};

function ordinal(day: number): string {
  const ending =
    day % 10 === 1 && day !== 11
      ? "st"
      : day % 10 === 2 && day !== 12
        ? "nd"
        : day % 10 === 3 && day !== 13
          ? "rd"
          : "th";
  return `${day}${ending}`;
}

function every(count: number, unit: string): string {
  return count === 1 ? `every ${unit}` : count === 2 ? `every other ${unit}` : `every ${count} ${unit}s`;
}

/** How a task repeats, in words: "every first Monday", "two weeks after it is done". The words can be read again by `readRepeat`. */
export function sayRepeat(rule: RepeatRule): string {
  const after = /^AFTER=P(\d+)([DWM])$/.exec(rule);
  if (after) {
    const unit = { D: "day", W: "week", M: "month" }[after[2]!]!;
    return `${after[1]} ${unit}${after[1] === "1" ? "" : "s"} after done`;
  }
  const parts = new Map(rule.split(";").map((part) => part.split("=") as [string, string]));
  const count = Number(parts.get("INTERVAL") ?? "1");
  const days = parts.get("BYDAY")?.split(",") ?? [];
  const name = (code: string) => WEEKDAYS_IN_FULL[CODES.indexOf(code.slice(-2))]!;
  const until = parts.get("UNTIL");
  const end = until
    ? ` until ${Number(until.slice(6, 8))} ${MONTHS_IN_FULL[Number(until.slice(4, 6)) - 1]} ${until.slice(0, 4)}`
    : parts.has("COUNT")
      ? `, ${parts.get("COUNT")} times`
      : "";
  return `${base()}${end}`;

  function base(): string {
    switch (parts.get("FREQ")) {
      case "DAILY":
        return every(count, "day");
      case "WEEKLY": {
        if (days.join() === "MO,TU,WE,TH,FR" && count === 1) return "every working day";
        if (days.length === 0) return every(count, "week");
        const named = days.map(name);
        const list = named.length > 1 ? `${named.slice(0, -1).join(", ")} and ${named.at(-1)}` : named[0]!;
        return count === 2 ? `every other ${list}` : `every ${list}`;
      }
      case "MONTHLY": {
        const [day] = days;
        if (day) return `every ${NTH[day.slice(0, -2)] ?? day.slice(0, -2)} ${name(day)}`;
        const date = parts.get("BYMONTHDAY");
        if (date === "-1") return "the last day of every month";
        if (date) return `the ${ordinal(Number(date))} of every month`;
        return count === 3 ? "every quarter" : every(count, "month");
      }
      default: {
        const month = parts.get("BYMONTH");
        return month ? `every ${parts.get("BYMONTHDAY")} ${MONTHS_IN_FULL[Number(month) - 1]}` : every(count, "year");
      }
    }
  }
}
