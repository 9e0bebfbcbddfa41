import type { Clause } from "../clauses";
import { type KindRule, namedIn } from "../kind-rule";
import { doesAsNoted, goesOnToDo } from "../noted";
import { asksWhetherTheyCan } from "../polite-words";

/** What a note is about, before the name of who does it: "Flat 7: Emeka rings". */
const HEAD = /^[^:]{2,40}:\s$/;

const DAY =
  /\b(?:by|on|until|before) (?:the |\d|mon|tues|wednes|thurs|fri|satur|sun|tomorrow)|\bby (?:noon|midday|lunch|half past|quarter|\d)|\b(?:today|tomorrow|tonight|now|at once)\b/i;

const PROMISED_BY =
  /\b(?:promised|was going to|was supposed to|said (?:he|she|they) (?:would|['’]d)|offered to|agreed to|owes? (?:me|us|them))\b/i;

/** A named colleague who "will" do something: the writer gives it to them. */
function isAboutColleague(clause: Clause, others: readonly { at: number; end: number }[], isNotes: boolean): boolean {
  return others.some(
    (name) =>
      // "Emeka collects the samples": in notes, and where a day stands with it.
      ((name.at === 0 || HEAD.test(clause.text.slice(0, name.at))) &&
        doesAsNoted(clause.text.slice(name.end)) &&
        (clause.isListItem || isNotes || DAY.test(clause.text))) ||
      (name.at === 0 && goesOnToDo(clause.text.slice(name.end))) ||
      /\b(?:could|can|would|will)\s+$/i.test(clause.text.slice(0, name.at)) ||
      /^[,:]?\s+(?:will|shall|is going to|is to|can|could|would|please|has to|has been asked to|is asked to|must not|must|should|needs to|to)\b(?! (?:be (?:away|out|off|back|there|here|in)|know|love|like))/i.test(
        clause.text.slice(name.end),
      ),
  );
}

/** "Rosa will order the paint", "Rosa has to sign", "Rosa promised to ring": a colleague by name, and what is theirs. */
export const colleague: KindRule = {
  name: "a colleague by name, and what they have to do",
  confidence: 0.95,
  isCertain: true,
  find(clause, ground) {
    const others = namedIn(clause.text, ground.people.team).filter(({ person }) => person.id !== ground.writer?.id);
    if (others.length === 0 || asksWhetherTheyCan(clause.text) || /\bif\b/i.test(clause.text.slice(0, 3))) return null;
    return PROMISED_BY.test(clause.text) || isAboutColleague(clause, others, ground.isNotes ?? false) ? "ask" : null;
  },
};
