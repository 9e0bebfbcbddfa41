import { dueOf } from "../reading/due";
import type { DueFound } from "../reading/slip";
import { findDates } from "../time/dates-in-words";
import { dayOf } from "../time/moment";
import type { FollowContext } from "./context";
import type { OpenItem } from "./item";
import { shifted } from "./shifted";

function dayStillToCome({ sent, settings }: FollowContext, text: string): DueFound | null {
  const dates = findDates(text, sent, settings.calendar, settings.figures);
  const due = dueOf("promise", text, dates, { everyDay: true });
  return due && due.day < dayOf(sent) ? null : due;
}

/** The day that an answer names for something still to come: "replaced on the 17th" of a letter of the 20th names none. */
export function dueIn(context: FollowContext, text: string): DueFound | null {
  const known = context.daysFound.get(text);
  if (known !== undefined) return known;
  const due = dayStillToCome(context, text);
  context.daysFound.set(text, due);
  return due;
}

/** The day that a text names for an item, be it only by how much earlier or later. */
export function dueFor(context: FollowContext, text: string, item: OpenItem): DueFound | null {
  return dueIn(context, text) ?? shifted(text, item.due);
}
