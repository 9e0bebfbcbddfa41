import type net from "node:net";
import { SMTPServer, type SMTPServerDataStream, type SMTPServerSession } from "smtp-server";
import type { Way } from "../acts/intake-batch";
import { takeIn } from "../acts/take-in";
import { LARGEST_MESSAGE_BYTES } from "../core/letters/mime";
import type { Envelope } from "../core/letters/ways";
import type { Database } from "../data/engine/database";
import type { SenderCheck } from "./check-sender";
import { followAddresses } from "./follow-addresses";
import { waysTo } from "./ways-to";

/** What the SMTP server needs to know. */
export interface SmtpSettings {
  readonly port: number;
  /** Domains whose addresses are ours; mail for others is refused, always. */
  readonly domains: readonly string[];
  /** Machines whose word on who wrote a letter is taken: our own relay. */
  readonly trustedPeers: readonly string[];
  /** Checks who sent a letter; the result is recorded with it. */
  readonly check: SenderCheck;
  /** Certificate and key in PEM for STARTTLS; null offers none. */
  readonly tls: { readonly cert: string; readonly key: string } | null;
}

/** A running SMTP server. */
export interface SmtpDoor {
  readonly port: number;
  close(): Promise<void>;
}

const MOST_RECIPIENTS = 200;
const MOST_CONNECTIONS = 200;

/** What one peer may do at once, and in a minute; a relay of a large firm stays far below. */
const MOST_CONNECTIONS_PER_PEER = 20;
const MOST_LETTERS_PER_MINUTE = 600;

/** Milliseconds for which letters under way are waited for when the server is told to stop. */
const LONGEST_CLOSE_MS = 2_000;

/** An answer of the server: the reply code of RFC 5321 section 4.2 and the words with the enhanced code of RFC 3463. */
class Reply extends Error {
  constructor(
    readonly responseCode: number,
    message: string,
  ) {
    super(message);
  }
}

/** Counts of each peer, forgotten when it has been quiet for a minute. */
class Peers {
  private readonly open = new Map<string, number>();
  private letters = new Map<string, number>();
  private minute = 0;

  comes(peer: string): boolean {
    const count = (this.open.get(peer) ?? 0) + 1;
    this.open.set(peer, count);
    return count <= MOST_CONNECTIONS_PER_PEER;
  }

  leaves(peer: string): void {
    const count = (this.open.get(peer) ?? 1) - 1;
    if (count > 0) this.open.set(peer, count);
    else this.open.delete(peer);
  }

  mayWrite(peer: string): boolean {
    const minute = Math.floor(Date.now() / 60_000);
    if (minute !== this.minute) this.letters = new Map();
    this.minute = minute;
    const count = (this.letters.get(peer) ?? 0) + 1;
    this.letters.set(peer, count);
    return count <= MOST_LETTERS_PER_MINUTE;
  }
}

async function bytesOf(stream: SMTPServerDataStream): Promise<Buffer> {
  const pieces: Buffer[] = [];
  let size = 0;
  for await (const piece of stream as AsyncIterable<Buffer>) {
    size += piece.length;
    // Read to the end all the same: the client listens only then.
    if (size <= LARGEST_MESSAGE_BYTES) pieces.push(piece);
    else pieces.length = 0;
  }
  if (size > LARGEST_MESSAGE_BYTES || stream.sizeExceeded)
    throw new Reply(552, `5.3.4 One letter may have ${LARGEST_MESSAGE_BYTES / 1_048_576} MB`);
  return Buffer.concat(pieces);
}

/** Servers that a letter may have gone through; more is a ring (RFC 5321 section 6.3 wants at least 100 allowed). */
const MOST_HOPS = 100;

/** How many servers a letter has gone through, by the Received lines of its head. */
function hopsOf(raw: Buffer): number {
  const end = raw.indexOf("\r\n\r\n");
  const head = raw.subarray(0, end < 0 ? raw.length : end).toString("latin1");
  return head.match(/^received:/gim)?.length ?? 0;
}

