/** Marks of answers and forwards in the usual languages; RFC 5256 section 2.1 knows only re, fw and fwd. */
const REPLY = /^\s*(?:re|aw|sv|vs|antw|odp|rif|fw|fwd|wg|tr|rv|vl|enc|doorst)\s*(?:\[[^\]]{0,20}\])?\s*:\s*/i;
const BLOB = /^\s*\[[^[\]]{1,60}\]\s*/;
const TRAILER = /\s*\(fwd\)\s*$/i;

/**
 * The subject without marks of answers, forwards and lists, after RFC 5256 section 2.1.
 * `baseSubject("Re: [list] Fwd: Bolts (fwd)")` is "Bolts"; a subject that is nothing but a list mark keeps it.
 */
export function baseSubject(subject: string): string {
  let rest = subject.replace(/\s+/g, " ").trim();
  for (;;) {
    const before = rest;
    rest = rest.replace(TRAILER, "").replace(REPLY, "");
    const withoutBlob = rest.replace(BLOB, "");
    if (withoutBlob !== "") rest = withoutBlob;
    const wrapped = /^\[fwd:\s*(.*)\]$/i.exec(rest);
    if (wrapped) rest = wrapped[1]!;
    rest = rest.trim();
    if (rest === before) return rest;
  }
}

/** Whether a subject is marked as an answer: "Re: Bolts", "AW: Bolts", "[list] Re[2]: Bolts"; not a forward. */
export function isReplySubject(subject: string): boolean {
  return /^\s*(?:\[[^[\]]{1,60}\]\s*)*(?:re|aw|sv|vs|antw|odp|rif|ref|res|ynt|vá|sbj|回复|答复|返信)\s*(?:\[[^\]]{0,20}\]|\(\d{1,3}\))?\s*[:：]/iu.test(
    subject,
  );
}
