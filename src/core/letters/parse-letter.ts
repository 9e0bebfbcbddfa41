import type { Address, Email } from "postal-mime";
import { partWords } from "../exchange/part-words";
import { automaticKind } from "./automatic";
import { readBounce } from "./bounce";
import { withoutC1 } from "./c1";
import { readDateHeader } from "./date-header";
import { safeFileName } from "./file-name";
import { htmlToText } from "./html-text";
import type { AutomaticKind, Correspondent, Letter } from "./letter";
import { attachedLetters, filesOf, looksLikeMail, readMime } from "./mime";
import { passedOn } from "./passed-on";
import { problemsOf } from "./problems";
import { sealOf } from "./sealed";
import { splitText } from "./split-text";

/** Characters of text that are shown and read; a letter beyond that is a file in disguise, whole in the raw message. */
const LONGEST_TEXT = 200_000;

/** People of one header that are kept apart; a circular to ten thousand needs no more to be recognised. */
const MOST_PEOPLE = 500;

const LONGEST_SUBJECT = 1_000;
const MOST_REFERENCES = 200;

function peopleOf(addresses: readonly Address[] | undefined): Correspondent[] {
  const people: Correspondent[] = [];
  for (const entry of addresses ?? []) {
    for (const one of entry.group ?? [entry]) {
      if (people.length >= MOST_PEOPLE) return people;
      const address = clean(one.address ?? "")
        .trim()
        .toLowerCase()
        .slice(0, 320);
      if (address !== "" || one.name !== "")
        people.push({
          name: clean(one.name ?? "")
            .trim()
            .slice(0, 200),
          address,
        });
    }
  }
  return people;
}

/** Stands between a letter's own words and those of the letter that is attached to it. */
const ATTACHED_LETTER = "---------- Forwarded message ----------";

/** The database and the screen know no NUL, and half a surrogate pair is no character. */
function clean(text: string): string {
  return withoutC1(text.replaceAll("\u0000", "").toWellFormed());
}

/** Every "<…>" of a header, without the brackets, in its order (RFC 5322 section 3.6.4; a quoted part may hold spaces). */
function messageIds(value: string | undefined): string[] {
  return [...(value ?? "").slice(0, 40_000).matchAll(/<((?:"[^"<>\r\n]{1,250}"|[^<>\s"]){1,250})>/g)]
    .map((match) => clean(match[1]!))
    .slice(-MOST_REFERENCES);
}

/** What `parseLetter` gives back: the letter, or the reason in words why it cannot be read. */
export type ParsedLetter =
  | { readonly ok: true; readonly letter: Letter }
  | { readonly ok: false; readonly why: string };

/**
 * Reads a raw message (RFC 5322, MIME) into a letter. Never throws: what cannot be read comes back with the reason, so
 * that the caller can keep it raw. A letter without Date, text or people is a letter all the same.
 */
