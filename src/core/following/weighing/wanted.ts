/**
 * What sort of answer somebody wants, and whether words are of that sort: "how much" is answered by a number and "who" by a
 * name (classes of questions after Li & Roth 2002, "Learning question classifiers", section 2, the coarse ones that mail has).
 */
const SORTS: readonly (readonly [string, RegExp])[] = [
  [
    "number",
    /\bhow (?:many|much|long|big|wide|tall|high|heavy|old|far|deep|thick|often)\b|\b(?:prices?|cost|costs|charge|quote|quotation|weight|weigh|measurements?|size|mileage|numbers?|headcount|figures?|amount|total|dimensions|code|password|phone|account)\b/i,
  ],
  [
    "time",
    /\b(?:when|what time|which (?:day|date|week)|what (?:day|date)|how soon|by when|dates?|appointment|opening hours)\b/i,
  ],
  ["person", /\b(?:who|whom|whose|names?|contact|somebody|someone|anybody|anyone|deputy)\b/i],
  ["place", /\b(?:where|address|which (?:room|hall|gate|entrance|door))\b/i],
  ["reason", /\b(?:why|how come|what for|explain|explanation)\b/i],
  [
    "yes or no",
    /^(?:(?:and|but|so|or|also|then|by the way|\p{Lu}\p{L}+),?\s+)*(?:is|are|was|were|do|does|did|can|could|will|would|shall|should|may|has|have|had|isn['’]t|aren['’]t|don['’]t|doesn['’]t|didn['’]t|hasn['’]t|haven['’]t|won['’]t)\b.*\?$|\b(?:if|whether)\b/iu,
  ],
];

const HAS: Readonly<Record<string, RegExp>> = {
  number:
    /\d|£|€|\b(?:one|two|three|four|five|six|seven|eight|nine|ten|eleven|twelve|fifteen|twenty|thirty|forty|fifty|sixty|seventy|eighty|ninety|hundred|thousand|dozen|half|none|a couple|free)\b/i,
  time: /\b(?:(?:mon|tues|wednes|thurs|fri|satur|sun)days?|today|tomorrow|tonight|yesterday|noon|midday|midnight|morning|afternoon|evening|week|weekend|month|january|february|march|april|may|june|july|august|september|october|november|december|o['’]clock|\d{1,2}(?:st|nd|rd|th)|\d{1,2}[:.]\d\d|\d{1,2} ?[ap]m|(?:at|from|after|before|by|until|till) (?:\d{1,2}|one|two|three|four|five|six|seven|eight|nine|ten|eleven|twelve))\b/i,
  person:
    /(?<=\S\s)\p{Lu}\p{Ll}+|^\p{Lu}\p{Ll}+ (?:is|has|does|will|can|and|or|\p{Lu}\p{Ll}+)|\b(?:i|me|we|us|my|our|he|she|mr|mrs|ms|dr|nobody|everybody)\b/u,
  place:
    /\b(?:in|at|on|under|behind|beside|by|next to|opposite|upstairs|downstairs|street|road|room|hall|house|office|yard|gate|door)\b/i,
  reason: /\b(?:because|since|as|due to|owing to|so that|reason)\b/i,
  "yes or no":
    /^(?:yes|yep|yeah|no|nope|not|sure|of course|certainly|indeed|correct|right|exactly|both|neither|either|always|never|sometimes|only|definitely|absolutely|gladly|sadly|afraid)\b|\b(?:we|i|it|they|he|she|that|there|you) (?:do|does|did|is|are|was|were|can|could|will|would|has|have|don['’]t|doesn['’]t|isn['’]t|aren['’]t|can['’]t|won['’]t)\b/i,
};

/** Days and hours: figures that say when, and not how many. */
const DATES =
  /\b\d{1,2}(?:st|nd|rd|th)\b|\b\d{1,2}\.? (?:jan|feb|mar|apr|may|jun|jul|aug|sep|oct|nov|dec)\w*|\b(?:january|february|march|april|may|june|july|august|september|october|november|december) \d{1,2}\b|\b\d{1,2}[:.]\d\d\b(?!\d)|\b(?:at|until|till|before|by) (?:\d{1,2}|one|two|three|four|five|six|seven|eight|nine|ten|eleven|twelve)\b/gi;

const MOST_OF_A_CHOICE = 4;

function plainWords(text: string): string[] {
  return text.toLowerCase().match(/\p{L}{3,}|\d+/gu) ?? [];
}

/** The words on both sides of the "or" of a question: "paper or plastic". */
function choiceOf(asked: string): string[] {
  const [before = "", after] = asked.split(/,? or /i);
  if (after === undefined) return [];
  return [...plainWords(before).slice(-MOST_OF_A_CHOICE), ...plainWords(after).slice(0, MOST_OF_A_CHOICE)];
}

/** Names of what is wanted and of whether it is there. */
export function suitsWanted(asked: string, said: string): string[] {
  const found = SORTS.filter(([, wants]) => wants.test(asked)).map(([sort]) => {
    const words = sort === "number" ? said.replace(DATES, "") : said;
    return `wants ${sort}, ${HAS[sort]!.test(words) ? "there" : "not there"}`;
  });
  const choice = choiceOf(asked);
  if (choice.length > 0) {
    const words = new Set(plainWords(said));
    found.push(`wants a choice, ${choice.some((word) => words.has(word)) ? "made" : "not made"}`);
  }
  return found;
}
