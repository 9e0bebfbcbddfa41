import type { Email } from "postal-mime";

/**
 * Whether a letter is signed or encrypted: by its content type (RFC 1847 and 3156 for OpenPGP, RFC 8551 for S/MIME), or by
 * the armour of OpenPGP in its text (RFC 9580 section 6.2). Nothing is checked or opened here.
 */
export function sealOf(mail: Email, text: string): "signed" | "encrypted" | null {
  const type = mail.headers.find((header) => header.key === "content-type")?.value.toLowerCase() ?? "";
  if (/^\s*multipart\/encrypted/.test(type) || /^\s*-----BEGIN PGP MESSAGE-----/m.test(text)) return "encrypted";
  if (/^\s*application\/(?:x-)?pkcs7-mime/.test(type)) return /signed-data/.test(type) ? "signed" : "encrypted";
  if (/^\s*multipart\/signed/.test(type) || /^-----BEGIN PGP SIGNED MESSAGE-----/m.test(text)) return "signed";
  return null;
}
