import PostalMime, { type Attachment, type Email } from "postal-mime";
import { withoutC1 } from "./c1";

/** Bytes of one message that are taken in at all; larger ones are refused with this figure. */
export const LARGEST_MESSAGE_BYTES = 50 * 1024 * 1024;

/** Parts nested deeper than this are not opened. */
const DEEPEST_PARTS = 100;

/** Letters within letters that are opened for their files, and how deep. */
const MOST_INNER_LETTERS = 20;
const DEEPEST_INNER_LETTERS = 5;

/** Reads the message with the limits of this product; a fault of the message becomes an exception of this function alone. */
export async function readMime(raw: Uint8Array): Promise<Email> {
  const mail = await PostalMime.parse(raw, {
    maxNestingDepth: DEEPEST_PARTS,
    maxHeadersSize: 4 * 1024 * 1024,
    maxRfc822NestingDepth: 20,
    forceRfc822Attachments: true,
  });
  const { text, html, subject } = mail;
  return {
    ...mail,
    ...(text && { text: withoutC1(text) }),
    ...(html && { html: withoutC1(html) }),
    ...(subject && { subject: withoutC1(subject) }),
  };
}

/** Whether bytes can be a message at all: a header field at their head (RFC 5322 section 2.2), and no binary. */
export function looksLikeMail(raw: Uint8Array): boolean {
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

/** A part of a message that is no text of its own, and whether it came within an attached letter. */
export interface MimeFile {
  readonly part: Attachment;
  readonly isInner: boolean;
}

/** The letters that are attached to a message (message/rfc822), parsed. */
export async function attachedLetters(mail: Email): Promise<Email[]> {
  const letters: Email[] = [];
  for (const part of mail.attachments) {
    if (part.mimeType !== "message/rfc822" || letters.length >= MOST_INNER_LETTERS) continue;
    const bytes = new Uint8Array(part.content as ArrayBuffer);
    if (!looksLikeMail(bytes)) continue;
    try {
      letters.push(await readMime(bytes));
    } catch {
      // What cannot be taken apart stays a file.
    }
  }
  return letters;
}

/** Every file of a message in a fixed order: its own, then those within the letters that are attached to it. */
export async function filesOf(mail: Email, depth = 0): Promise<MimeFile[]> {
  const files: MimeFile[] = mail.attachments.map((part) => ({ part, isInner: depth > 0 }));
  if (depth < DEEPEST_INNER_LETTERS)
    for (const inner of await attachedLetters(mail)) files.push(...(await filesOf(inner, depth + 1)));
  return files;
}
