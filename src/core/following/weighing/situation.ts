import type { FoundSlip } from "../../reading/slip";
import { isAnswerWithPlease, isInterjection, isThanksOnly } from "../bare-answer";
import type { FollowContext } from "../context";
import type { OpenItem } from "../item";
import type { Segment } from "../segments";
import { type Scored, Topics } from "../topics";

/** What is known of a letter as a whole before its segments are weighed against the open items. */
export interface Situation {
  readonly context: FollowContext;
  readonly open: readonly OpenItem[];
  readonly slips: readonly FoundSlip[];
  /** Segments that can say something of an item: no greeting, and no name below the words. */
  readonly segments: readonly Segment[];
  /** Those of them that ask nothing. */
  readonly statements: readonly Segment[];
  /** How far each names the items. */
  readonly scored: ReadonlyMap<Segment, readonly Scored[]>;
}

/** Words of a line that holds only a name. */
const LONGEST_NAME = 3;

const INITIALS = /^(?:\p{Lu}\.\s?){1,4}$/u;

/** "Hej Pip," at the head and "Miriam Stolz" or "M. S." at the foot: no more than somebody's name. */
function isOnlyName(text: string, names: ReadonlySet<string>): boolean {
  if (INITIALS.test(text)) return true;
  const words = text.toLowerCase().match(/\p{L}+/gu) ?? [];
  return (
    words.length > 0 && words.length <= LONGEST_NAME && words.some((word) => names.has(word)) && !/[.!?]$/.test(text)
  );
}

export function situationOf(context: FollowContext, open: readonly OpenItem[], slips: readonly FoundSlip[]): Situation {
  const topics = new Topics(open);
  const { people } = context;
  const names = new Set(
    [...people.team, ...people.outside].flatMap((one) => one.name.toLowerCase().match(/\p{L}{2,}/gu) ?? []),
  );
  const segments = context.segments.filter((segment) => !isOnlyName(segment.text, names));
  const isAsked = (segment: Segment) =>
    slips.some(
      (slip) =>
        slip.start < segment.end && segment.start < slip.end && (slip.kind === "ask" || slip.kind === "question"),
    );
  const statements = segments.filter(
    (segment) =>
      !/\?$/.test(segment.text) &&
      (!isAsked(segment) || isAnswerWithPlease(segment.text)) &&
      !isThanksOnly(segment.text) &&
      !isInterjection(segment.text),
  );
  return {
    context,
    open,
    slips,
    segments,
    statements,
    scored: new Map(segments.map((segment) => [segment, topics.scored(segment)])),
  };
}
