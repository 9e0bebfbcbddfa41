import { baseSubject } from "../letters/base-subject";
import type { Day, WorkingCalendar } from "../time/day";
import { dayOf } from "../time/moment";
import type { WaitRow } from "../views/waiting-view";
import { chaseLetter } from "./chase-letter";

/** The chase of a wait as we word it: its subject, in the conversation where there is one, and its text. */
export function chaseOf(
  row: WaitRow,
  sender: string,
  now: { readonly today: Day; readonly zone: string; readonly calendar: WorkingCalendar },
): { readonly subject: string; readonly text: string } {
  const text = chaseLetter(
    {
      name: row.from?.name ?? "",
      sender,
      title: row.task.title,
      quote: row.quote && { ...row.quote, day: dayOf({ at: row.quote.at, zone: now.zone }) },
      due: row.due?.day ?? null,
      isPromise: row.isPromise,
      today: now.today,
      chases: row.chases,
      language: row.language,
    },
    now.calendar,
  );
  return { text, subject: row.subject ? `Re: ${baseSubject(row.subject)}` : row.task.title };
}
