import net from "node:net";
import type { Box } from "./box";
import { ImapTalk } from "./imap-talk";

/**
 * A mailbox on this machine alone, asked by IMAP: as much of RFC 9051 as a reader of mail needs (folders, search, fetch,
 * flags, IDLE), for one person. Letters are kept by whoever made the box.
 */
export class ImapBox {
  private server: net.Server | null = null;
  private readonly talks = new Set<ImapTalk>();

  constructor(
    private readonly box: Box,
    private readonly account: { readonly user: string; readonly password: string },
    private readonly onChange: () => void,
  ) {}

  async open(): Promise<number> {
    const server = net.createServer((socket) => {
      const talk = new ImapTalk(socket, this.box, this.account, this.onChange);
      this.talks.add(talk);
      socket.once("close", () => this.talks.delete(talk));
    });
    this.server = server;
    await new Promise<void>((resolve, reject) => {
      server.once("error", reject);
      server.listen(0, "127.0.0.1", resolve);
    });
    const address = server.address();
    return typeof address === "object" && address ? address.port : 0;
  }

  async close(): Promise<void> {
    for (const talk of this.talks) talk.end();
    await new Promise<void>((resolve) => (this.server ? this.server.close(() => resolve()) : resolve()));
  }

  /** Puts a letter into the inbox; whoever is waiting hears of it at once. */
  put(raw: Buffer, at: number): void {
    this.box.folders.INBOX!.push({ uid: this.box.nextUid, raw: raw.toString("base64"), at, flags: [] });
    this.box.nextUid += 1;
    this.onChange();
    for (const talk of this.talks) talk.tellNew();
  }
}