export async function parseLetter(raw: Uint8Array): Promise<ParsedLetter> {
  if (raw.length === 0) return { ok: false, why: "The file is empty." };
  if (!looksLikeMail(raw)) return { ok: false, why: "This is no mail: it does not begin with header lines." };
  let mail: Email;
  try {
    mail = await readMime(raw);
  } catch (error) {
    return {
      ok: false,
      why: `The message could not be taken apart: ${error instanceof Error ? error.message : "unknown fault"}`,
    };
  }
  const dateHeader = mail.headers.find((header) => header.key === "date")?.value;
  const sent = dateHeader ? readDateHeader(dateHeader) : null;
  const from = peopleOf(mail.from ? [mail.from] : mail.sender ? [mail.sender] : [])[0] ?? null;
  const subject = clean(mail.subject ?? "")
    .replace(/\s+/g, " ")
    .trim()
    .slice(0, LONGEST_SUBJECT);
  const [only, ...others] = await attachedLetters(mail);
  const kind = automaticKind(mail.headers, subject, from?.address ?? "", calendarMethod(mail));
  const isPassingOn = only && others.length === 0 && (kind === null || kind === "list");
  const text = isPassingOn ? withAttached(lettersText(mail), only) : lettersText(mail);
  // RFC 5256, REFS: where References names nothing, the first of In-Reply-To.
  const named = messageIds(mail.references);
  const references = [...new Set(named.length > 0 ? named : messageIds(mail.inReplyTo).slice(0, 1))];
  const isForward = /^\s*(?:fwd?|wg|tr|rv|vl|doorst)\s*:/i.test(subject);
  const parts = splitText(text, isForward);
  const offset = sent?.offset ?? "+00:00";
  const bounce = mayReportFailure(kind, mail, subject) ? readBounce(mail, text) : null;
  const priority =
    mail.headers.find((header) => header.key === "importance" || header.key === "x-priority")?.value ?? "";
  return {
    ok: true,
    letter: {
      messageId: messageIds(mail.messageId)[0] ?? null,
      references,
      sentAt: sent?.at ?? null,
      offset,
      from,
      to: peopleOf(mail.to),
      cc: peopleOf(mail.cc),
      subject,
      text,
      parts,
      hasHtml: (mail.html ?? "").trim() !== "",
      files: (await filesOf(mail)).map(({ part, isInner }, index) => ({
        index,
        name: safeFileName(part.filename, index, part.mimeType),
        type: /^[\w.+-]{1,80}\/[\w.+-]{1,80}$/.test(part.mimeType) ? part.mimeType : "application/octet-stream",
        size: (part.content as ArrayBuffer).byteLength,
        contentId: part.contentId?.replace(/^<|>$/g, "") ?? null,
        isInner,
        about: aboutPart(part.mimeType, part.content as ArrayBuffer),
      })),
      passedOn: passedOn(text, parts, offset),
      bounce,
      sealed: sealOf(mail, text),
      automatic: bounce ? "bounce" : kind,
      isUrgent: /^\s*(?:high|1|2)\b/i.test(priority),
      problems: problemsOf(mail, raw, sent !== null),
    },
  };
}

function aboutPart(type: string, content: ArrayBuffer): string | null {
  if (!/calendar|vcard|directory|ics/.test(type)) return null;
  return partWords(type, clean(new TextDecoder().decode(content)));
}

/** METHOD of a calendar part that comes with the letter (RFC 6047 section 2.4), lower case; empty where there is none. */
function calendarMethod(mail: Email): string {
  const part = mail.attachments.find((one) => one.mimeType === "text/calendar");
  if (!part) return "";
  const text = new TextDecoder().decode((part.content as ArrayBuffer).slice(0, 20_000));
  return (part.method ?? /^METHOD:(\w+)/im.exec(text)?.[1] ?? "").toLowerCase();
}

/** Senders and subjects of reports of failed deliveries; whether it is one, the report itself must show. */
function mayReportFailure(kind: AutomaticKind | null, mail: Email, subject: string): boolean {
  if (kind === "bounce") return true;
  if (kind !== null && kind !== "notice" && kind !== "automatic reply") return false;
  return (
    /^(?:mailer-?daemon|postmaster|mail-?daemon|mdaemon)\b/i.test(mail.from?.address ?? "") ||
    (/undeliver|deliver\w* (?:status|fail|problem|notification|error)|returned mail|failure notice|mail system error|failed mail|(?:could not|cannot) be delivered|warning: message/i.test(
      subject,
    ) &&
      !/^\s*(?:re|aw|fwd?)\s*:/i.test(subject))
  );
}

/** The text with the letter that is attached below it, as programs pass letters on within a text. */
function withAttached(own: string, attached: Email): string {
  const header = (key: string) => attached.headers.find((one) => one.key === key)?.value ?? "";
  const people = (addresses: readonly Address[] | undefined) =>
    peopleOf(addresses)
      .map(({ name, address }) => (address ? `${name} <${address}>`.trim() : name))
      .join(", ");
  const lines = [
    `From: ${people(attached.from ? [attached.from] : [])}`,
    `Date: ${clean(header("date"))}`,
    `To: ${people(attached.to)}`,
    `Subject: ${clean(attached.subject ?? "")}`,
  ].map((line) => line.replace(/\s+/g, " ").trim().slice(0, LONGEST_SUBJECT));
  return `${own}\n\n${ATTACHED_LETTER}\n${lines.join("\n")}\n\n${lettersText(attached)}`.trimStart();
}

function lettersText(mail: Email): string {
  const own = mail.text?.trim() ? mail.text : mail.html ? htmlToText(mail.html) : "";
  const plain = clean(own.length > LONGEST_TEXT ? `${own.slice(0, LONGEST_TEXT)}…` : own);
  return plain
    .replace(/\r\n?/g, "\n")
    .replace(/\n{4,}/g, "\n\n\n")
    .trimEnd();
}
