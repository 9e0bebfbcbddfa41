import type { Email } from "postal-mime";

/** Bytes of the raw message that are looked through for names of charsets. */
const HEAD_BYTES = 300_000;

function isKnownCharset(name: string): boolean {
  try {
    new TextDecoder(name.toLowerCase().replace(/^cp-?(?=125)/, "windows-"));
    return true;
  } catch {
    return false;
  }
}

/**
 * What is wrong with a message, each as a sentence; empty for a sound one (RFC 5322 section 3.6 demands Date and From, RFC
 * 2046 section 5.1.1 a boundary). A problem never keeps a letter from being read as far as it goes.
 */
export function problemsOf(mail: Email, raw: Uint8Array, isDateRead: boolean): string[] {
  const problems: string[] = [];
  const header = (key: string) => mail.headers.filter((one) => one.key === key).map((one) => one.value);
  if (header("date").length === 0) problems.push("It has no Date.");
  else if (!isDateRead) problems.push("Its Date cannot be read.");
  if (!mail.from?.address) problems.push("It does not say whom it is from.");
  if (header("message-id").length === 0) problems.push("It has no Message-ID.");
  const type = header("content-type")[0] ?? "";
  if (/^\s*multipart\//i.test(type) && !/boundary\s*\*?\d*\*?=/i.test(type))
    problems.push("It has parts, but does not say what stands between them.");
  if (!mail.text?.trim() && !mail.html?.trim() && mail.attachments.length === 0) problems.push("It has no text.");
  const head = new TextDecoder("latin1").decode(raw.subarray(0, HEAD_BYTES));
  const charsets = new Set(
    [...head.matchAll(/^(?:content-type:|[ \t]).*\bcharset\s*=\s*"?([\w.:-]{1,40})/gim)].map((m) => m[1]!),
  );
  for (const charset of charsets)
    if (!isKnownCharset(charset))
      problems.push(`The charset “${charset}” is not known here; its text may show wrong letters.`);
  return problems;
}
