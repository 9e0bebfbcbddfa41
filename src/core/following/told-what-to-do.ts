import { tellingWords } from "../finding/telling-words";
import type { OpenItem } from "./item";

/** "Where should we put the boxes?", "what do I do with them?", "shall we keep it?" */
const WANTS_TO_BE_TOLD =
  /\b(?:shall|should|must|may|can|could|do|am|are) (?:i|we)\b.*\?$|\b(?:to whom|whom|what|where|how|which)\b.{0,30}\b(?:i|we) (?:should|shall|may|can|could|do|send|put|take|give)\b/i;

/** "Put them in the cellar", "just leave it", "don't touch it" */
const ORDERS =
  /^(?:(?:just|then|better|simply|please|well|so|no|yes|oh)[,\s]+)*(?!(?:i|we|you|he|she|it|they|the|an?|my|our|your|there|this|that|could|can|would|will|let|tell|give me|send me|send us|give us)\b)(?:(?:do not|don['’]t) )?\p{L}{2,}\b/iu;

const POINTS_BACK = /\b(?:it|them|those|these|that|this|one|ones)\b/i;

/** Whether an order only answers a question: "Put them in the cellar", where it was asked where to put them. */
export function isToldWhatToDo(order: string, question: Pick<OpenItem, "kind" | "quote" | "words">): boolean {
  if (question.kind !== "question" || !WANTS_TO_BE_TOLD.test(question.quote)) return false;
  if (/\?$/.test(order) || !ORDERS.test(order)) return false;
  const words = [...tellingWords(order)];
  return POINTS_BACK.test(order) || words.length === 0 || words.some((word) => question.words.has(word));
}
