import type { ChangeKind } from "./item";

/** A way of putting it that every office knows: it says the same of whatever it is said of. Held against the bared answer. */
export interface Turn {
  readonly change: ChangeKind;
  readonly name: string;
  readonly patterns: readonly RegExp[];
  /** Whether it says nothing without a day. */
  readonly needsDay?: boolean;
}

/** What stands for many words in a pattern. */
const SHORT: Readonly<Record<string, string>> = {
  it: "(?:that|this|it|they|these|those|(?:the|your|our|my|its|their) [^,;:]{1,40}?)",
  we: "(?:i|we)",
  "we are": "(?:i am|i['’]m|we are|we['’]re)",
  "we have": "(?:(?:i|we)(?:['’]ve| have))",
  cannot: "can(?:not|['’]t)",
  "do not": "(?:do not|don['’]t)",
  not: "(?: not|n['’]t)",
  is: "(?:['’]s| is| are|['’]re)",
  will: "(?:['’]ll| will| shall)",
  day: "(?:(?:mon|tues|wednes|thurs|fri|satur|sun)day|tomorrow|today|tonight|next week|the \\d{1,2}(?:st|nd|rd|th)?|\\d{1,2} \\p{L}+)",
  rest: "(?:\\b[^?]*)?\\??",
};

/** A pattern of a whole answer; "<it>" and the like stand for what `SHORT` says, and `<rest>` for whatever follows. */
export function whole(source: string): RegExp {
  const full = source.replace(/<([\w ]+)>/g, (_, name: string) => {
    const known = SHORT[name];
    if (known === undefined) throw new Error(`No pattern is called “${name}”.`);
    return known;
  });
  return new RegExp(`^(?:${full})$`, "iu");
}

/** The first of these turns that a bared answer is, or that stands in it between commas. */
export function turnOf(turns: readonly Turn[], said: string): Turn | null {
  const pieces = [said, ...said.split(/,\s+(?:(?:and|but|so)\s+)?/)];
  return turns.find(({ patterns }) => patterns.some((pattern) => pieces.some((one) => pattern.test(one)))) ?? null;
}
