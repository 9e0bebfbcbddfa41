import ICAL from "ical.js";
import type { Priority } from "../reading/slip";
import type { Chain } from "../tasks/chain";
import type { Day } from "../time/day";
import { instantOf } from "../time/moment";
import { calendarText, PRIORITY_VALUES } from "./calendar-text";

/** What an attendee of a VTODO answers, PARTSTAT of RFC 5545 section 3.2.12. */
export type ItipAnswer = "needs-action" | "accepted" | "declined" | "delegated" | "in-process" | "completed";

interface Party {
  readonly name: string;
  readonly address: string;
}

/** A task as it is handed over to a calendar program. */
export interface ItipTask {
  readonly id: string;
  readonly title: string;
  readonly description: string;
  readonly due: { readonly day: Day; readonly time: string | null; readonly zone: string } | null;
  readonly priority: Priority;
  readonly link: string;
  /** Grows with every hand-over (RFC 5546 section 2.1.4). */
  readonly sequence: number;
}

/**
 * SEQUENCE of a hand-over: the seconds from the making of the task to its last hand-over, so that each is greater than the one
 * before, also where it goes to the same person again.
 */
export function sequenceOf(chain: Chain, createdAt: number): number {
  const last = chain.at(-1);
  return last ? Math.max(0, Math.floor((Date.parse(last.at) - createdAt) / 1000)) : 0;
}

function party(name: "organizer" | "attendee", { name: cn, address }: Party, more: Record<string, string> = {}) {
  const property = new ICAL.Property(name);
  property.setValue(`mailto:${address}`);
  if (cn !== "") property.setParameter("cn", cn);
  for (const [key, value] of Object.entries(more)) property.setParameter(key, value);
  return property;
}

/**
 * A REQUEST for a VTODO (RFC 5546 section 3.4.2): a task given to its owner, who is asked to answer to the organizer.
 * @param now milliseconds since 1970 UTC
 */
export function itipRequest(task: ItipTask, organizer: Party, attendee: Party, now: number): string {
  const root = new ICAL.Component("vcalendar");
  root.updatePropertyWithValue("version", "2.0");
  root.updatePropertyWithValue("prodid", "-//Jam Kettle//Tasks//EN");
  root.updatePropertyWithValue("method", "REQUEST");
  const todo = new ICAL.Component("vtodo");
  todo.updatePropertyWithValue("uid", task.id);
  todo.updatePropertyWithValue("dtstamp", ICAL.Time.fromJSDate(new Date(now), true));
  todo.updatePropertyWithValue("sequence", task.sequence);
  todo.addProperty(party("organizer", organizer));
  todo.addProperty(party("attendee", attendee, { partstat: "NEEDS-ACTION", rsvp: "TRUE" }));
  todo.updatePropertyWithValue("summary", task.title);
  if (task.description !== "") todo.updatePropertyWithValue("description", task.description);
  todo.updatePropertyWithValue("url", task.link);
  todo.updatePropertyWithValue("status", "NEEDS-ACTION");
  todo.updatePropertyWithValue("priority", PRIORITY_VALUES[task.priority]);
  if (task.due)
    todo.updatePropertyWithValue(
      "due",
      task.due.time
        ? ICAL.Time.fromJSDate(new Date(instantOf(task.due.day, task.due.time, task.due.zone)), true)
        : ICAL.Time.fromDateString(task.due.day),
    );
  root.addSubcomponent(todo);
  return calendarText(root);
}

/** A REPLY of one attendee (RFC 5546 section 3.4.3). */
export interface ItipReply {
  readonly uid: string;
  readonly sequence: number;
  /** Lower case. */
  readonly attendee: string;
  readonly answer: ItipAnswer;
  /** Whom it was delegated to, lower case; null where nobody is named. */
  readonly delegatedTo: string | null;
  readonly comment: string;
}

const ANSWERS: readonly ItipAnswer[] = ["needs-action", "accepted", "declined", "delegated", "in-process", "completed"];

/** Characters of a calendar object that are read. */
const LONGEST = 100_000;

function address(value: unknown): string {
  return String(Array.isArray(value) ? value[0] : (value ?? ""))
    .replace(/^mailto:/i, "")
    .trim()
    .toLowerCase();
}

/** Reads a REPLY for a VTODO; null for everything else, also for one that names no attendee, or more than one. */
export function readItipReply(text: string): ItipReply | null {
  if (text.length > LONGEST) return null;
  try {
    const root = new ICAL.Component(ICAL.parse(text) as never);
    if (String(root.getFirstPropertyValue("method") ?? "").toUpperCase() !== "REPLY") return null;
    const todos = root.getAllSubcomponents("vtodo");
    const todo = todos[0];
    const attendees = todo?.getAllProperties("attendee") ?? [];
    if (!todo || todos.length !== 1 || attendees.length !== 1) return null;
    const [attendee] = attendees;
    const answer = ANSWERS.find(
      (one) => one.toUpperCase() === String(attendee!.getParameter("partstat") ?? "NEEDS-ACTION").toUpperCase(),
    );
    const uid = String(todo.getFirstPropertyValue("uid") ?? "");
    if (!answer || uid === "") return null;
    const delegated = attendee!.getParameter("delegated-to");
    return {
      uid,
      sequence: Number(todo.getFirstPropertyValue("sequence") ?? 0) || 0,
      attendee: address(attendee!.getFirstValue()),
      answer,
      delegatedTo: delegated ? address(delegated) : null,
      comment: String(todo.getFirstPropertyValue("comment") ?? "").trim(),
    };
  } catch {
    return null;
  }
}
