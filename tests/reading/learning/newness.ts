import { Following } from "@/core/following/follow";
import { isSame } from "@/core/following/stretch";
import { type Answering, newnessNames } from "@/core/following/weighing/newness";
import type { FoundSlip } from "@/core/reading/slip";
import type { Weights } from "@/core/reading/weighing/shares";
import {
  CONVERSATION_SETS,
  type ConversationSet,
  FOLLOWED_PLAIN,
  LOOKED_AT_PLAIN,
  labelledConversations,
  UNLEARNT_CONVERSATIONS,
} from "../conversations";
import { PEOPLE } from "../labelled";
import { overlap, squash } from "../overlap";
import { type Example, learn } from "./logistic";

/** Follows by the rules of what is new alone, and keeps what told of each slip. */
class ByRules extends Following {
  met: { readonly slip: FoundSlip; readonly names: readonly string[] }[] = [];

  protected override howNew(answer: Answering, slip: FoundSlip): number {
    this.met.push({ slip, names: newnessNames(answer, slip) });
    return Number(answer.plain.some(isSame(slip)));
  }
}

/** How much a slip counts of conversations that following was learnt from: what answers there is less strange than with strangers. */
const OF_KNOWN = 0.4;

/** Every slip of letters that were written while something was open, and whether it is labelled as something new. */
export async function slipsOf(sets: readonly ConversationSet[], counts: number): Promise<Example[]> {
  const examples: Example[] = [];
  for (const labelled of (await Promise.all(sets.map(labelledConversations))).flat()) {
    const following = new ByRules(PEOPLE);
    for (const { letter, opens } of labelled) {
      following.met = [];
      following.read(letter);
      const left = new Set(opens);
      for (const { slip, names } of following.met) {
        const quote = squash(letter.text.slice(slip.start, slip.end));
        const label = [...left].find((one) => overlap(squash(one.quote), quote) >= 0.5);
        if (label) left.delete(label);
        examples.push({ found: names, is: Number(label !== undefined), counts });
      }
    }
  }
  return examples;
}

/** The slips that what is new is learnt from. */
export async function newnessExamples(): Promise<Example[]> {
  const known = [...CONVERSATION_SETS, ...FOLLOWED_PLAIN].filter((set) => !UNLEARNT_CONVERSATIONS.includes(set));
  return [...(await slipsOf(LOOKED_AT_PLAIN, 1)), ...(await slipsOf(known, OF_KNOWN))];
}

/** Strength of the penalty, the fewest slips in which a name must be found, and steps: leaving out a fifth of the sets after the other, penalties from 8 to 16 did alike. */
const STRENGTH = 12;
const FEWEST = 3;
const ROUNDS = 150;

/** Learns what is new in a conversation. */
export function learnNewness(examples: readonly Example[]): Weights {
  const { bias, weights } = learn(examples, 2, STRENGTH, { fewest: FEWEST, rounds: ROUNDS });
  return { bias, weights };
}
