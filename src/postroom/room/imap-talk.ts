import type net from "node:net";
import type { Box, Lying } from "./box";
import { isInSet, literalAt, quoted, type Word, wordsOf } from "./imap-lines";

const CAPABILITIES = "IMAP4rev1 IDLE AUTH=PLAIN";

/** A command longer than this is none. */
const LONGEST_COMMAND = 64 * 1024;

/** One connection to the mailbox: commands come in, answers go out, in the order of RFC 9051. */
export class ImapTalk {
  private pending = Buffer.alloc(0);
  /** The command whose literals are still coming, and how many octets of one are wanted next. */
  private command = "";
  private wanted = 0;
  private isIn = false;
  private folder: Lying[] | null = null;
  private idleTag: string | null = null;
  private plainTag: string | null = null;

  constructor(
    private readonly socket: net.Socket,
    private readonly box: Box,
    private readonly account: { readonly user: string; readonly password: string },
    private readonly onChange: () => void,
  ) {
    socket.on("error", () => {});
    socket.on("data", (piece: Buffer) => this.read(piece));
    this.say(`* OK [CAPABILITY ${CAPABILITIES}] The post room's mailbox`);
  }

  end(): void {
    this.say("* BYE The post room closes");
    this.socket.destroy();
  }

  tellNew(): void {
    if (this.idleTag !== null && this.folder) this.say(`* ${this.folder.length} EXISTS`);
  }

  private say(line: string): void {
    if (this.socket.writable) this.socket.write(`${line}\r\n`);
  }

  private read(piece: Buffer): void {
    this.pending = Buffer.concat([this.pending, piece]);
    for (;;) {
      if (this.wanted > 0) {
        if (this.pending.length < this.wanted) return;
        this.command += quoted(this.pending.subarray(0, this.wanted).toString("utf8"));
        this.pending = this.pending.subarray(this.wanted);
        this.wanted = 0;
      }
      const end = this.pending.indexOf("\n");
      if (end < 0 || this.pending.length > LONGEST_COMMAND) {
        if (this.pending.length > LONGEST_COMMAND) this.end();
        return;
      }
      const line = this.pending.subarray(0, end).toString("utf8").replace(/\r$/, "");
      this.pending = this.pending.subarray(end + 1);
      const literal = literalAt(line);
      if (literal && literal.size > 0 && literal.size < LONGEST_COMMAND) {
        this.command += line.replace(/\{\d+\+?\}$/, "");
        this.wanted = literal.size;
        if (literal.isWaited) this.say("+ go on");
        continue;
      }
      const whole = this.command + line;
      this.command = "";
      this.answer(whole);
    }
  }

  private answer(line: string): void {
    if (this.plainTag !== null) {
      const [, user = "", password = ""] = Buffer.from(line, "base64").toString("utf8").split("\0");
      this.enter(this.plainTag, user, password);
      this.plainTag = null;
      return;
    }
    if (this.idleTag !== null) {
      if (/^done$/i.test(line.trim())) {
        this.say(`${this.idleTag} OK IDLE ended`);
        this.idleTag = null;
      }
      return;
    }
    const [tag, name, ...words] = wordsOf(line);
    if (typeof tag !== "string" || typeof name !== "string") {
      this.say("* BAD No command");
      return;
    }
    const verb = name.toUpperCase();
    const refusal = this.run(tag, verb, words);
    if (refusal !== null) this.say(`${tag} ${refusal}`);
  }

  /** Runs a command; gives back how it ends, or null where that was said already. */
  private run(tag: string, verb: string, words: readonly Word[]): string | null {
    const text = (i: number) => (typeof words[i] === "string" ? (words[i] as string) : "");
    switch (verb) {
      case "CAPABILITY":
        this.say(`* CAPABILITY ${CAPABILITIES}`);
        return "OK That is all";
      case "NOOP":
        if (this.folder) this.say(`* ${this.folder.length} EXISTS`);
        return "OK Nothing done";
      case "LOGOUT":
        this.say("* BYE Until later");
        this.say(`${tag} OK Closed`);
        this.socket.end();
        return null;
      case "LOGIN":
        this.enter(tag, text(0), text(1));
        return null;
      case "AUTHENTICATE":
        if (text(0).toUpperCase() !== "PLAIN") return "NO Only PLAIN is known here";
        this.plainTag = tag;
        if (text(1)) this.answer(text(1));
        else this.say("+ ");
        return null;
    }
    if (!this.isIn) return "NO First say who you are";
    switch (verb) {
      case "LIST":
      case "LSUB":
        // An empty name asks for what stands between the names of folders (RFC 9051 section 6.3.9).
        if (text(1) === "") this.say(`* ${verb} (\\Noselect) "/" ""`);
        else
          for (const name of Object.keys(this.box.folders))
            this.say(`* ${verb} (\\HasNoChildren${name === "Sent" ? " \\Sent" : ""}) "/" ${quoted(name)}`);
        return "OK Those are all";
      case "STATUS":
        return this.status(text(0));
      case "SELECT":
      case "EXAMINE":
        return this.select(text(0));
      case "CLOSE":
      case "UNSELECT":
        this.folder = null;
        return "OK Closed";
      case "IDLE":
        this.idleTag = tag;
        this.say("+ waiting");
        return null;
      case "UID":
        return this.byUid(text(0).toUpperCase(), words.slice(1));
    }
    return "BAD This mailbox does not know that command";
  }

