import { bareClause } from "../bare-clause";
import { isImperative } from "../imperative";
import { type KindRule, namedIn } from "../kind-rule";
import type { Person } from "../slip";

/** A verb that says how something is: then the line tells and does not ask. */
const FINITE =
  /\b(?:is|are|was|were|has|have|had|will|would|did|does|do|can|could|said|says|went|came|got|thinks?|knows?)\b/i;

/** "Sanna: new invoice to Agnes": a name, and what is theirs, without a verb that says how it is. */
function isListedFor(text: string, others: readonly { at: number; end: number }[]): boolean {
  const head = others.find((name) => name.at <= 8);
  if (!head) return false;
  const after = /^\s*(?::|[–—-])\s+(?=\S)/.exec(text.slice(head.end));
  if (!after) return false;
  const rest = text.slice(head.end + after[0].length);
  return !/\?$/.test(rest) && !FINITE.test(rest) && !/^\w+ing\b/.test(rest) && rest.split(/\s+/).length >= 2;
}

/** "Nadia:" over a list: its points are hers. */
function isNameAlone(lead: string, team: readonly Person[]): boolean {
  const [named] = namedIn(lead, team);
  return named !== undefined && lead.replace(/[^\p{L}]/gu, "").length <= named.end - named.at + 1;
}

/** "Emeka, label the boxes", "Sanna: new invoice", and the points under "Nadia:". */
export const forSomebody: KindRule = {
  name: "a name at the head of the line",
  confidence: 0.9,
  says: "ask",
  find(clause, ground) {
    const others = namedIn(clause.text, ground.people.team).filter(({ person }) => person.id !== ground.writer?.id);
    if (isListedFor(clause.text, others)) return "ask";
    const isCalled = others.some(({ at, end }) => at <= 8 && /^\s*[:–—-]\s|^,\s/.test(clause.text.slice(end)));
    if (isCalled && isImperative(bareClause(clause.text), true)) return "ask";
    const isUnderName = clause.lead !== null && isNameAlone(clause.lead, ground.people.team);
    return isUnderName && !/\?$/.test(clause.text) ? "ask" : null;
  },
};
