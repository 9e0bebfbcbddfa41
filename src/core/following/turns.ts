import type { ChangeKind } from "./item";

/** A pattern of a whole answer, as it is said of a thing that is named, and of one that is only meant; null where that says nothing. */
interface Form {
  readonly named: RegExp | null;
  readonly meant: RegExp | null;
}

/** A way of putting it that every office knows: it says the same of whatever it is said of. Held against the bared answer. */
export interface Turn {
  readonly change: ChangeKind;
  readonly name: string;
  readonly forms: readonly Form[];
  /** Whether it says nothing without a day. */
  readonly needsDay?: boolean;
}

const IT = "that|this|it|they|these|those";

/** What stands for many words in a pattern. */
const SHORT: Readonly<Record<string, string>> = {
  it: `(?:${IT}|(?:the|your|our|my|its|their) [^,;:]{1,40}?)`,
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

function patternOf(source: string, isNamed: boolean): RegExp {
  const full = source.replace(/<([\w ]+)>/g, (_, name: string) => {
    // What is not named is "it": "the museum is sold out" says nothing of a tour.
    const known = name === "it" && !isNamed ? `(?:${IT})` : SHORT[name];
    if (known === undefined) throw new Error(`No pattern is called “${name}”.`);
    return known;
  });
  return new RegExp(`^(?:${full})$`, "iu");
}

/** A whole answer; "<it>" and the like stand for what `SHORT` says, and `<rest>` for whatever follows. */
export function whole(source: string): Form {
  return { named: patternOf(source, true), meant: patternOf(source, false) };
}

/** The same, where it says so only of a thing that is named: "we have found another hall". */
export function wholeOf(source: string): Form {
  return { named: patternOf(source, true), meant: null };
}

/** The first of these turns that a bared answer is, or that stands in it between commas. */
export function turnOf(turns: readonly Turn[], said: string, isNamed: boolean): Turn | null {
  const pieces = [said, ...said.split(/,\s+(?:(?:and|but|so)\s+)?/)];
  const fits = ({ named, meant }: Form) => pieces.some((one) => (isNamed ? named : meant)?.test(one));
  return turns.find(({ forms }) => forms.some(fits)) ?? null;
}
