import { spawnSync } from "node:child_process";
import fs from "node:fs";
import os from "node:os";
import path from "node:path";

const IMAP = "/usr/lib/dovecot/imap";
/** Debian's "nobody": Dovecot refuses to read mail as root. */
const NOBODY = 65_534;

/** Messages in a Maildir of its own, asked by IMAP commands that go to Debian's Dovecot (dovecot-imapd) on a pipe. */
export class DovecotBox {
  readonly folder = fs.mkdtempSync(path.join(os.tmpdir(), "jam-dovecot-"));
  private readonly conf = path.join(this.folder, "dovecot.conf");

  constructor(messages: readonly { name: string; raw: Uint8Array }[]) {
    const mail = path.join(this.folder, "mail");
    for (const name of ["cur", "new", "tmp"]) fs.mkdirSync(path.join(mail, name), { recursive: true });
    for (const { name, raw } of messages)
      fs.writeFileSync(
        path.join(mail, "cur", `${name}:2,S`),
        Buffer.concat([Buffer.from(`X-Jam-File: ${name}\r\n`), raw]),
      );
    const isRoot = process.getuid?.() === 0;
    fs.writeFileSync(
      this.conf,
      [
        `log_path = ${this.folder}/log`,
        `mail_location = maildir:${mail}`,
        "ssl = no",
        `base_dir = ${this.folder}/run`,
        ...(isRoot ? [`mail_uid = ${NOBODY}`, `mail_gid = ${NOBODY}`] : []),
        "",
      ].join("\n"),
    );
    if (isRoot) spawnSync("chown", ["-R", `${NOBODY}:${NOBODY}`, this.folder]);
  }

  /** What the server answers to these commands. */
  ask(...commands: readonly string[]): string {
    const input = [...commands, "LOGOUT"].map((command, i) => `${i} ${command}\r\n`).join("");
    const user = process.getuid?.() === 0 ? "nobody" : os.userInfo().username;
    // Dovecot wants pipes that it may make its own; the ones of this process it may not.
    const done = spawnSync("sh", ["-c", `cat | USER=${user} HOME=${this.folder} ${IMAP} -c ${this.conf} | cat`], {
      input,
      maxBuffer: 256 * 1024 * 1024,
    });
    const said = done.stdout.toString();
    if (!said.includes(`${commands.length} OK`))
      throw new Error(`Dovecot did not answer: ${done.stderr.toString()} ${said.slice(0, 500)}`);
    return said;
  }

  close(): void {
    fs.rmSync(this.folder, { recursive: true, force: true });
  }
}

/** Groups of message numbers of a THREAD answer (RFC 5256 section 4): each outermost bracket is one conversation. */
export function threadGroups(answer: string): number[][] {
  const line = /^\* THREAD (.*)$/m.exec(answer)?.[1] ?? "";
  const groups: number[][] = [];
  let depth = 0;
  for (const token of line.matchAll(/[()]|\d+/g)) {
    if (token[0] === "(") {
      if (depth === 0) groups.push([]);
      depth += 1;
    } else if (token[0] === ")") depth -= 1;
    else groups.at(-1)!.push(Number(token[0]));
  }
  return groups;
}
