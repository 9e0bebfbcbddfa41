import type { KindRule } from "../kind-rule";
import { bareClause } from "./ask";

const INDIRECT =
  /\b(?:i|we)(?:['’]m| am|['’]re| are|['’]d| would)?(?: just| also| still| only)? ?(?:wonder(?:ing|ed)?|like to know|love to know|keen to know|curious|not sure) (?:if|whether|what|when|which|who|where|how|why)\b|\b(?:i|we)['’]d (?:like|love) to (?:know|hear)\b|^any (?:news|word|idea|update|progress)\b/i;
const RHETORICAL =
  /^(?:how are you|how['’]s|how was|how did .{0,20} go|who (?:am i|cares|knows|would have|doesn['’]t|needs)|what (?:can i say|a |could possibly|else is new|could go wrong)|isn['’]t (?:it|that)|don['’]t you (?:think|just)|why (?:not|is it always)|right|ok|okay|remember|all well|all good|you well|did you have a (?:good|nice)|guess|really)\b/i;

/** Questions: an answer is wanted and nothing else. */
export const question: KindRule = {
  name: "question",
  find(clause) {
    const bare = bareClause(clause.text);
    if (INDIRECT.test(clause.text)) return "question";
    if (!/\?["'”’)]*$/.test(clause.text) || RHETORICAL.test(bare)) return null;
    return bare.split(/\s+/).length >= 3 || /^(?:when|where|who|what|which|why|how)\b/i.test(bare) ? "question" : null;
  },
};
