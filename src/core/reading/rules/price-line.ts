import { isImperative } from "../imperative";
import type { KindRule } from "../kind-rule";
import { isPolite } from "../polite-words";

/** "Airtec £1,850, delivery in 3 weeks": a thing and what it costs. */
const PRICE =
  /^[\p{L}\d][^:?!]{0,40}?[:,–-]?\s*(?:(?:at|for|from|about)\s)?(?:[£€$]\s?\d|\d[\d,.]*\s?(?:€|euros?|pounds?|dollars?)\b)/iu;
const DUTY = /\b(?:must|has to|have to|needs?|please|pay|due|by)\b/i;

/** A line of a list that only says what something costs. */
export const priceLine: KindRule = {
  name: "a thing and its price",
  confidence: 1,
  says: "nothing",
  find: ({ text, isListItem }) =>
    isListItem && PRICE.test(text) && !DUTY.test(text) && !isPolite(text) && !isImperative(text) ? "nothing" : null,
};