function envelopeOf(session: SMTPServerSession): Envelope {
  const { mailFrom, rcptTo } = session.envelope;
  return {
    from: mailFrom ? mailFrom.address.toLowerCase() : "",
    to: rcptTo.map((one) => one.address.toLowerCase()),
    peer: session.remoteAddress,
    checks: null,
  };
}

/** Faults of ours are never a "no" to the sender: they try again later (RFC 5321 section 4.2.1, 4yz). */
function notNow(error: unknown): Reply {
  if (error instanceof Reply) return error;
  const { code } = error as { code?: string };
  // PostgreSQL's class 53 and ENOSPC: the disk is full.
  if (code === "ENOSPC" || code?.startsWith("53")) return new Reply(452, "4.3.1 No room at the moment");
  return new Reply(451, "4.3.0 The letter cannot be kept at the moment");
}

/**
 * Takes letters by SMTP (RFC 5321; SIZE, 8BITMIME, SMTPUTF8, PIPELINING, ENHANCEDSTATUSCODES, STARTTLS where there is a
 * certificate). 250 is answered only after the letter is committed. Nobody's mail is passed on.
 */
export async function openSmtpDoor(db: Database, settings: SmtpSettings, now: () => number): Promise<SmtpDoor> {
  const peers = new Peers();
  const ours = new Set(settings.domains.map((domain) => domain.toLowerCase()));
  const trusted = new Set(settings.trustedPeers);
  const keep = async (stream: SMTPServerDataStream, session: SMTPServerSession) => {
    const raw = await bytesOf(stream);
    if (hopsOf(raw) > MOST_HOPS) throw new Reply(554, "5.4.6 This letter is going round in a ring");
    const plain = envelopeOf(session);
    const helo = String(session.hostNameAppearsAs || session.clientHostname || "");
    const envelope = { ...plain, checks: await settings.check({ raw, peer: plain.peer, helo, from: plain.from }) };
    const ways: Way[] = await waysTo(db, envelope);
    const [taken] = await takeIn(db, [{ raw }], ways, now());
    if (!taken || taken.outcome === "refused") throw new Reply(554, "5.6.0 The letter is empty");
    await followAddresses(db, envelope, taken.letterId, trusted, now());
    return taken;
  };
  const server = new SMTPServer({
    name: settings.domains[0] ?? "localhost",
    banner: "Jam Kettle",
    size: LARGEST_MESSAGE_BYTES,
    authOptional: true,
    disabledCommands: settings.tls ? ["AUTH"] : ["AUTH", "STARTTLS"],
    ...(settings.tls ?? {}),
    disableReverseLookup: true,
    maxClients: MOST_CONNECTIONS,
    closeTimeout: LONGEST_CLOSE_MS,
    logger: false,
    onConnect(session, done) {
      done(peers.comes(session.remoteAddress) ? null : new Reply(421, "4.7.0 Too many connections from you at once"));
    },
    onClose(session) {
      peers.leaves(session.remoteAddress);
    },
    onRcptTo(address, session, done) {
      const domain = address.address.split("@").at(-1)?.toLowerCase() ?? "";
      if (!ours.has(domain)) done(new Reply(550, "5.7.1 Mail for this domain is not taken here"));
      else if (session.envelope.rcptTo.length >= MOST_RECIPIENTS) done(new Reply(452, "4.5.3 Too many recipients"));
      else done();
    },
    onData(stream, session, done) {
      if (!peers.mayWrite(session.remoteAddress)) {
        stream.resume();
        stream.once("end", () => done(new Reply(451, "4.7.0 Too many letters from you in this minute")));
        return;
      }
      keep(stream, session).then(
        (taken) => done(null, `2.0.0 Kept as ${taken.sha256.slice(0, 16)}`),
        (error) => done(notNow(error)),
      );
    },
  });
  // A peer that breaks off is no fault of ours; its letter was not acknowledged.
  server.on("error", () => {});
  const listening: net.Server = await new Promise((resolve, reject) => {
    const inner = server.listen(settings.port, () => resolve(inner));
    inner.once("error", reject);
  });
  const address = listening.address();
  return {
    port: typeof address === "object" && address ? address.port : settings.port,
    close: () => new Promise((resolve) => server.close(() => resolve())),
  };
}
