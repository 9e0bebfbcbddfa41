import { Following } from "@/core/following/follow";
import type { ItemChange } from "@/core/following/item";
import { type Reading, surenessNames } from "@/core/following/weighing/sureness";
import type { Weights } from "@/core/reading/weighing/shares";
import { type ConversationSet, LOOKED_AT_PLAIN, labelledConversations, openedAs } from "../conversations";
import { letterOf, PEOPLE } from "../labelled";
import { answersIn } from "../plain";
import { type Example, learn } from "./logistic";

/** When plain answers are asked for, and when they are given. */
const ASKED_AT = "Tue, 03 Mar 2026 09:00:00 +0000";
const ANSWERED_AT = "Thu, 05 Mar 2026 08:00:00 +0000";

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

/**
 * Every change that is found in some conversations, followed one after the other as ever, of what is open by their labels: what was
 * opened in excess is brushed off by people before it can change.
 */
export async function surenessChanges(sets: readonly ConversationSet[]): Promise<JudgedChange[]> {
  const judged: JudgedChange[] = [];
  for (const labelled of (await Promise.all(sets.map(labelledConversations))).flat()) {
    const following = new Watched(PEOPLE);
    const labelOf = new Map<string, string>();
    for (const { letter, opens, changes } of labelled) {
      const followed = following.read(letter);
      for (const change of followed.changes) {
        if (!labelOf.has(change.item)) continue;
        const label = changes.find(({ item }) => item === labelOf.get(change.item));
        const names = following.names.get(change.item)!;
        judged.push({ change, names, isRight: label?.change === change.change });
      }
      for (const [id, label] of openedAs(opens, followed.opens)) labelOf.set(id, label);
    }
  }
  return judged;
}

/** The same of plain answers to one thing each, as most letters are. */
async function answersJudged(): Promise<JudgedChange[]> {
  const judged: JudgedChange[] = [];
  for (const { kind, asked, byOwner, change: label, text } of answersIn("answers-later.txt")) {
    const [owner, asker] = ["theo", "nadia"];
    const [from, to] = kind === "promise" ? [owner, asker] : [asker, owner];
    const following = new Watched(PEOPLE);
    following.read(await letterOf(`${from} -> ${to} | ${ASKED_AT} | A matter`, `Hi,\n\n${asked}\n`));
    const answer = byOwner ? `${owner} -> ${asker}` : `${asker} -> ${owner}`;
    for (const change of following.read(await letterOf(`${answer} | ${ANSWERED_AT} | Re: A matter`, text)).changes)
      judged.push({ change, names: following.names.get(change.item)!, isRight: change.change === label });
  }
  return judged;
}

/** How much an answer to one thing counts beside a change in a whole conversation. */
const OF_AN_ANSWER = 0.4;

/** The changes that how sure they are is learnt from. What was over and is open again is left out: nobody is sure of it. */
export async function surenessExamples(): Promise<Example[]> {
  const examples = (judged: readonly JudgedChange[], counts: number) =>
    judged.flatMap(({ names, isRight }) => (names.length > 0 ? [{ found: names, is: Number(isRight), counts }] : []));
  return [...examples(await surenessChanges(LOOKED_AT_PLAIN), 1), ...examples(await answersJudged(), OF_AN_ANSWER)];
}

/** Strength of the penalty, the fewest changes in which a name must be found, and steps. Of penalties of 12 and 20 the stronger: with strangers it claims less, and is right in more of it. */
const STRENGTH = 20;
const FEWEST = 4;
const ROUNDS = 150;

/** Learns how sure a change is from letters that following did not learn from. */
export function learnSureness(examples: readonly Example[]): Weights {
  const { bias, weights } = learn(examples, 2, STRENGTH, { fewest: FEWEST, rounds: ROUNDS });
  return { bias, weights };
}
