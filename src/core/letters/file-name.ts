/** Longest name a file is offered under; longer ones are a trouble to some file systems. */
const LONGEST_NAME = 120;

/**
 * A name that is safe to save under and shows what it is: no folders ("../../etc/passwd" → "passwd"), no control
 * characters, none of the signs that turn the reading direction and hide an ending (Unicode TR 36, section 2.10).
 */
export function safeFileName(name: string | null, index: number, type: string): string {
  const last = (name ?? "").normalize("NFC").split(/[\\/]/).at(-1) ?? "";
  const clean = last
    .replace(/[\u0000-\u001f\u007f-\u009f\u061c\u200b-\u200f\u202a-\u202e\u2060-\u2069\ufeff<>:"|?*]/g, "")
    .replace(/^[.\s]+|[.\s]+$/g, "");
  if (clean !== "") {
    if (clean.length <= LONGEST_NAME) return clean;
    const ending = /\.[a-z0-9]{1,8}$/i.exec(clean)?.[0] ?? "";
    return clean.slice(0, LONGEST_NAME - ending.length) + ending;
  }
  const ending =
    type === "message/rfc822"
      ? ".eml"
      : type === "text/calendar"
        ? ".ics"
        : type.startsWith("image/")
          ? `.${type.slice(6).replace(/[^a-z0-9].*/, "")}`
          : "";
  return `part-${index + 1}${ending}`;
}
