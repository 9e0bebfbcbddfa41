import MailComposer from "nodemailer/lib/mail-composer/index.js";
import { Temporal } from "temporal-polyfill";
import type { Day } from "../core/time/day";
import { fitDays, placed } from "./demo-days";
import { demoFile } from "./demo-files";
import { DEMO_DOMAIN, DEMO_ZONE, OUTSIDERS, TEAM } from "./larkmoor/people";
import type { ScriptConversation, ScriptLetter } from "./parse-script";

/** A letter of the demo as it goes through the door: its bytes, and when it came. */
export interface ComposedLetter {
  readonly raw: Buffer;
  readonly at: number;
  readonly text: string;
}

interface Mailbox {
  readonly name: string;
  readonly address: string;
  readonly zone: string;
}

/** The mailbox of a key of the script; "team" is the address of all colleagues. */
export function mailboxOf(key: string): Mailbox {
  const colleague = TEAM.find((one) => one.key === key);
  if (colleague) return { name: colleague.name, address: `${key}@${DEMO_DOMAIN}`, zone: DEMO_ZONE };
  const outsider = OUTSIDERS.find((one) => one.key === key);
  if (outsider) return { name: outsider.name, address: outsider.address, zone: outsider.zone ?? DEMO_ZONE };
  if (key === "team") return { name: "Everybody at Larkmoor", address: `team@${DEMO_DOMAIN}`, zone: DEMO_ZONE };
  throw new Error(`The demo's script names “${key}”, whom nobody knows.`);
}

/** A Date header in the writer's zone (RFC 5322, section 3.3). */
function dateHeader(at: number, zone: string): string {
  const moment = Temporal.Instant.fromEpochMilliseconds(at).toZonedDateTimeISO(zone);
  const two = (value: number) => String(value).padStart(2, "0");
  const weekday = ["Mon", "Tue", "Wed", "Thu", "Fri", "Sat", "Sun"][moment.dayOfWeek - 1];
  const month = ["Jan", "Feb", "Mar", "Apr", "May", "Jun", "Jul", "Aug", "Sep", "Oct", "Nov", "Dec"][moment.month - 1];
  return `${weekday}, ${moment.day} ${month} ${moment.year} ${two(moment.hour)}:${two(moment.minute)}:00 ${moment.offset.replace(":", "")}`;
}

function quoteOf(letter: ScriptLetter, text: string, reference: Day): string {
  const from = mailboxOf(letter.from);
  const { at } = placed(letter.when, reference, from.zone);
  return `On ${dateHeader(at, from.zone).slice(0, -9)}, ${from.name} wrote:\n${text
    .split("\n")
    .map((line) => `> ${line}`.trimEnd())
    .join("\n")}`;
}

function htmlOf(text: string, isNewsletter: boolean): string {
  const paragraphs = text
    .split("\n\n")
    .map(
      (paragraph) =>
        `<p style="margin:0 0 12px">${paragraph.replaceAll("&", "&amp;").replaceAll("<", "&lt;").replaceAll("\n", "<br>")}</p>`,
    );
  const pixel = isNewsletter
    ? '<img src="https://count.playspace.example/open.gif?who=42" width="1" height="1" alt="">'
    : "";
  return `<html><body style="font-family:Georgia,serif;color:#222"><div style="max-width:600px">${paragraphs.join("")}${pixel}</div></body></html>`;
}

/** Headers by which a letter says that a machine wrote it. */
function machineHeaders(flags: readonly string[]): Record<string, string> {
  if (flags.includes("auto")) return { "Auto-Submitted": "auto-replied" };
  if (flags.includes("notice")) return { "Auto-Submitted": "auto-generated" };
  if (flags.includes("news"))
    return { "List-Id": "<notes.playspace.example>", "List-Unsubscribe": "<mailto:off@playspace.example>" };
  if (flags.includes("list"))
    return { "List-Id": "<yards.lists.playspace.example>", "List-Post": "<mailto:yards@lists.playspace.example>" };
  if (flags.includes("bounce")) return { "Auto-Submitted": "auto-replied", "Return-Path": "<>" };
  return flags.includes("receipt") ? { "Auto-Submitted": "auto-replied" } : {};
}

const MACHINE_FLAGS = ["auto", "notice", "news", "bounce", "receipt"];

function isByMachine(letter: ScriptLetter): boolean {
  return letter.flags.some((flag) => MACHINE_FLAGS.includes(flag));
}

/** What stands before the subject of an answer: people's programs write "Re", machines say what they are. */
function replyMark(letter: ScriptLetter): string {
  if (letter.flags.includes("auto")) return "Automatic reply";
  return letter.flags.includes("receipt") ? "Read" : "Re";
}

/** The letters of a conversation as real messages, each an answer to the one before. Always the same bytes for the same day. */
export async function compose(
  conversation: ScriptConversation,
  number: number,
  reference: Day,
): Promise<ComposedLetter[]> {
  const composed: ComposedLetter[] = [];
  const ids: string[] = [];
  for (const [i, letter] of conversation.letters.entries()) {
    const from = mailboxOf(letter.from);
    const { day, at } = placed(letter.when, reference, from.zone);
    const text = fitDays(letter.body, day);
    // Most programs quote, some people delete it: every second answer carries its history. Machines neither quote nor are quoted.
    const before = conversation.letters.slice(0, i).findLastIndex((one) => !isByMachine(one));
    const quote =
      before >= 0 && !isByMachine(letter) && (letter.flags.includes("quote") || (number + i) % 2 === 0)
        ? `\n\n${quoteOf(conversation.letters[before]!, composed[before]!.text, reference)}`
        : "";
    const id = `demo.${number}.${i}.${day.replaceAll("-", "")}@${from.address.split("@")[1]}`;
    const subject = fitDays(conversation.subject, day);
    const isHtml = letter.flags.includes("html") || letter.flags.includes("news");
    const mail = new MailComposer({
      from: { name: from.name, address: from.address },
      to: letter.to.map(mailboxOf),
      cc: letter.cc.map(mailboxOf),
      subject: i === 0 || /^Re:/i.test(subject) ? subject : `${replyMark(letter)}: ${subject}`,
      messageId: `<${id}>`,
      date: dateHeader(at, from.zone),
      ...(ids.length > 0 ? { inReplyTo: `<${ids.at(-1)}>`, references: ids.map((one) => `<${one}>`) } : {}),
      headers: { ...machineHeaders(letter.flags), "X-Mailer": "Post room" },
      text: text + quote,
      ...(isHtml ? { html: htmlOf(text, letter.flags.includes("news")) } : {}),
      attachments: letter.files.map((name) => ({ filename: name, ...demoFile(name) })),
      baseBoundary: `=_demo_${number}_${i}`,
      textEncoding: "quoted-printable",
    } as ConstructorParameters<typeof MailComposer>[0]);
    composed.push({ raw: await mail.compile().build(), at, text });
    ids.push(id);
  }
  return composed;
}
