import { spawnSync } from "node:child_process";
import path from "node:path";
import { expect, test } from "vitest";
import { itipRequest, readItipReply } from "@/core/exchange/itip";

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
  const text = itipRequest(
    task,
    { name: "Ines Valdarno", address: "quince-417@house.example" },
    { name: "Suki Aldane", address: "suki@house.example" },
    NOW,
  );
  const script = path.join(import.meta.dirname, "python_calendar.py");
  const printed = spawnSync("/usr/bin/python3", [script], { input: text });
  if (printed.status !== 0) throw new Error(printed.stderr.toString());
  expect(JSON.parse(printed.stdout.toString())).toMatchObject({
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
