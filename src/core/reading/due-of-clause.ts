import { type FoundDate, findDates } from "../time/dates-in-words";
import { dayOf, type Moment } from "../time/moment";
import type { Clause } from "./clauses";
import { countedBackFromEvent, countedBackFromNamed, countedFromDay, countsFromDay } from "./counted-back";
import { dueOf } from "./due";
import { dueByContext } from "./due-by-context";
import type { ReadingSettings } from "./settings";
import type { DueFound, SlipKind } from "./slip";

/** Characters before a clause in which the day is looked for that it counts back from. */
const LOOKED_BACK = 400;

/** What the days of a letter are counted by. */
export interface DayGround {
  readonly text: string;
  readonly from: Moment;
  readonly settings: Pick<ReadingSettings, "calendar" | "figures" | "everyDay">;
}

/** What of its paragraph stands before a clause. */
export function paragraphBefore(text: string, { start }: Pick<Clause, "start">): string {
  return text.slice(Math.max(0, text.lastIndexOf("\n\n", start), start - LOOKED_BACK), start);
}

/**
 * The day by which what a clause says is due: a day of its own, one that its list or table names, one that it counts on or back from, or
 * that of the slip before; trouble has none, nor do days count that were over when it was written.
 * @param last the day of the slip before
 * @returns that day, null where there is none, and whether it is among the clause's own words
 */
export function dueOfClause(
  kind: SlipKind,
  clause: Clause,
  { text, from, settings: { calendar, figures, everyDay } }: DayGround,
  last: DueFound | null,
): { readonly due: DueFound | null; readonly isNamedHere: boolean } {
  const none = kind === "trouble";
  const datesIn = (words: string): readonly FoundDate[] => findDates(words, from, calendar, figures);
  const own = none ? [] : datesIn(clause.text).filter(({ day }) => day >= dayOf(from));
  const lead = clause.row?.by ?? clause.lead;
  const ofLead = lead && own.length === 0 && !none ? datesIn(lead) : [];
  const wordsBefore = text.slice(Math.max(0, clause.start - LOOKED_BACK), clause.start);
  const before = () => datesIn(wordsBefore);
  const due =
    (none ? null : countedBackFromNamed(clause.text, own, calendar)) ??
    (kind !== "question" && !none && countsFromDay(clause.text) ? countedFromDay(clause.text, before(), own) : null) ??
    (!none && own.length === 0 ? countedBackFromEvent(clause.text, wordsBefore, before) : null) ??
    dueOf(kind, clause.text, own, { everyDay }) ??
    (lead && ofLead.length > 0 ? dueOf(kind, lead, ofLead, { everyDay }) : null) ??
    dueByContext(kind, clause.text, last, before, () => datesIn(paragraphBefore(text, clause)).at(-1), from, {
      everyDay,
    });
  return { due, isNamedHere: own.length > 0 };
}
