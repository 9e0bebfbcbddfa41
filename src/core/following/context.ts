import type { Letter } from "../letters/letter";
import { forWriter, type ReadingSettings } from "../reading/settings";
import type { DueFound, People } from "../reading/slip";
import type { Moment } from "../time/moment";
import { type Segment, segmentsOf } from "./segments";
import { Sides } from "./sides";
import { isSmallTalk } from "./small-talk";

/** A letter that is being followed, and what is known around it. `writer` is an address. */
export interface FollowContext {
  readonly letter: Letter;
  readonly writer: string;
  readonly segments: readonly Segment[];
  readonly sent: Moment;
  readonly people: People;
  readonly settings: ReadingSettings;
  readonly sides: Sides;
  /** The days that its pieces of text have been found to name: each is asked for by many items. */
  readonly daysFound: Map<string, DueFound | null>;
}

/** "I am shocked.": it says nothing of what has become of anything. */
const ONLY_FELT =
  /^(?:i am|i['’]m|we are|we['’]re) (?:so |very |really |truly |quite |absolutely )?(?:shocked|appalled|mortified|horrified|embarrassed|ashamed|delighted|relieved|thrilled|moved|touched)[.!]*$|^you(?:['’]ve| have)? (?:just )?made my (?:day|week|month|year)[.!]*$/i;

/** "Never mind.": no talk, where something was asked. */
const TAKES_BACK = /^never mind\b/i;

/** "It's half past three": what the hour is, before what is said of it. */
const ONLY_THE_HOUR =
  /^it(?:['’]s| is) (?:now |already |almost |nearly |past |gone )?(?:half past \w+|quarter (?:to|past) \w+|\w+ o['’]clock|\d{1,2}(?:[:.]\d\d)?(?: ?[ap]\.?m\.?)?|noon|midday|midnight|(?:mon|tues|wednes|thurs|fri|satur|sun)day(?: (?:morning|noon|afternoon|evening))?)(?: now| already)?$/i;

/** "J.", "H.P." or "Theo" below a letter: whoever wrote it. */
function isSignedBy(text: string, name: string): boolean {
  const words = text.toLowerCase().match(/[\p{L}'’-]+/gu) ?? [];
  const names = new Set(name.toLowerCase().match(/[\p{L}'’-]+/gu) ?? []);
  if (words.length > 0 && words.every((word) => names.has(word)) && !/[.!?:]$/.test(text)) return true;
  if (!/^\p{Lu}\.?(?:\s?\p{Lu}\.?){0,2}$/u.test(text)) return false;
  const initials = [...name.matchAll(/(?<!\p{L})\p{Lu}/gu)].join("");
  return initials.includes(text.replace(/[^\p{L}]/gu, ""));
}

const CALLS_ALL = /^(?:all|both|everybody|everyone|team|and|dear|hi|hello|sir|madam|or)$/i;

/** "Ruben,": to whom a letter speaks, and no more. */
function isOnlyCall(text: string, { team, outside }: People): boolean {
  if (!/^\p{L}[^.?!:;\d]{0,40}[,!]$/u.test(text)) return false;
  const names = [...team, ...outside].flatMap(({ name, nicknames }) =>
    [name, ...(nicknames ?? [])].join(" ").split(/\s+/),
  );
  return (text.match(/[\p{L}'’-]+/gu) ?? []).every((word) => names.includes(word) || CALLS_ALL.test(word));
}

/** What following a letter needs to know; null of one that changes nothing: a machine's, or one without a writer. */
export function contextOf(
  letter: Letter,
  people: People,
  sent: Moment,
  settings: ReadingSettings,
): FollowContext | null {
  if (letter.automatic || !letter.from) return null;
  const { address } = letter.from;
  const name =
    letter.from.name || ([...people.team, ...people.outside].find((one) => one.address === address)?.name ?? "");
  return {
    letter,
    writer: address,
    segments: segmentsOf(letter.text, letter.parts).filter(
      ({ text }) =>
        !isSignedBy(text, name) &&
        !isOnlyCall(text, people) &&
        !ONLY_FELT.test(text) &&
        !ONLY_THE_HOUR.test(text) &&
        (!isSmallTalk(text) || TAKES_BACK.test(text)),
    ),
    sent,
    people,
    settings: forWriter(settings, letter),
    sides: new Sides(people),
    daysFound: new Map(),
  };
}
