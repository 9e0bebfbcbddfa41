import { type KindRule, namedIn } from "../kind-rule";

/** What is to be done, then whose it is, then perhaps by when: "Contract: Wren, by Wednesday", "new halyard (Gus)". */
const BEHIND =
  /^(?<what>[^.?!]{3,80}?)\s*(?::|\s[-–—]|\s?\()\s*(?<who>\p{Lu}[\p{L}’'-]+(?: (?:(?:and|&) )?\p{Lu}[\p{L}’'-]+)?)\)?(?:,? (?:by|before|until|till|on|this|next|today|tomorrow|tonight|asap|as soon|at once|no later|end of)\b[^.?!]{0,50})?[.!]?$/u;

/** Lines that only say who was there, or whose words they are. */
const NO_WORK =
  /^(?:present|apologies|attending|attended|absent|excused|guests?|cc|from|to|chair(?:ed)?|minutes|author|contact|written|taken|there|with|and|names?|best|dear|hi|hello|thanks|ps|p\.s\.?|re|subject|signed|photos?|by|love|regards)\b/i;

/** What is to be done, without whose it is and by when. */
export function beforeName(text: string): string {
  return BEHIND.exec(text)?.groups?.what ?? text;
}

/** A line that says what is to be done and, behind it, by whom; on a list only, since elsewhere a name ends many a sentence. */
export const namedBehind: KindRule = {
  name: "a point with a name behind it",
  confidence: 0.9,
  says: "ask",
  find(clause, ground) {
    if (!clause.isListItem) return null;
    const found = BEHIND.exec(clause.text)?.groups;
    if (!found || NO_WORK.test(found.what!)) return null;
    const named = namedIn(found.who!, ground.people.team).filter(({ person }) => person.id !== ground.writer?.id);
    return named.length > 0 ? "ask" : null;
  },
};
