/** A word of an IMAP command (RFC 9051 section 9): an atom or string, or a list in brackets. */
export type Word = string | readonly Word[];

/** How many octets of a literal follow this line (RFC 9051 section 4.3), and whether they come without being asked for. */
export function literalAt(line: string): { size: number; isWaited: boolean } | null {
  const match = /\{(\d{1,9})(\+?)\}$/.exec(line);
  return match ? { size: Number(match[1]), isWaited: match[2] === "" } : null;
}

/** The words of a command whose literals have been put in as quoted strings. Text that is no IMAP gives what can be read of it. */
export function wordsOf(text: string): Word[] {
  const stack: Word[][] = [[]];
  for (const [, quoted, bracket, atom] of text.matchAll(/"((?:[^"\\]|\\.)*)"|([()])|([^\s()"]+)/g)) {
    if (bracket === "(") stack.push([]);
    else if (bracket === ")") {
      if (stack.length > 1) {
        const list = stack.pop()!;
        stack.at(-1)!.push(list);
      }
    } else stack.at(-1)!.push(quoted === undefined ? (atom ?? "") : quoted.replace(/\\(.)/g, "$1"));
  }
  return stack[0]!;
}

/** Whether a number is in a set like "3:7,9,12:*" (RFC 9051, sequence-set); `last` is what "*" stands for. */
export function isInSet(set: string, n: number, last: number): boolean {
  return set.split(",").some((range) => {
    const [a, b = a] = range.split(":").map((end) => (end === "*" ? last : Number(end)));
    return n >= Math.min(a!, b!) && n <= Math.max(a!, b!);
  });
}

/** A string as a quoted one. */
export function quoted(text: string): string {
  return `"${text.replace(/[\\"]/g, "\\$&")}"`;
}
