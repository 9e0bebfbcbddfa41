import crypto from "node:crypto";
import fs from "node:fs";
import type net from "node:net";
import nodemailer from "nodemailer";
import MailComposer from "nodemailer/lib/mail-composer";
import { SMTPServer } from "smtp-server";
import type { Letter } from "../../core/letters/letter";
import { parseLetter } from "../../core/letters/parse-letter";
import { quotedBelow, replyHead } from "../../core/letters/reply";
import { DEMO_PASSWORD } from "../demo-password";
import { OUTSIDERS, type Outsider } from "../larkmoor/people";
import { type Box, emptyBox } from "./box";
import { ImapBox } from "./imap-box";
import { answersTo, type Manner } from "./manners";

/** A letter of ours that the post room has taken. */
export interface WentOut {
  readonly at: number;
  readonly from: string;
  readonly to: readonly string[];
  readonly subject: string;
  readonly text: string;
}

/** A letter that somebody outside is going to send. */
export interface Planned {
  /** Its Message-ID, the same at every try. */
  readonly id: string;
  readonly at: number;
  readonly from: { readonly name: string; readonly address: string };
  readonly to: readonly { readonly name: string; readonly address: string }[];
  readonly cc: readonly { readonly name: string; readonly address: string }[];
  readonly subject: string;
  readonly text: string;
  readonly answers: string | null;
  readonly references: readonly string[];
  readonly isAutomatic: boolean;
}

const MANNERS: Readonly<Record<string, Manner>> = {
  colm: "asks back",
  perpetua: "at once",
  desmond: "late",
  yolanda: "at once",
  sigge: "away",
  marloes: "half",
  bryn: "at once",
  hattie: "late",
  petra: "never",
};

/** Whose mail lies in the post room's mailbox: what is written to this address does not come through the door. */
export const BOX_ADDRESS = "ines@larkmoor.example";

const HOME_ZONE = "Europe/London";

/** Milliseconds between two looks for letters whose time has come. */
const LOOK_MS = 500;

/** Letters that are remembered for the page. */
const MOST_SHOWN = 100;

/** Those outside who can write and answer. */
export const WRITERS: readonly (Outsider & { manner: Manner })[] = OUTSIDERS.flatMap((one) =>
  MANNERS[one.key] ? [{ ...one, manner: MANNERS[one.key]! }] : [],
);

function messageId(address: string): string {
  return `${crypto.randomUUID()}@${address.split("@").at(-1)}`;
}

interface State {
  wentOut: WentOut[];
  planned: Planned[];
  turns: Record<string, number>;
  /** The mailbox; absent in what an older post room left behind. */
  box?: Box;
}

/**
 * The simulated outside world: a mail server that takes what goes out, and correspondents who answer by mail in their own
 * ways. What is planned is kept in a file, so that a new start forgets nothing. The product knows it only as a mail server.
 */
export class PostRoom {
  private state: State = { wentOut: [], planned: [], turns: {} };
  private server: SMTPServer | null = null;
  private timer: ReturnType<typeof setInterval> | null = null;
  private doorPort = 0;
  private readonly mailbox: ImapBox;
  private isDelivering = false;

  constructor(
    private readonly file: string,
    private readonly now: () => number,
    private readonly goAhead: (ms: number) => void,
  ) {
    if (fs.existsSync(file)) this.state = JSON.parse(fs.readFileSync(file, "utf8")) as State;
    this.state.box ??= emptyBox(now());
    this.mailbox = new ImapBox(this.state.box, { user: BOX_ADDRESS, password: DEMO_PASSWORD }, () => this.keep());
  }

  /** Opens the mail server on this machine alone, and gives back its port. */
  async open(): Promise<number> {
    const server = new SMTPServer({
      authOptional: true,
      disabledCommands: ["AUTH", "STARTTLS"],
      logger: false,
      closeTimeout: 500,
      onData: (stream, session, done) => {
        const pieces: Buffer[] = [];
        stream.on("data", (piece: Buffer) => pieces.push(piece));
        stream.on("end", () => {
          const to = session.envelope.rcptTo.map((one) => one.address.toLowerCase());
          this.take(Buffer.concat(pieces), to).then(() => done(null, "2.0.0 Taken"), done);
        });
      },
    });
    server.on("error", () => {});
    this.server = server;
    const inner = await new Promise<net.Server>((resolve, reject) => {
      const listening = server.listen(0, "127.0.0.1", () => resolve(listening));
      listening.once("error", reject);
    });
    const address = inner.address();
    return typeof address === "object" && address ? address.port : 0;
  }

  /** Opens the mailbox on this machine alone, and gives back its port. */
  openMailbox(): Promise<number> {
    return this.mailbox.open();
  }

  /** Begins to deliver answers to the door at this port. */
  deliverTo(doorPort: number): void {
    this.doorPort = doorPort;
    this.timer = setInterval(() => void this.deliver(), LOOK_MS);
  }

  async close(): Promise<void> {
    if (this.timer) clearInterval(this.timer);
    await this.mailbox.close();
    await new Promise<void>((resolve) => (this.server ? this.server.close(resolve) : resolve()));
  }

