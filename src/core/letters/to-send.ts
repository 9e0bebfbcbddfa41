import type { Correspondent } from "./letter";

/** A letter as it was written here, before it is checked. */
export interface WrittenLetter {
  readonly to: readonly Correspondent[];
  readonly cc: readonly Correspondent[];
  readonly subject: string;
  readonly text: string;
}

/** People one letter may go to; more is a circular, which this is not for. */
const MOST_RECIPIENTS = 50;
const LONGEST_SUBJECT = 400;
const LONGEST_TEXT = 200_000;

/** An address that can be written to (RFC 5321 section 4.1.2, with the letters of RFC 6531); no quoted local parts. */
export function isAddress(text: string): boolean {
  return (
    text.length <= 254 &&
    /^[^\s<>()[\]"',;:@\u0000-\u001f\u007f]{1,64}@(?:[\p{L}\p{N}](?:[\p{L}\p{N}-]{0,61}[\p{L}\p{N}])?\.)+[\p{L}\p{N}](?:[\p{L}\p{N}-]{0,61}[\p{L}\p{N}])?$/u.test(
      text,
    )
  );
}

/** Nothing that was typed may become a header of its own: line ends and other control characters are spaces. */
function oneLine(text: string): string {
  return text
    .replace(/[\u0000-\u001f\u007f\u2028\u2029]+/g, " ")
    .replace(/\s+/g, " ")
    .trim();
}

function people(list: readonly Correspondent[]): Correspondent[] {
  const seen = new Set<string>();
  return list.flatMap(({ name, address }) => {
    const tidy = address.trim().toLowerCase();
    if (seen.has(tidy)) return [];
    seen.add(tidy);
    return [{ name: oneLine(name).slice(0, 200), address: tidy }];
  });
}

/** The letter with its fields tidied, or the sentence that says why it cannot be sent. What was typed is the caller's to keep. */
export function tidyLetter(
  letter: WrittenLetter,
): { readonly ok: true; readonly letter: WrittenLetter } | { readonly ok: false; readonly why: string } {
  const to = people(letter.to);
  const cc = people(letter.cc).filter(({ address }) => !to.some((one) => one.address === address));
  const wrong = [...to, ...cc].find(({ address }) => !isAddress(address));
  if (wrong)
    return { ok: false, why: `“${wrong.address}” is no mail address. Nothing was sent; your letter is still here.` };
  if (to.length === 0) return { ok: false, why: "Say whom it goes to. Nothing was sent; your letter is still here." };
  if (to.length + cc.length > MOST_RECIPIENTS)
    return {
      ok: false,
      why: `It goes to ${to.length + cc.length} people; ${MOST_RECIPIENTS} are the most. Nothing was sent; your letter is still here.`,
    };
  if (letter.text.trim() === "") return { ok: false, why: "The letter is empty. Nothing was sent." };
  if (letter.text.length > LONGEST_TEXT)
    return { ok: false, why: "The letter is longer than 200 000 characters. Nothing was sent; it is still here." };
  const subject = oneLine(letter.subject).slice(0, LONGEST_SUBJECT);
  const text = letter.text
    .replace(/\r\n?/g, "\n")
    .replace(/[\u0000-\u0008\u000b\u000c\u000e-\u001f]/g, "")
    .trimEnd();
  return { ok: true, letter: { to, cc, subject: subject === "" ? "(no subject)" : subject, text } };
}
