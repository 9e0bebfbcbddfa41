import { ImapFlow } from "imapflow";
import type { Database } from "../../data/engine/database";
import { faultInWords } from "./fault-words";
import { type MailboxRow, noteFailure } from "./folder-state";
import { readFolder, tidyDealt } from "./read-folder";
import { unseal } from "./secret";

/** Milliseconds between two looks where the server says nothing by itself. */
const POLL_MS = 30_000;

/** Pauses after failures, in seconds: growing, never longer than a quarter of an hour. */
const PAUSES_S = [5, 10, 30, 60, 120, 300, 900];

/** Connects to a mailbox's server; the caller logs out. Encrypted unless the mailbox says otherwise for this very machine. */
function connectTo(mailbox: MailboxRow, key: Buffer): ImapFlow {
  const client = new ImapFlow({
    host: mailbox.host,
    port: mailbox.port,
    secure: mailbox.security === "tls",
    doSTARTTLS: mailbox.security === "starttls",
    ...(mailbox.security === "none" ? { disableAutoEnable: true } : {}),
    auth: { user: mailbox.userName, pass: unseal(mailbox.secret, key) },
    logger: false,
    maxIdleTime: 5 * 60_000,
    disableAutoIdle: true,
  });
  // Faults come as rejections of what is being done; without a listener the event would end the process.
  client.on("error", () => {});
  return client;
}

/** Reads one mailbox again and again: at once when its server says that something came, else after a while. */
export class MailboxReader {
  private isStopped = false;
  private client: ImapFlow | null = null;
  private endPause: () => void = () => {};
  private isWoken = false;
  private readonly running: Promise<void>;

  constructor(
    private readonly db: Database,
    private readonly mailbox: MailboxRow,
    private readonly key: Buffer,
    private readonly now: () => number,
  ) {
    this.running = this.run();
  }

  /** Reads at once. */
  nudge(): void {
    this.wake();
  }

  private wake(): void {
    this.isWoken = true;
    this.endPause();
  }

  async stop(): Promise<void> {
    this.isStopped = true;
    this.wake();
    this.client?.close();
    await this.running;
  }

  private async pause(ms: number): Promise<void> {
    // What the server said while we were busy is not lost.
    if (!this.isStopped && !this.isWoken)
      await new Promise<void>((resolve) => {
        const timer = setTimeout(resolve, ms);
        this.endPause = () => {
          clearTimeout(timer);
          resolve();
        };
      });
    this.isWoken = false;
  }

  private async run(): Promise<void> {
    while (!this.isStopped) {
      try {
        await this.readWhileConnected();
      } catch (error) {
        if (this.isStopped) return;
        const failures = await noteFailure(
          this.db,
          this.mailbox.id,
          this.mailbox.folder,
          faultInWords(error, this.mailbox),
        ).catch(() => 1);
        await this.pause(1_000 * PAUSES_S[Math.min(failures, PAUSES_S.length) - 1]!);
      }
    }
  }

  private async readWhileConnected(): Promise<void> {
    const client = connectTo(this.mailbox, this.key);
    this.client = client;
    try {
      await client.connect();
      for (const event of ["exists", "flags", "expunge", "close"]) client.on(event, () => this.wake());
      while (!this.isStopped && client.usable) {
        const { db, mailbox, now } = this;
        if (mailbox.sentFolder) await readFolder(db, client, mailbox, mailbox.sentFolder, true, now);
        await readFolder(db, client, mailbox, mailbox.folder, false, now);
        await tidyDealt(db, client, mailbox);
        // From here on the server tells of what comes (RFC 2177); the next command ends it.
        if (!this.isWoken && !this.isStopped) client.idle().catch(() => {});
        await this.pause(POLL_MS);
      }
    } finally {
      client.close();
      this.client = null;
    }
  }
}
