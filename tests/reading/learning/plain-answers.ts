import { contextOf, type FollowContext } from "@/core/following/context";
import { Following } from "@/core/following/follow";
import type { OpenItem } from "@/core/following/item";
import { PLAIN_READING } from "@/core/reading/settings";
import { letterOf, PEOPLE } from "../labelled";
import { answersIn, phrasesIn } from "../plain";

/** One short and plain answer to the one thing that is open. */
export interface AnswerToOne {
  readonly context: FollowContext;
  readonly item: OpenItem;
  readonly change: string;
  readonly quote: string;
}

/** A letter by itself: who writes to whom and when, as `letterOf` takes it, and its words. */
type Written = readonly [head: string, text: string];

/** Null where the first letter opens nothing: then there is nothing to answer. */
async function answerTo(opening: Written, answer: Written, change: string): Promise<AnswerToOne | null> {
  const [item] = new Following(PEOPLE).read(await letterOf(...opening)).opens;
  const letter = await letterOf(...answer);
  const context = contextOf(letter, PEOPLE, { at: letter.sentAt ?? 0, zone: letter.offset }, PLAIN_READING);
  return item && context ? { context, item, change, quote: answer[1] } : null;
}

const between = (from: string, to: string, date: string) => `${from} -> ${to} | ${date} | Re: a matter`;

/** When phrases and plain answers are asked, and when they are answered. */
const PHRASES = ["Mon, 01 Jun 2026 09:00:00 +0100", "Wed, 03 Jun 2026 09:00:00 +0100"] as const;
const ANSWERS = ["Tue, 03 Mar 2026 09:00:00 +0000", "Thu, 05 Mar 2026 08:00:00 +0000"] as const;

/** All plain answers and phrases that are learnt from; those that nothing is learnt from stand in files of their own. */
export async function plainAnswers(): Promise<AnswerToOne[]> {
  const phrases = phrasesIn("phrases").map(({ asker, asked, ask, isAnswer, change, words }) =>
    answerTo(
      [between(asker, asked, PHRASES[0]), `Hi,\n\n${ask}\n`],
      [isAnswer ? between(asked, asker, PHRASES[1]) : between(asker, asked, PHRASES[1]), words],
      change.replace(/@.+/, ""),
    ),
  );
  const answers = answersIn("answers.txt").map(({ kind, asked, byOwner, change, text }) => {
    const [owner, asker] = ["theo", "nadia"];
    const opening = kind === "promise" ? [owner, asker] : [asker, owner];
    return answerTo(
      [between(opening[0]!, opening[1]!, ANSWERS[0]), `Hi,\n\n${asked}\n`],
      [byOwner ? between(owner, asker, ANSWERS[1]) : between(asker, owner, ANSWERS[1]), text],
      change,
    );
  });
  return (await Promise.all([...phrases, ...answers])).filter((one) => one !== null);
}
