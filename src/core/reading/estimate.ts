import { DURATION, readDuration } from "../time/duration";

const ABOUT =
  "(?:(?:only|just|about|around|roughly|approximately|perhaps|maybe|some|probably|say|up to|at most|at the most|less than|under|not more than|no more than|more than|much more than|longer than|much longer than|you|us|me|him|her|them|anybody|anyone|someone|somebody)\\s+){0,4}";

/** "Ten minutes." and "Half an hour at most.": a length of work and nothing else, said of what stands before. */
const ALONE = new RegExp(
  `^${ABOUT}(?<d>${DURATION})(?:\\s+(?:at (?:the )?most|or so|or less|tops|maximum|max))?\\s*[.!]?$`,
  "iu",
);

/** Words that say how long work takes, each with the length as "d". */
const SAID: readonly RegExp[] = [
  // "it should take you about half an hour", "won't take more than ten minutes"
  `\\b(?:takes?|taking|need(?:s|ing)?|costs?|requires?)\\s+(?:\\p{L}+\\s+)??${ABOUT}(?<d>${DURATION})`,
  // "allow two hours", "reckon with a day", "set aside an hour for it"
  `\\b(?:allow|plan(?: in)?|reckon (?:on|with)|budget(?: for)?|set aside|put aside|block|give it|spend|expect)\\s+${ABOUT}(?<d>${DURATION})`,
  // "a two-hour job", "an hour's work", "two days of work", "ten minutes of your time"
  `(?<![\\p{L}-])(?:an?\\s)?(?<d>${DURATION})(?:['’]s?|s['’])?\\s+(?:of\\s+)?(?:(?:your|our|his|her|their|somebody['’]s|hard|solid|honest)\\s+)?(?:work|jobs?|tasks?|effort|your time)\\b`,
  // "estimate: 3 h", "effort: half a day"
  `(?:^|[\\s,(])(?:estimate|estimated(?: time| effort)?|est\\.?|effort|duration|time needed)\\s*[:=]\\s*${ABOUT}(?<d>${DURATION})`,
].map((source) => new RegExp(source, "iu"));

/** What takes long by itself is no work: delivery, drying, the way there. */
const NO_WORK =
  /\b(?:deliver(?:y|ies)|shipping|transport|post(?:age)?|drying|curing|to (?:dry|cure|arrive|set|harden)|lead time|journey|drive|flight|train|approval|response|reply)\b/i;

/** Most clauses name no length of time at all, and are not looked at further. */
const NAMES_A_LENGTH = /min|h(?:ou)?rs?\b|(?<!\p{L})h(?!\p{L})|day|week/iu;

/** How long work takes, and the words that say it. */
export interface Estimate {
  readonly minutes: number;
  readonly words: string;
}

/** How long the work takes that a clause speaks of, in minutes; null where it says nothing of it. */
export function estimateOf(text: string): Estimate | null {
  if (!NAMES_A_LENGTH.test(text) || NO_WORK.test(text)) return null;
  for (const pattern of [...SAID, ALONE]) {
    const words = pattern.exec(text)?.groups?.d;
    const minutes = words === undefined ? null : readDuration(words.replace(/[-](?=\p{L})/u, " "));
    if (minutes !== null) return { minutes, words: words! };
  }
  return null;
}

/** Whether a clause that asks nothing says how long what was asked before it takes: "It should not take more than an hour." */
export function speaksOfWorkBefore(text: string): boolean {
  if (ALONE.test(text)) return true;
  return /^(?:(?:and|but|i (?:think|guess|reckon|expect|suppose)|we (?:think|reckon|expect)|my guess is|in all|all in all|altogether|that said)[,\s]+)*(?:that |this |it |which |should |shouldn['’]t |would |won['’]t |will |the (?:whole|entire|lot|job|work|thing)|estimate|est\b|effort|allow |reckon |plan |budget |set aside |give it |about |it['’]s |that['’]s |expect )/i.test(
    text,
  );
}
