import { bareClause } from "../bare-clause";
import { isImperative } from "../imperative";
import type { KindRule } from "../kind-rule";
import { isNoAsk } from "../own-duty";

/** "It is the wrong file, send the right one.": an order after a comma. */
const AFTER_COMMA =
  /,\s+(?=(?:send|give|make|tell|call|ring|check|bring|take|put|get|ask|stop|hold|use|change|replace|book|order|sign|write|read|mail|post|print|pay|wait|leave|keep|let|come(?! (?:mon|tues|wednes|thurs|fri|satur|sun|tomorrow|today|in |from ))|see that|do|return|forward|pass|add|move|swap|cancel|confirm|reply|answer|collect|fetch|remove|repeat|include|start|finish)\b)/i;

const PHRASE_FIRST =
  /^(?:for|in|at|on|with|to|by|as|from now on|next time|this time|given|out of)\b[^,]{2,50},\s+(?=\p{Ll})/iu;

/** "If the green one is out of stock just send the grey." */
const IF_FIRST =
  /^(?:if|when|once|as soon as|in case)\b[^,;]{4,80}?(?:,\s+(?:(?:then|just|please|simply)\s+)?|\s(?:just|then|please|simply)\s+)(?=\p{Ll})/iu;

/** "Send me the measurements", "Don't forget the life jackets". */
export const order: KindRule = {
  name: "an order",
  confidence: 0.75,
  counts: 1.6,
  says: "ask",
  find({ text }) {
    const bare = bareClause(text);
    // "Invoice to follow." is no order to invoice.
    if (isNoAsk(text, bare) || /^[\w -]{3,40} to follow[.!]?$/i.test(bare)) return null;
    if (isImperative(bare)) return "ask";
    // "For safety's sake, wear a helmet": what stands before the comma only says why or where.
    const led = PHRASE_FIRST.exec(bare) ?? IF_FIRST.exec(bare);
    if (led && isImperative(bare.slice(led[0].length))) return "ask";
    const comma = AFTER_COMMA.exec(bare);
    return comma && isImperative(bare.slice(comma.index + comma[0].length)) ? "ask" : null;
  },
};
