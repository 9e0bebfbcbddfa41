import MailComposer from "nodemailer/lib/mail-composer";
import type { Correspondent } from "../core/letters/letter";

/** A letter of the outbox as it is made into a message. */
export interface OutgoingLetter {
  readonly messageId: string;
  readonly fromName: string;
  readonly fromAddress: string;
  readonly to: readonly Correspondent[];
  readonly cc: readonly Correspondent[];
  readonly subject: string;
  readonly text: string;
  readonly answers: string | null;
  readonly references: readonly string[];
  readonly createdAt: number;
  /** Written by the house itself: marked so that no machine answers (RFC 3834 section 5). */
  readonly isAutomatic: boolean;
  readonly replyTo: string | null;
  /** A calendar object that goes along; it names its own method (RFC 5546). */
  readonly calendar: string | null;
  readonly files: readonly { readonly name: string; readonly type: string; readonly bytes: Buffer }[];
}

const named = ({ name, address }: Correspondent) => ({ name, address });

/** The method of a calendar object, which its part of the letter repeats (RFC 6047 section 2.4). */
function methodIn(calendar: string): string {
  return /^METHOD:(\w+)\s*$/m.exec(calendar)?.[1] ?? "REQUEST";
}

/**
 * The bytes of a letter of ours (RFC 5322, MIME). The same letter gives the same bytes each time, so that a second try
 * after a crash is the same message. Header fields come from fields, never from text: no line end of a name or subject
 * can begin a header.
 */
export function composeOutgoing(letter: OutgoingLetter): Promise<Buffer> {
  const composer = new MailComposer({
    from: named({ name: letter.fromName, address: letter.fromAddress }),
    to: letter.to.map(named),
    cc: letter.cc.map(named),
    subject: letter.subject,
    text: `${letter.text}\n`,
    messageId: `<${letter.messageId}>`,
    ...(letter.answers ? { inReplyTo: `<${letter.answers}>` } : {}),
    ...(letter.references.length > 0 ? { references: letter.references.map((one) => `<${one}>`) } : {}),
    ...(letter.calendar
      ? { icalEvent: { method: methodIn(letter.calendar), filename: "task.ics", content: letter.calendar } }
      : {}),
    ...(letter.replyTo ? { replyTo: letter.replyTo } : {}),
    ...(letter.isAutomatic
      ? { headers: { "Auto-Submitted": "auto-generated", "X-Auto-Response-Suppress": "All", Precedence: "bulk" } }
      : {}),
    date: new Date(letter.createdAt),
    attachments: letter.files.map(({ name, type, bytes }) => ({ filename: name, contentType: type, content: bytes })),
    baseBoundary: letter.messageId.replace(/[^\w]/g, "").slice(0, 30),
    newline: "\r\n",
    disableFileAccess: true,
    disableUrlAccess: true,
  });
  return composer.compile().build();
}
