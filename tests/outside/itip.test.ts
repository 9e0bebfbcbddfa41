import { spawnSync } from "node:child_process";
import path from "node:path";
import { expect, test } from "vitest";
import { itipMessage, readItipReply } from "@/core/exchange/itip";

// Requests are read back by Debian's python3-icalendar. The replies are the examples of RFC 5546 section 4.5 (VTODO), written
// here from memory, without their line folding.

const NOW = Date.parse("2026-11-24T11:20:00Z");
const lines = (...inner: readonly string[]) =>
  ["BEGIN:VCALENDAR", "PRODID:-//Example/ExampleCalendarClient//EN", "VERSION:2.0", ...inner, "END:VCALENDAR", ""].join(
    "\r\n",
  );
const reply = (...inner: readonly string[]) =>
  lines(
    "METHOD:REPLY",
    "BEGIN:VTODO",
    "ORGANIZER:mailto:a@example.com",
    ...inner,
    "UID:calsrv.example.com-873970198738777-00@example.com",
    "SEQUENCE:0",
    "DTSTAMP:19970717T203000Z",
    "END:VTODO",
  );

const readBack = (text: string): unknown => {
  const script = path.join(import.meta.dirname, "python_calendar.py");
  const printed = spawnSync("/usr/bin/python3", [script], { input: text });
  if (printed.status !== 0) throw new Error(printed.stderr.toString());
  return JSON.parse(printed.stdout.toString());
};

test("a hand-over is a REQUEST that another reader understands: organizer, attendee who needs to act, due, priority", () => {
  const task = {
    id: "0193-task",
    title: "Send Colm the revised drawing; sheet 3, only",
    description: "Council meets at two.\nquince 417",
    due: { day: "2026-11-25", time: "12:00", zone: "Europe/London" },
    priority: "high" as const,
    link: "https://jam.example/tasks/quince-417",
    sequence: 2,
  };
  const organizer = { name: "Ines Valdarno", address: "quince-417@house.example" };
  const attendee = { name: "Suki Aldane", address: "suki@house.example" };
  expect(readBack(itipMessage(task, organizer, attendee, "new", NOW))).toMatchObject({
    method: "REQUEST",
    parts: [
      {
        name: "VTODO",
        errors: [],
        UID: "0193-task",
        SUMMARY: task.title,
        DESCRIPTION: task.description,
        STATUS: "NEEDS-ACTION",
        PRIORITY: 3,
        SEQUENCE: 2,
        DUE: "2026-11-25T12:00:00+00:00",
        ORGANIZER: "mailto:quince-417@house.example",
        ATTENDEE: ["mailto:suki@house.example", { PARTSTAT: "NEEDS-ACTION", RSVP: "TRUE", CN: "Suki Aldane" }],
      },
    ],
  });
  // Moved, it is the same task once more; taken away it is cancelled (RFC 5546 section 3.4.5).
  expect(readBack(itipMessage({ ...task, sequence: 9 }, organizer, attendee, "as it is", NOW))).toMatchObject({
    method: "REQUEST",
    parts: [{ errors: [], UID: "0193-task", SEQUENCE: 9, STATUS: "IN-PROCESS" }],
  });
  expect(readBack(itipMessage({ ...task, sequence: 10 }, organizer, attendee, "no more", NOW))).toMatchObject({
    method: "CANCEL",
    parts: [{ errors: [], UID: "0193-task", SEQUENCE: 10, STATUS: "CANCELLED" }],
  });
  // Another date was proposed, and the date stands (RFC 5546 section 3.4.8).
  expect(readBack(itipMessage(task, organizer, attendee, "not moved", NOW))).toMatchObject({
    method: "DECLINECOUNTER",
    parts: [{ errors: [], UID: "0193-task", SEQUENCE: 2, DUE: "2026-11-25T12:00:00+00:00" }],
  });
});

test("another date that is proposed, and the wish to have it again, are read (RFC 5546 sections 3.4.6 and 3.4.7)", () => {
  const from = (method: string, ...inner: readonly string[]) =>
    readItipReply(
      lines(
        `METHOD:${method}`,
        "BEGIN:VTODO",
        "UID:u1",
        "ATTENDEE;PARTSTAT=ACCEPTED:mailto:b@example.com",
        ...inner,
        "END:VTODO",
      ),
    );
  expect(from("COUNTER", "DUE;VALUE=DATE:20261204", "COMMENT:The smith is away")).toMatchObject({
    method: "COUNTER",
    proposed: { day: "2026-12-04", time: null },
    comment: "The smith is away",
  });
  expect(from("COUNTER", "DUE:20261204T140000Z")).toMatchObject({ proposed: { day: "2026-12-04", time: "14:00" } });
  expect(from("COUNTER")).toMatchObject({ proposed: null });
  expect(from("REFRESH")).toMatchObject({ method: "REFRESH", proposed: null });
  expect(from("REPLY", "PERCENT-COMPLETE:75", "DUE:20261204T140000Z")).toMatchObject({ percent: 75, proposed: null });
  expect(from("REPLY", "PERCENT-COMPLETE:750")).toMatchObject({ percent: null });
  expect(from("PUBLISH")).toBeNull();
});

test("replies of RFC 5546 are read: accepted with a comment, under way, completed, declined, delegated", () => {
  const uid = "calsrv.example.com-873970198738777-00@example.com";
  const cases: readonly (readonly [string, object])[] = [
    [
      reply("ATTENDEE;PARTSTAT=ACCEPTED:mailto:b@example.com", "COMMENT:I'll send you my input by email."),
      { uid, attendee: "b@example.com", answer: "accepted", comment: "I'll send you my input by email.", sequence: 0 },
    ],
    [
      reply("ATTENDEE;PARTSTAT=IN-PROCESS:mailto:B@example.com", "PERCENT-COMPLETE:75"),
      { attendee: "b@example.com", answer: "in-process" },
    ],
    [reply("ATTENDEE;PARTSTAT=COMPLETED:mailto:b@example.com"), { answer: "completed" }],
    [reply("ATTENDEE;PARTSTAT=DECLINED:mailto:c@example.com"), { answer: "declined", attendee: "c@example.com" }],
    [
      reply('ATTENDEE;PARTSTAT=DELEGATED;DELEGATED-TO="mailto:e@example.com":mailto:c@example.com'),
      { answer: "delegated", delegatedTo: "e@example.com" },
    ],
    [reply("ATTENDEE:mailto:c@example.com"), { answer: "needs-action" }],
  ];
  for (const [text, expected] of cases) expect(readItipReply(text)).toMatchObject(expected);
  expect(cases).toHaveLength(6);
});

test("what is no reply of one attendee for one task answers nothing", () => {
  const one = "ATTENDEE;PARTSTAT=ACCEPTED:mailto:b@example.com";
  for (const text of [
    "",
    "hello",
    reply(one, one),
    reply(),
    reply("ATTENDEE;PARTSTAT=MAYBE:mailto:b@example.com"),
    lines("METHOD:REQUEST", "BEGIN:VTODO", one, "UID:x", "END:VTODO"),
    lines("METHOD:REPLY", "BEGIN:VEVENT", one, "UID:x", "END:VEVENT"),
    lines("METHOD:REPLY", "BEGIN:VTODO", one, "END:VTODO"),
    `${reply(one)}${"x".repeat(100_000)}`,
  ])
    expect([text.slice(0, 60), readItipReply(text)]).toEqual([text.slice(0, 60), null]);
});
