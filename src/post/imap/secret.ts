import crypto from "node:crypto";
import fs from "node:fs";
import path from "node:path";

const KEY_BYTES = 32;
const NONCE_BYTES = 12;
const TAG_BYTES = 16;

/**
 * The key by which passwords of mailboxes are encrypted: JAM_KEY (64 hexadecimal figures), else a file beside the data that
 * only its owner may read, made at the first need. It is never in the database: a copy of that alone opens no mailbox.
 */
export function mailboxKey(folder: string, env: NodeJS.ProcessEnv = process.env): Buffer {
  if (env.JAM_KEY) {
    if (!/^[0-9a-f]{64}$/i.test(env.JAM_KEY)) throw new Error("JAM_KEY must have 64 hexadecimal figures (32 bytes).");
    return Buffer.from(env.JAM_KEY, "hex");
  }
  const file = path.join(folder, "mailbox.key");
  if (!fs.existsSync(file)) {
    fs.mkdirSync(folder, { recursive: true });
    fs.writeFileSync(file, crypto.randomBytes(KEY_BYTES).toString("hex"), { mode: 0o600, flag: "wx" });
  }
  return Buffer.from(fs.readFileSync(file, "utf8").trim(), "hex");
}

/** Encrypts a password with AES-256-GCM (NIST SP 800-38D); nonce, tag and text in base64. */
export function seal(text: string, key: Buffer): string {
  const nonce = crypto.randomBytes(NONCE_BYTES);
  const cipher = crypto.createCipheriv("aes-256-gcm", key, nonce);
  const sealed = Buffer.concat([cipher.update(text, "utf8"), cipher.final()]);
  return Buffer.concat([nonce, cipher.getAuthTag(), sealed]).toString("base64");
}

/** Opens what `seal` made; throws where the key is another one or the text was changed. */
export function unseal(sealed: string, key: Buffer): string {
  const bytes = Buffer.from(sealed, "base64");
  const cipher = crypto.createDecipheriv("aes-256-gcm", key, bytes.subarray(0, NONCE_BYTES));
  cipher.setAuthTag(bytes.subarray(NONCE_BYTES, NONCE_BYTES + TAG_BYTES));
  return Buffer.concat([cipher.update(bytes.subarray(NONCE_BYTES + TAG_BYTES)), cipher.final()]).toString("utf8");
}
