import { PLACES } from "../../reading/weighing/word-runs";
import { wordsOf } from "../../reading/weighing/wording";
import type { OpenItem } from "../item";
import { wantsWords } from "../said";
import type { Segment } from "../segments";
import type { Situation } from "./situation";

/** Who writes, as seen from an item. */
type Role = "owner" | "asker" | "other";

/** Who writes, as seen from an item: whoever owes it, whoever wants it, or somebody else. */
export function roleFor({ context: { sides, writer } }: Situation, item: OpenItem): Role {
  return sides.owes(writer, item) ? "owner" : sides.wants(writer, item) ? "asker" : "other";
}

/** What an item wants done: that words are sent, that trouble ends, or work. */
export function sortOf(item: OpenItem): "words" | "trouble" | "work" {
  return wantsWords(item) ? "words" : item.kind === "trouble" ? "trouble" : "work";
}

/**
 * The words of a segment as the places that runs are looked for in (`RunWeigher`): beside the first and behind the last
 * stands who says it of what, since "I have it" is done of one's own and no more than news of another's.
 */
export function answerPlaces(situation: Situation, segment: Segment, item: OpenItem): string[] {
  const said = `* ${roleFor(situation, item)} ${sortOf(item)}`;
  return [PLACES.edge, said, ...wordsOf(segment.text), PLACES.end, said, PLACES.edge];
}
