import { tellingWords } from "../finding/telling-words";
import { dayOf } from "../time/moment";
import { answeredShortly } from "./answered-shortly";
import { thankedFor } from "./asker-turns";
import { KNOWS_NOTHING } from "./bare-answer";
import { bared } from "./bared";
import type { FollowContext } from "./context";
import { cureOf, isWellAgain } from "./cure";
import { dueIn } from "./days-named";
import { isDoneAsAsked } from "./done-as-asked";
import type { OpenItem } from "./item";
import { type Said, saidByOwner, wantsWords } from "./said";
import type { Segment } from "./segments";
import { saidBySetPhrase } from "./set-phrases";

/** What was handed on to somebody, and where that was said. */
export interface Handed {
  readonly item: OpenItem;
  readonly segment: Segment;
}

/** "…, she will write to you": somebody who was just named. */
export const SHE_WILL = /^(?:and )?(?:he|she)(?:['’]ll| will)\b/i;

/** What is open of the two sides of a letter, and what was changed in it so far. */
interface SoFar {
  readonly owed: readonly OpenItem[];
  readonly wanted: readonly OpenItem[];
  readonly changes: ReadonlyMap<string, unknown>;
  readonly handed: Handed | null;
}

const surelyDone = (reason: string): Said => ({
  change: "done",
  due: null,
  owner: null,
  isNamed: true,
  isPlain: true,
  reason,
});

/** The trouble that words say is over: the one that they name, or the only one. */
function curedBy(text: string, left: readonly OpenItem[]): OpenItem | null {
  const troubles = left.filter(({ kind }) => kind === "trouble");
  const said = [...tellingWords(text)];
  const named = troubles.filter(({ words }) => said.some((word) => words.has(word)));
  const [trouble, ...others] = named.length > 0 ? named : troubles;
  if (!trouble || others.length > 0 || !isWellAgain(text, named.length > 0)) return null;
  return cureOf(trouble, left) ?? trouble;
}

/** What tells by its form alone that something is done or answered: "No, leave it on.", "It's working again.", "I've spoken to them." */
function doneAtOnce(text: string, left: readonly OpenItem[]): { readonly item: OpenItem; readonly said: Said } | null {
  const question = answeredShortly(text, left);
  if (question) return { item: question, said: surelyDone("the question is answered") };
  const cured = curedBy(text, left);
  if (cured) return { item: cured, said: surelyDone("it is well again") };
  const done = left.findLast((item) => isDoneAsAsked(item, bared(text)));
  return done ? { item: done, said: surelyDone("it has been done") } : null;
}

/** What a segment says that needs no look at what it is about; null where it is none of these. */
export function saidAtOnce(
  context: FollowContext,
  segment: Segment,
  { owed, wanted, changes, handed }: SoFar,
): { readonly item: OpenItem; readonly said: Said } | null {
  const { text } = segment;
  // "Oda does the vellum, she will write to you."
  if (handed?.segment.block === segment.block && SHE_WILL.test(text)) {
    const reason = "somebody else will do it";
    return {
      item: handed.item,
      said: { change: "passed", due: dueIn(context, text), owner: null, isNamed: false, reason },
    };
  }
  // "Thanks for the drawings."
  const thanked = [...tellingWords(thankedFor(text) ?? "")];
  const come = wanted.find(
    ({ kind, words }) => kind !== "question" && thanked.length > 0 && thanked.every((word) => words.has(word)),
  );
  if (come) {
    const reason = "thanks are given for it";
    return { item: come, said: { change: "done", due: null, owner: null, isNamed: true, reason } };
  }
  const done = doneAtOnce(
    text,
    owed.filter((item) => !changes.has(item.id)),
  );
  if (done) return done;
  const phrase = saidBySetPhrase({
    context,
    text,
    owed: owed.filter((item) => !changes.has(item.id)),
    wanted: wanted.filter((item) => !changes.has(item.id)),
    today: dayOf(context.sent),
  });
  if (phrase) return phrase;
  if (!KNOWS_NOTHING.test(text)) return null;
  // "Sorry, no idea.": whoever was asked alone has no answer.
  const [asked, ...others] = owed.filter(
    (item) => item.owner === context.writer && wantsWords(item) && !changes.has(item.id),
  );
  const said =
    asked && others.length === 0 ? saidByOwner({ ...context, partly: new Set() }, segment, asked, false) : null;
  return asked && said?.isPlain ? { item: asked, said } : null;
}
