import { asPattern, namedIn } from "../reading/kind-rule";
import type { Person, Priority } from "../reading/slip";
import { type FoundDate, findDates } from "../time/dates-in-words";
import type { Day, WorkingCalendar } from "../time/day";
import { DURATION, readDuration } from "../time/duration";
import type { Moment } from "../time/moment";

/** How one plain line was understood: "Price for cedar, for Kofi by Wednesday, high". */
export interface ReadLine {
  readonly title: string;
  readonly ownerId: string | null;
  readonly due: { readonly day: Day; readonly time: string | null } | null;
  readonly priority: Priority;
  /** Minutes of work. */
  readonly estimate: number | null;
  readonly projectId: string | null;
}

const PRIORITY_WORDS: readonly (readonly [RegExp, Priority])[] = [
  [/(?:[,;]\s*|\s)(?:top priority|top)\s*$/i, "top"],
  [/(?:[,;]\s*|\s)(?:high priority|high|urgent(?:ly)?)\s*$/i, "high"],
  [/(?:[,;]\s*|\s)(?:low priority|low|no (?:rush|hurry))\s*$/i, "low"],
  [/[,;]\s*(?:normal priority|normal)\s*$/i, "normal"],
];

/** A length of work that stands by itself between commas: ", about two hours". */
const ESTIMATE = new RegExp(
  `[,;]\\s*(?:(?:takes|about|around|roughly|some|estimate:?)\\s+)*(?<d>${DURATION})(?=\\s*(?:[,;]|$))`,
  "iu",
);

/** A name that the line knows a project by. */
export interface NamedProject {
  readonly id: string;
  readonly name: string;
}

/** The day that is meant as due: the one after "by" and the like, else the last one ("Agenda for the Monday meeting, by Friday"). */
function dueIn(line: string, found: readonly FoundDate[]): FoundDate | null {
  const days = found.filter((one) => !/urgent/i.test(one.words));
  return (
    days.findLast((one) => /\b(?:by|before|due|until|on)\s+(?:the\s+)?$/i.test(line.slice(0, one.start))) ??
    days.at(-1) ??
    null
  );
}

/**
 * Reads one line typed for a new task, with the reader of letters, no command words or signs: the owner after "for" or at
 * the head ("Kofi: …"), the due day anywhere, the priority as the last word, how
 * long it takes and the project by its name after a comma. What
 * is not understood stays in the title.
 */
export function readLine(
  line: string,
  team: readonly Person[],
  projects: readonly NamedProject[],
  from: Moment,
  calendar: WorkingCalendar,
  order: "dmy" | "mdy",
): ReadLine {
  let rest = ` ${line.replace(/\s+/g, " ").trim()} `;
  let priority: Priority = "normal";
  let ownerId: string | null = null;
  let projectId: string | null = null;
  const cutOut = (start: number, end: number) => {
    rest = `${rest.slice(0, start).replace(/[\s,;]+$/, "")} ${rest.slice(end).replace(/^[\s]+/, "")}`.replace(
      /\s+,/g,
      ",",
    );
  };
  for (const [pattern, value] of PRIORITY_WORDS) {
    const match = pattern.exec(rest.trimEnd());
    if (match && match.index > 0) {
      priority = value;
      rest = `${rest.slice(0, match.index)} `;
      break;
    }
  }
  for (const project of projects) {
    const match = new RegExp(`[,;]\\s*(?:in |on )?${asPattern(project.name)}\\s*(?=[,;]|$)`, "i").exec(rest.trimEnd());
    if (match) {
      projectId = project.id;
      cutOut(match.index, match.index + match[0].length);
      break;
    }
  }
  const long = ESTIMATE.exec(rest.trimEnd());
  const estimate = long ? readDuration(long.groups!.d!) : null;
  if (long && estimate !== null) cutOut(long.index, long.index + long[0].length);
  const date = dueIn(rest, findDates(rest, from, calendar, order));
  if (date) {
    const lead = /[\s,;]+(?:(?:is )?(?:due|by|on|before|until|for|this)\s+)*$/i.exec(rest.slice(0, date.start));
    cutOut(lead ? lead.index : date.start, date.end);
  }
  for (const { person, at, end } of namedIn(rest, team)) {
    const before = rest.slice(0, at);
    const after = rest.slice(end);
    const forName = /[\s,;]+(?:for|from|to|give to|hand to|handed to)\s+$/i.exec(before);
    const isTail = /^[\s,;.]*$/.test(after) || /^\s*[,;]/.test(after);
    if (forName && isTail) {
      ownerId = person.id;
      cutOut(forName.index, end);
      break;
    }
    if (/^\s*$/.test(before) && /^\s*[:,–-]\s/.test(after)) {
      ownerId = person.id;
      rest = after.replace(/^\s*[:,–-]\s+/, "");
      break;
    }
    if (/[,;]\s*$/.test(before) && isTail) {
      ownerId = person.id;
      cutOut(at, end);
      break;
    }
  }
  const title = rest.replace(/^[\s,;:]+|[\s,;:]+$/g, "").replace(/\s*,\s*,/g, ",");
  return {
    title: title.charAt(0).toUpperCase() + title.slice(1),
    ownerId,
    due: date ? { day: date.day, time: date.time } : null,
    priority,
    estimate,
    projectId,
  };
}
