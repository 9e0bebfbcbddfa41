import ICAL from "ical.js";
import type { Priority } from "../reading/slip";
import type { Chain } from "../tasks/chain";
import type { Day } from "../time/day";
import { instantOf } from "../time/moment";
import { calendarText, PRIORITY_VALUES } from "./calendar-text";

/** What an attendee of a VTODO answers, PARTSTAT of RFC 5545 section 3.2.12. */
export type ItipAnswer = "needs-action" | "accepted" | "declined" | "delegated" | "in-process" | "completed";

/** With what the keys of acts begin that a calendar program did for its owner: each letter of it acts once. */
export const BY_PROGRAM = "itip:";

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

/** What a task is to its owner when it goes out: new, as they have it, theirs no more, or left as it was though they proposed another date. */
export type ItipStanding = "new" | "as it is" | "no more" | "not moved";

/** What is sent to an attendee: RFC 5546 section 3.4.2 for what is theirs, 3.4.5 for what is theirs no more, 3.4.8 for a date that is not taken. */
const SENT = {
  new: { method: "REQUEST", partstat: "NEEDS-ACTION", rsvp: "TRUE", status: "NEEDS-ACTION" },
  "as it is": { method: "REQUEST", partstat: "ACCEPTED", rsvp: "FALSE", status: "IN-PROCESS" },
  "not moved": { method: "DECLINECOUNTER", partstat: "NEEDS-ACTION", rsvp: "FALSE", status: "IN-PROCESS" },
  "no more": { method: "CANCEL", partstat: "NEEDS-ACTION", rsvp: "FALSE", status: "CANCELLED" },
} as const;

/**
 * A VTODO for its owner (RFC 5546): a REQUEST where it is given to them, to be answered to the organizer, and where it has
 * moved; a CANCEL where it was taken from them or called off; a DECLINECOUNTER where another date that they proposed was
 * answered and the date stands.
 * @param now milliseconds since 1970 UTC
 */
export function itipMessage(
  task: ItipTask,
  organizer: Party,
  attendee: Party,
  standing: ItipStanding,
  now: number,
): string {
  const { method, partstat, rsvp, status } = SENT[standing];
  const root = new ICAL.Component("vcalendar");
  root.updatePropertyWithValue("version", "2.0");
  root.updatePropertyWithValue("prodid", "-//Jam Kettle//Tasks//EN");
  root.updatePropertyWithValue("method", method);
  const todo = new ICAL.Component("vtodo");
  todo.updatePropertyWithValue("uid", task.id);
  todo.updatePropertyWithValue("dtstamp", ICAL.Time.fromJSDate(new Date(now), true));
  todo.updatePropertyWithValue("sequence", task.sequence);
  todo.addProperty(party("organizer", organizer));
  todo.addProperty(party("attendee", attendee, { partstat, rsvp }));
  todo.updatePropertyWithValue("summary", task.title);
  if (task.description !== "") todo.updatePropertyWithValue("description", task.description);
  todo.updatePropertyWithValue("url", task.link);
  todo.updatePropertyWithValue("status", status);
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

/** What one attendee sends: a REPLY (RFC 5546 section 3.4.3), another date (COUNTER, 3.4.7), or that they want it again (REFRESH, 3.4.6). */
export interface ItipReply {
  readonly method: "REPLY" | "COUNTER" | "REFRESH";
  /** The day they propose with a COUNTER, and the time in UTC; null where it names none. */
  readonly proposed: { readonly day: Day; readonly time: string | null } | null;
  readonly uid: string;
  readonly sequence: number;
  /** Lower case. */
  readonly attendee: string;
  readonly answer: ItipAnswer;
  /** How far it is, PERCENT-COMPLETE; null where it does not say. */
  readonly percent: number | null;
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

function percentIn(value: unknown): number | null {
  const percent = value === null || value === undefined ? Number.NaN : Number(value);
  return Number.isInteger(percent) && percent >= 0 && percent <= 100 ? percent : null;
}

const METHODS: readonly ItipReply["method"][] = ["REPLY", "COUNTER", "REFRESH"];

/** The DUE of a counter-proposal, as a day and perhaps a time in UTC. */
function proposedIn(todo: ICAL.Component): ItipReply["proposed"] {
  const due = todo.getFirstPropertyValue("due");
  if (!(due instanceof ICAL.Time)) return null;
  if (due.isDate) return { day: due.toString(), time: null };
  const [day, time] = new Date(due.toUnixTime() * 1000).toISOString().split("T") as [string, string];
  return { day, time: time.slice(0, 5) };
}

/** Reads what an attendee of a VTODO sends; null for everything else, also for one that names no attendee, or more than one. */
export function readItipReply(text: string): ItipReply | null {
  if (text.length > LONGEST) return null;
  try {
    const root = new ICAL.Component(ICAL.parse(text) as never);
    const named = String(root.getFirstPropertyValue("method") ?? "").toUpperCase();
    const method = METHODS.find((one) => one === named);
    if (!method) return null;
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
      method,
      proposed: method === "COUNTER" ? proposedIn(todo) : null,
      uid,
      sequence: Number(todo.getFirstPropertyValue("sequence") ?? 0) || 0,
      attendee: address(attendee!.getFirstValue()),
      answer,
      percent: percentIn(todo.getFirstPropertyValue("percent-complete")),
      delegatedTo: delegated ? address(delegated) : null,
      comment: String(todo.getFirstPropertyValue("comment") ?? "").trim(),
    };
  } catch {
    return null;
  }
}
