import PostalMime, { type Address, type Email } from "postal-mime";
import { automaticKind } from "./automatic";
import { readDateHeader } from "./date-header";
import { safeFileName } from "./file-name";
import { htmlToText } from "./html-text";
import type { Correspondent, Letter } from "./letter";
import { splitText } from "./split-text";

/** Bytes of one message that are taken in at all; larger ones are refused with this figure. */
export const LARGEST_MESSAGE_BYTES = 50 * 1024 * 1024;

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

/** The database and the screen know no NUL, and half a surrogate pair is no character. */
function clean(text: string): string {
  return text.replaceAll("\u0000", "").toWellFormed();
}

/** Every "<…>" of a header, without the brackets, in its order (RFC 5322 section 3.6.4; a quoted part may hold spaces). */
function messageIds(value: string | undefined): string[] {
  return [...(value ?? "").slice(0, 40_000).matchAll(/<((?:"[^"<>\r\n]{1,250}"|[^<>\s"]){1,250})>/g)]
    .map((match) => clean(match[1]!))
    .slice(-MOST_REFERENCES);
}

/** Reads the message with the limits of this product; a fault of the message becomes an exception of this function alone. */
export async function readMime(raw: Uint8Array): Promise<Email> {
  return PostalMime.parse(raw, {
    maxNestingDepth: 100,
    maxHeadersSize: 4 * 1024 * 1024,
    maxRfc822NestingDepth: 20,
    forceRfc822Attachments: true,
  });
}

/** What `parseLetter` gives back: the letter, or the reason in words why it cannot be read. */
export type ParsedLetter =
  | { readonly ok: true; readonly letter: Letter }
  | { readonly ok: false; readonly why: string };

/** Whether bytes can be a message at all: a header field at their head (RFC 5322 section 2.2), and no binary. */
function looksLikeMail(raw: Uint8Array): boolean {
  const head = new TextDecoder("latin1").decode(raw.subarray(0, 4_096)).replace(/^[\r\n]+/, "");
  const nuls = head.split("\u0000").length - 1;
  return (
    nuls < 3 &&
    /^(?:>?From .*\r?\n)?[!-9;-~]{1,100}[ \t]*:/.test(head) &&
    /(?:^|\n)(?:from|date|to|subject|received|message-id|return-path|mime-version|delivered-to|x-[\w-]+|content-type|sender|reply-to)[ \t]*:/i.test(
      head,
    )
  );
}

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
  const text = lettersText(mail);
  // RFC 5256, REFS: where References names nothing, the first of In-Reply-To.
  const named = messageIds(mail.references);
  const references = [...new Set(named.length > 0 ? named : messageIds(mail.inReplyTo).slice(0, 1))];
  const isForward = /^\s*(?:fwd?|wg|tr|rv|vl|doorst)\s*:/i.test(subject);
  const priority =
    mail.headers.find((header) => header.key === "importance" || header.key === "x-priority")?.value ?? "";
  return {
    ok: true,
    letter: {
      messageId: messageIds(mail.messageId)[0] ?? null,
      references,
      sentAt: sent?.at ?? null,
      offset: sent?.offset ?? "+00:00",
      from,
      to: peopleOf(mail.to),
      cc: peopleOf(mail.cc),
      subject,
      text,
      parts: splitText(text, isForward),
      hasHtml: (mail.html ?? "").trim() !== "",
      files: mail.attachments.map((file, index) => ({
        index,
        name: safeFileName(file.filename, index, file.mimeType),
        type: /^[\w.+-]{1,80}\/[\w.+-]{1,80}$/.test(file.mimeType) ? file.mimeType : "application/octet-stream",
        size: (file.content as ArrayBuffer).byteLength,
        contentId: file.contentId?.replace(/^<|>$/g, "") ?? null,
      })),
      automatic: automaticKind(mail.headers, subject, from?.address ?? ""),
      isUrgent: /^\s*(?:high|1|2)\b/i.test(priority),
    },
  };
}

function lettersText(mail: Email): string {
  const own = mail.text?.trim() ? mail.text : mail.html ? htmlToText(mail.html) : "";
  const plain = clean(own.length > LONGEST_TEXT ? `${own.slice(0, LONGEST_TEXT)}…` : own);
  return plain
    .replace(/\r\n?/g, "\n")
    .replace(/\n{4,}/g, "\n\n\n")
    .trimEnd();
}
