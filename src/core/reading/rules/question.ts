import type { KindRule } from "../kind-rule";
import { bareClause } from "./ask";

const INDIRECT =
  /\b(?:i|we)(?:['’]m| am|['’]re| are|['’]d| would)?(?: just| also| still| only)? ?(?:wonder(?:ing|ed)?|like to know|love to know|keen to know|curious|not sure) (?:if|whether|what|when|which|who|where|how|why)\b|\b(?:i|we)['’]d (?:like|love) to (?:know|hear)\b|^any (?:news|word|idea|update|progress)\b/i;
const RHETORICAL =
  /^(?:how are you|how['’]s|how was|how did .{0,20} go|who (?:am i|cares|knows|would have|doesn['’]t|needs)|what (?:can i say|a |could possibly|else is new|could go wrong)|isn['’]t (?:it|that)|don['’]t you (?:think|just)|why (?:not|is it always)|right|ok|okay|remember|all well|all good|you well|did you have a (?:good|nice)|guess|really)\b/i;

/** "what did the hospital say": a question of somebody who leaves out the mark. */
const UNMARKED =
  /^(?:and |but |also |so )?(?:what|when|where|who|which \w+|how(?: many| much| long| far| soon)?(?: \w+)?|why)\s+(?:did|do|does|is|are|was|were|has|have|can|could|will|would|should|shall)\b/i;

/** Questions: an answer is wanted and nothing else. */
export const question: KindRule = {
  name: "question",
  find(clause) {
    const bare = bareClause(clause.text);
    if (INDIRECT.test(clause.text)) return "question";
    if (UNMARKED.test(bare) && !/[.!?]$/.test(clause.text)) return "question";
    if (!/\?["'”’)]*$/.test(clause.text) || RHETORICAL.test(bare)) return null;
    return bare.split(/\s+/).length >= 3 ||
      /^(?:when|where|who|what|which|why|how|may|can|could|should|shall|will|does?|did)\b/i.test(bare)
      ? "question"
      : null;
  },
};
