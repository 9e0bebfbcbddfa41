import { Following } from "@/core/following/follow";
import type { ItemChange } from "@/core/following/item";
import { type Reading, surenessNames } from "@/core/following/weighing/sureness";
import type { Weights } from "@/core/reading/weighing/shares";
import { type ConversationSet, LOOKED_AT_PLAIN, labelledConversations, openedAs } from "../conversations";
import { PEOPLE } from "../labelled";
import { type Example, learn } from "./logistic";

/** Follows a conversation as ever, and keeps what told how sure each change was. */
class Watched extends Following {
  readonly names = new Map<ItemChange["item"], readonly string[]>();

  protected override howSure(reading: Reading, change: ItemChange): number {
    this.names.set(change.item, surenessNames(reading, change));
    return super.howSure(reading, change);
  }
}

/** A change that was found, what told how sure it is, and whether it is labelled so. */
interface JudgedChange {
  readonly change: ItemChange;
  readonly names: readonly string[];
  readonly isRight: boolean;
}

/** Every change that is found in some conversations, followed one after the other as ever. */
export async function surenessChanges(sets: readonly ConversationSet[]): Promise<JudgedChange[]> {
  const judged: JudgedChange[] = [];
  for (const labelled of (await Promise.all(sets.map(labelledConversations))).flat()) {
    const following = new Watched(PEOPLE);
    const labelOf = new Map<string, string>();
    for (const { letter, opens, changes } of labelled) {
      const followed = following.read(letter);
      for (const change of followed.changes) {
        const label = changes.find(({ item }) => item === labelOf.get(change.item));
        const names = following.names.get(change.item)!;
        judged.push({ change, names, isRight: label?.change === change.change });
      }
      for (const [id, label] of openedAs(opens, followed.opens)) labelOf.set(id, label);
    }
  }
  return judged;
}

/** The changes that how sure they are is learnt from. What was over and is open again is left out: nobody is sure of it. */
export async function surenessExamples(): Promise<Example[]> {
  const judged = await surenessChanges(LOOKED_AT_PLAIN);
  return judged.flatMap(({ names, isRight }) => (names.length > 0 ? [{ found: names, is: Number(isRight) }] : []));
}

/** Strength of the penalty, the fewest changes in which a name must be found, and steps; found by leaving out one set after the other. */
const STRENGTH = 12;
const FEWEST = 4;
const ROUNDS = 150;

/** Learns how sure a change is from letters that following did not learn from. */
export function learnSureness(examples: readonly Example[]): Weights {
  const { bias, weights } = learn(examples, 2, STRENGTH, { fewest: FEWEST, rounds: ROUNDS });
  return { bias, weights };
}