  get wentOut(): readonly WentOut[] {
    return this.state.wentOut;
  }

  get planned(): readonly Planned[] {
    return [...this.state.planned].sort((a, b) => a.at - b.at);
  }

  /** Somebody outside writes now. */
  write(from: Outsider, to: string, subject: string, text: string): void {
    this.state.planned.push({
      id: messageId(from.address),
      at: this.now(),
      from: { name: from.name, address: from.address },
      to: [{ name: "", address: to }],
      cc: [],
      subject,
      text,
      answers: null,
      references: [],
      isAutomatic: false,
    });
    this.keep();
  }

  /** Lets time go by, and with it the post that belongs into it. */
  async pass(ms: number): Promise<void> {
    this.goAhead(ms);
    await this.deliver();
  }

  private async take(raw: Buffer, envelopeTo: readonly string[]): Promise<void> {
    const parsed = await parseLetter(raw);
    if (!parsed.ok) return;
    const { letter } = parsed;
    const at = this.now();
    this.state.wentOut = [
      { at, from: letter.from?.name ?? "", to: envelopeTo, subject: letter.subject, text: letter.text },
      ...this.state.wentOut,
    ].slice(0, MOST_SHOWN);
    for (const person of WRITERS) if (envelopeTo.includes(person.address)) this.answer(letter, person, at);
    this.keep();
  }

  private answer(letter: Letter, person: (typeof WRITERS)[number], at: number): void {
    // Machines are not answered, and nothing that a machine wrote (RFC 3834 section 2).
    if (letter.automatic || !letter.from) return;
    const turn = this.state.turns[person.key] ?? 0;
    this.state.turns[person.key] = turn + 1;
    const own = letter.parts
      .filter((part) => part.kind === "new")
      .map((part) => letter.text.slice(part.start, part.end))
      .join("");
    const head = replyHead({ ...letter, sentAt: letter.sentAt ?? at }, new Set([person.address]));
    const received = { at, writer: letter.from.name, text: own };
    for (const answer of answersTo(received, person.name, person.manner, person.zone ?? HOME_ZONE, turn)) {
      this.state.planned.push({
        id: messageId(person.address),
        at: answer.at,
        from: { name: person.name, address: person.address },
        to: answer.isAutomatic ? [letter.from] : head.to,
        cc: answer.isAutomatic ? [] : head.cc,
        subject: answer.isAutomatic ? `Automatic reply: ${letter.subject}` : head.subject,
        text: answer.isAutomatic
          ? answer.text
          : `${answer.text}\n\n${quotedBelow({ ...letter, sentAt: letter.sentAt ?? at })}`,
        answers: letter.messageId,
        references: [...letter.references, ...(letter.messageId ? [letter.messageId] : [])],
        isAutomatic: answer.isAutomatic,
      });
    }
  }

  private keep(): void {
    fs.writeFileSync(`${this.file}.new`, JSON.stringify(this.state));
    fs.renameSync(`${this.file}.new`, this.file);
  }

  private async deliver(): Promise<void> {
    if (this.isDelivering || this.doorPort === 0) return;
    this.isDelivering = true;
    try {
      for (;;) {
        const next = this.planned.find((one) => one.at <= this.now());
        if (!next) break;
        if (!(await this.handOver(next))) break;
        this.state.planned = this.state.planned.filter((one) => one !== next);
        this.keep();
      }
    } finally {
      this.isDelivering = false;
    }
  }

  private async handOver(letter: Planned): Promise<boolean> {
    const raw = await new MailComposer({
      from: letter.from,
      to: letter.to.map(({ name, address }) => ({ name, address })),
      cc: letter.cc.map(({ name, address }) => ({ name, address })),
      subject: letter.subject,
      text: `${letter.text}\n`,
      date: new Date(letter.at),
      messageId: `<${letter.id}>`,
      ...(letter.answers ? { inReplyTo: `<${letter.answers}>` } : {}),
      ...(letter.references.length > 0 ? { references: letter.references.map((one) => `<${one}>`) } : {}),
      ...(letter.isAutomatic ? { headers: { "Auto-Submitted": "auto-replied" } } : {}),
      newline: "\r\n",
    })
      .compile()
      .build();
    const transport = nodemailer.createTransport({ host: "127.0.0.1", port: this.doorPort, ignoreTLS: true });
    const all = [...letter.to, ...letter.cc].map((one) => one.address.toLowerCase());
    const to = all.filter((address) => address.endsWith("@larkmoor.example") && address !== BOX_ADDRESS);
    try {
      if (to.length > 0) await transport.sendMail({ envelope: { from: letter.from.address, to }, raw });
      if (all.includes(BOX_ADDRESS)) this.mailbox.put(raw, letter.at);
      return true;
    } catch {
      return false;
    } finally {
      transport.close();
    }
  }
}

// Route handlers are bundles of their own: the room lives on the process.
const shared = globalThis as typeof globalThis & { jamPostRoom?: PostRoom };

/** The post room of this process; null where there is none, which is everywhere but in the demo. */
export function postRoom(): PostRoom | null {
  return shared.jamPostRoom ?? null;
}

export function setPostRoom(room: PostRoom): void {
  shared.jamPostRoom = room;
}
