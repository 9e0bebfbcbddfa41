import { spawn, spawnSync } from "node:child_process";
import fs from "node:fs";
import net from "node:net";
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
    const commandFile = path.join(this.folder, "commands");
    fs.writeFileSync(commandFile, input);
    // Dovecot wants pipes that it may make its own; the ones of this process it may not. The one that it reads stays open
    // after the last command: where it ends early, Dovecot may end before it has answered.
    const script = `USER=${user} HOME=${this.folder} ${IMAP} -c ${this.conf} < <(cat ${commandFile}; exec sleep 60 2>/dev/null) | cat`;
    const done = spawnSync("bash", ["-c", script], { maxBuffer: 256 * 1024 * 1024 });
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

/** A Dovecot of its own at a port of this machine (no TLS); every user has the password "plum". */
export class DovecotServer {
  readonly folder = fs.mkdtempSync(path.join(os.tmpdir(), "jam-imap-"));
  private child: ReturnType<typeof spawn> | null = null;
  private readonly isRoot = process.getuid?.() === 0;

  constructor(readonly port: number) {
    const user = this.isRoot ? "nobody" : os.userInfo().username;
    const group = this.isRoot ? "nogroup" : os.userInfo().username;
    const id = this.isRoot ? { uid: NOBODY, gid: NOBODY } : { uid: process.getuid!(), gid: process.getgid!() };
    // The mail processes run as another user.
    fs.chmodSync(this.folder, 0o755);
    fs.mkdirSync(path.join(this.folder, "mail"));
    fs.writeFileSync(
      path.join(this.folder, "dovecot.conf"),
      `base_dir = ${this.folder}/run
log_path = ${this.folder}/log
ssl = no
disable_plaintext_auth = no
protocols = imap
listen = 127.0.0.1
mail_location = maildir:${this.folder}/mail/%u
mail_uid = ${id.uid}
mail_gid = ${id.gid}
first_valid_uid = 1
default_login_user = ${user}
default_internal_user = ${user}
default_internal_group = ${group}
passdb {
  driver = static
  args = password=plum
}
userdb {
  driver = static
  args = uid=${id.uid} gid=${id.gid} home=${this.folder}/mail/%u
}
service imap-login {
  chroot =
  inet_listener imap {
    port = ${port}
  }
  inet_listener imaps {
    port = 0
  }
}
service anvil {
  chroot =
}
namespace inbox {
  inbox = yes
  mailbox Sent {
    auto = create
  }
  mailbox Archive {
    auto = create
  }
}
`,
    );
    if (this.isRoot) spawnSync("chown", ["-R", `${NOBODY}:${NOBODY}`, path.join(this.folder, "mail")]);
  }

  async start(): Promise<void> {
    this.child = spawn("/usr/sbin/dovecot", ["-F", "-c", path.join(this.folder, "dovecot.conf")], { stdio: "ignore" });
    for (let tries = 0; tries < 100; tries += 1) {
      if (await this.answers()) return;
      await new Promise((resolve) => setTimeout(resolve, 100));
    }
    throw new Error(`Dovecot does not answer: ${fs.readFileSync(path.join(this.folder, "log"), "utf8")}`);
  }

  /** Ends the server at once, in the middle of whatever it does. */
  async kill(): Promise<void> {
    const { child } = this;
    if (!child) return;
    const ended = new Promise((resolve) => child.once("exit", resolve));
    child.kill("SIGTERM");
    await ended;
    this.child = null;
  }

  async close(): Promise<void> {
    await this.kill();
    fs.rmSync(this.folder, { recursive: true, force: true });
  }

  private answers(): Promise<boolean> {
    return new Promise((resolve) => {
      const socket = net.connect(this.port, "127.0.0.1");
      socket.once("data", () => {
        socket.destroy();
        resolve(true);
      });
      socket.once("error", () => resolve(false));
    });
  }
}