  private enter(tag: string, user: string, password: string): void {
    this.isIn = user === this.account.user && password === this.account.password;
    this.say(
      this.isIn
        ? `${tag} OK [CAPABILITY ${CAPABILITIES}] Come in`
        : `${tag} NO [AUTHENTICATIONFAILED] User name or password is wrong`,
    );
  }

  private named(name: string): [string, Lying[]] | undefined {
    return Object.entries(this.box.folders).find(([one]) => one.toLowerCase() === name.toLowerCase());
  }

  private status(name: string): string {
    const found = this.named(name);
    if (!found) return "NO There is no such folder";
    this.say(
      `* STATUS ${quoted(found[0])} (MESSAGES ${found[1].length} UIDNEXT ${this.box.nextUid} UIDVALIDITY ${this.box.uidValidity})`,
    );
    return "OK That is all";
  }

  private select(name: string): string {
    const found = this.named(name);
    if (!found) return "NO There is no such folder";
    this.folder = found[1];
    this.say("* FLAGS (\\Seen \\Answered \\Flagged \\Deleted \\Draft)");
    this.say("* OK [PERMANENTFLAGS (\\Seen \\Answered \\Flagged \\Deleted \\Draft \\*)] These are kept");
    this.say(`* ${found[1].length} EXISTS`);
    this.say("* 0 RECENT");
    this.say(`* OK [UIDVALIDITY ${this.box.uidValidity}] Numbers stay`);
    this.say(`* OK [UIDNEXT ${this.box.nextUid}] The next number`);
    return "OK [READ-WRITE] Open";
  }

  private byUid(verb: string, words: readonly Word[]): string {
    if (!this.folder) return "NO No folder is open";
    if (verb === "SEARCH") {
      this.say(`* SEARCH ${this.search(words).join(" ")}`.trimEnd());
      return "OK Those are all";
    }
    const last = this.folder.at(-1)?.uid ?? 0;
    const set = typeof words[0] === "string" ? words[0] : "";
    const found = this.folder.flatMap((one, i) => (isInSet(set, one.uid, last) ? [{ one, n: i + 1 }] : []));
    if (verb === "FETCH") {
      const items = [words[1] ?? ""].flat().map((item) => (typeof item === "string" ? item.toUpperCase() : ""));
      for (const { one, n } of found) this.fetch(one, n, items);
      return "OK Those are all";
    }
    if (verb === "STORE") {
      const how = typeof words[1] === "string" ? words[1].toUpperCase() : "";
      const flags = [words[2] ?? []].flat().filter((flag): flag is string => typeof flag === "string");
      for (const { one, n } of found) {
        const rest = one.flags.filter((flag) => !flags.includes(flag));
        one.flags = how.startsWith("-") ? rest : how.startsWith("+") ? [...rest, ...flags] : flags;
        if (!how.includes("SILENT")) this.say(`* ${n} FETCH (UID ${one.uid} FLAGS (${one.flags.join(" ")}))`);
      }
      this.onChange();
      return "OK Noted";
    }
    return "BAD This mailbox does not know that command";
  }

  private search(words: readonly Word[]): number[] {
    const folder = this.folder!;
    const last = folder.at(-1)?.uid ?? 0;
    let found = folder;
    for (let i = 0; i < words.length; i += 1) {
      const key = String(words[i]).toUpperCase();
      const next = () => String(words[++i] ?? "");
      if (key === "UID") {
        const set = next();
        found = found.filter((one) => isInSet(set, one.uid, last));
      } else if (key === "SINCE") {
        const since = Date.parse(`${next()} UTC`);
        found = found.filter((one) => one.at >= since);
      } else if (key === "KEYWORD") {
        const word = next().toLowerCase();
        found = found.filter((one) => one.flags.some((flag) => flag.toLowerCase() === word));
      } else if (key === "FLAGGED") found = found.filter((one) => one.flags.includes("\\Flagged"));
      else if (key === "SEEN") found = found.filter((one) => one.flags.includes("\\Seen"));
      else if (key === "UNSEEN") found = found.filter((one) => !one.flags.includes("\\Seen"));
    }
    return found.map((one) => one.uid);
  }

  private fetch(one: Lying, n: number, items: readonly string[]): void {
    const raw = Buffer.from(one.raw, "base64");
    const said = [`UID ${one.uid}`];
    if (items.includes("FLAGS")) said.push(`FLAGS (${one.flags.join(" ")})`);
    if (items.includes("RFC822.SIZE")) said.push(`RFC822.SIZE ${raw.length}`);
    if (!items.some((item) => item.startsWith("BODY"))) {
      this.say(`* ${n} FETCH (${said.join(" ")})`);
      return;
    }
    this.socket.write(`* ${n} FETCH (${said.join(" ")} BODY[] {${raw.length}}\r\n`);
    this.socket.write(raw);
    this.say(")");
  }
}
