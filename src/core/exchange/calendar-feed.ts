import ICAL from "ical.js";
import type { Priority } from "../reading/slip";
import type { TaskState } from "../tasks/task";
import { addDays, type Day } from "../time/day";
import { instantOf } from "../time/moment";
import { calendarText, PRIORITY_VALUES } from "./calendar-text";

/** A task as a calendar is told of it. */
export interface FeedTask {
  readonly id: string;
  readonly reference: string;
  readonly title: string;
  readonly state: TaskState;
  readonly priority: Priority;
  readonly due: { readonly day: Day; readonly time: string | null; readonly zone: string } | null;
  /** The day from which on it can be begun. */
  readonly startDay: Day | null;
  /** How far it is by its owner's word, in per cent. */
  readonly percent: number | null;
  readonly project: string | null;
  /** Milliseconds since 1970 UTC. */
  readonly createdAt: number;
  readonly changedAt: number;
  readonly finishedAt: number | null;
  /** Its lasting link. */
  readonly link: string;
}

/** Whose calendar it is. */
export interface FeedOwner {
  readonly id: string;
  readonly name: string;
}

/** STATUS of a VTODO, RFC 5545 section 3.8.1.11. */
const STATUS: Readonly<Record<TaskState, string>> = {
  "to begin": "NEEDS-ACTION",
  "under way": "IN-PROCESS",
  done: "COMPLETED",
  "called off": "CANCELLED",
};

/** Titles named in the entry of a day; the others are counted. */
const MOST_NAMED = 3;

function calendar(name: string): ICAL.Component {
  const root = new ICAL.Component("vcalendar");
  root.updatePropertyWithValue("version", "2.0");
  root.updatePropertyWithValue("prodid", "-//Jam Kettle//Tasks//EN");
  root.updatePropertyWithValue("calscale", "GREGORIAN");
  root.updatePropertyWithValue("method", "PUBLISH");
  // RFC 7986 sections 5.1 and 5.7: what it is called, and that it is worth asking again soon.
  root.updatePropertyWithValue("name", name);
  const again = new ICAL.Property("refresh-interval");
  again.setParameter("value", "DURATION");
  again.setValue(ICAL.Duration.fromString("PT1M"));
  root.addProperty(again);
  return root;
}

function instant(ms: number): ICAL.Time {
  return ICAL.Time.fromJSDate(new Date(ms), true);
}

function day(text: Day): ICAL.Time {
  return ICAL.Time.fromDateString(text);
}

/** Tasks as VTODO (RFC 5545 section 3.6.2), for calendar programs that keep lists of them. */
export function tasksFeed(owner: FeedOwner, tasks: readonly FeedTask[]): string {
  const root = calendar(`${owner.name}: tasks`);
  for (const task of tasks) {
    const todo = new ICAL.Component("vtodo");
    todo.updatePropertyWithValue("uid", task.id);
    todo.updatePropertyWithValue("dtstamp", instant(task.changedAt));
    todo.updatePropertyWithValue("created", instant(task.createdAt));
    todo.updatePropertyWithValue("last-modified", instant(task.changedAt));
    todo.updatePropertyWithValue("summary", task.title);
    todo.updatePropertyWithValue("description", [task.reference, task.project ?? "no project", task.link].join("\n"));
    todo.updatePropertyWithValue("url", task.link);
    todo.updatePropertyWithValue("status", STATUS[task.state]);
    todo.updatePropertyWithValue("priority", PRIORITY_VALUES[task.priority]);
    if (task.project) todo.updatePropertyWithValue("categories", task.project);
    if (task.due)
      todo.updatePropertyWithValue(
        "due",
        task.due.time ? instant(instantOf(task.due.day, task.due.time, task.due.zone)) : day(task.due.day),
      );
    // DTSTART lies before DUE and has its type (RFC 5545 section 3.8.2.3): with a time of the due the day alone says nothing.
    if (task.startDay && (!task.due || (!task.due.time && task.startDay < task.due.day)))
      todo.updatePropertyWithValue("dtstart", day(task.startDay));
    if (task.percent !== null) todo.updatePropertyWithValue("percent-complete", task.percent);
    if (task.finishedAt !== null && task.state === "done")
      todo.updatePropertyWithValue("completed", instant(task.finishedAt));
    root.addSubcomponent(todo);
  }
  return calendarText(root);
}

function lineOf(task: FeedTask): string {
  return `${task.due?.time ? `${task.due.time} ` : ""}${task.title} (${task.reference})\n${task.link}`;
}

/**
 * One entry a day that says what is due, each with a link back; what is over stands in today's. A day on which nothing is due
 * has none.
 * @param now milliseconds since 1970 UTC, for DTSTAMP
 */
export function daysFeed(owner: FeedOwner, tasks: readonly FeedTask[], today: Day, now: number): string {
  const root = calendar(`${owner.name}: what is due`);
  const open = tasks.filter((task) => task.due && (task.state === "to begin" || task.state === "under way"));
  const days = new Map<Day, FeedTask[]>();
  for (const task of open) {
    const on = task.due!.day < today ? today : task.due!.day;
    days.set(on, [...(days.get(on) ?? []), task]);
  }
  for (const [on, due] of [...days].sort(([a], [b]) => (a < b ? -1 : 1))) {
    const over = due.filter((task) => task.due!.day < on);
    const rest = due.filter((task) => task.due!.day >= on);
    const named = [...over, ...rest].slice(0, MOST_NAMED).map((task) => task.title);
    const counts = [rest.length > 0 ? `${rest.length} due` : "", over.length > 0 ? `${over.length} over` : ""].filter(
      (text) => text !== "",
    );
    const more = due.length > MOST_NAMED ? `, and ${due.length - MOST_NAMED} more` : "";
    const event = new ICAL.Component("vevent");
    event.updatePropertyWithValue("uid", `day-${on}-${owner.id}`);
    event.updatePropertyWithValue("dtstamp", instant(now));
    event.updatePropertyWithValue("dtstart", day(on));
    event.updatePropertyWithValue("dtend", day(addDays(on, 1)));
    event.updatePropertyWithValue("summary", `${counts.join(", ")}: ${named.join("; ")}${more}`);
    event.updatePropertyWithValue(
      "description",
      [...(over.length > 0 ? ["Over:", ...over.map(lineOf), ""] : []), ...rest.map(lineOf)].join("\n"),
    );
    event.updatePropertyWithValue("transp", "TRANSPARENT");
    root.addSubcomponent(event);
  }
  return calendarText(root);
}
