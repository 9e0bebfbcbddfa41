import { tellingWords } from "../../finding/telling-words";
import { BARE_ANSWER, isAnswerWithPlease, isInterjection, isThanksOnly, POINTS_BACK, TURNS_TO } from "../bare-answer";
import { ASKER_CUES, OWNER_CUES } from "../cues";
import { dueFor } from "../days-named";
import type { OpenItem } from "../item";
import { numberIn } from "../numbers";
import { passedTo } from "../passed-to";
import { pastOf } from "../past-of";
import { IS_IN_A_STATE, IS_THE_REST, mainClause } from "../said";
import type { Segment } from "../segments";
import { step } from "./bonds";
import { FORMS, SORRY, timeOf } from "./forms";
import type { Situation } from "./situation";
import { suitsWanted } from "./wanted";

/** What the words of a segment are like, whatever they are said of. */
export function wordingOf({ segments, slips, statements }: Situation, segment: Segment): string[] {
  const { text } = segment;
  const main = mainClause(text);
  const cues = OWNER_CUES.filter((cue) => cue.pattern.test(main)).map((cue) => cue.change);
  const found = [
    ...cues.map((change) => `cue ${change}`),
    `first cue ${cues[0] ?? "none"}`,
    ...ASKER_CUES.filter((cue) => cue.pattern.test(text)).map((cue) => `asker cue ${cue.change}`),
    ...FORMS.filter(([, form]) => form.test(text)).map(([name]) => name),
    `time ${timeOf(text)}`,
    `words ${step(text.split(/\s+/).length, [1, 3, 6, 10, 16, 9_999])}`,
    `telling ${Math.min(4, tellingWords(text).size)}`,
  ];
  if (IS_IN_A_STATE.test(text)) found.push("in a state");
  if (IS_THE_REST.test(text)) found.push("the rest");
  if (POINTS_BACK.test(text)) found.push("points back");
  if (BARE_ANSWER.test(text)) found.push("bare");
  if (isThanksOnly(text) || isInterjection(text)) found.push("courtesy");
  const at = segments.indexOf(segment);
  const before = segments[at - 1];
  const after = segments[at + 1];
  if (before) found.push(`after ${timeOf(before.text)}`);
  if (after) found.push(`before ${timeOf(after.text)}`);
  if (before && SORRY.test(before.text)) found.push("after sorry");
  const slip = slips.find((one) => one.start < segment.end && segment.start < one.end);
  if (slip) {
    const turns = slip.kind === "ask" && TURNS_TO.test(text) && !isAnswerWithPlease(text);
    found.push(`slip ${slip.kind}${turns ? " turned to" : ""}`);
  }
  const place = statements.indexOf(segment);
  if (place === -1) found.push("no statement");
  if (place === 0) found.push(statements.length === 1 ? "only statement" : "first statement");
  return found;
}

/** What they are like beside an item: the day they name, how many they count, who takes it over. */
export function wordingFor({ context, slips }: Situation, segment: Segment, item: OpenItem): string[] {
  const { text } = segment;
  const found = suitsWanted(item.quote, text);
  if (item.kind !== "question" && pastOf(item, text)) found.push("own verb done");
  const due = dueFor(context, text, item);
  const day =
    due === null
      ? "no day"
      : item.due === null
        ? "a day"
        : due.day === item.due || due.others.includes(item.due)
          ? "its day"
          : due.day > item.due
            ? "a later day"
            : "an earlier day";
  found.push(day, `${timeOf(text)}, ${day}`);
  const asked = numberIn(item.quote);
  const said = numberIn(text);
  if (asked !== null && said !== null) found.push(said === asked ? "as many" : said < asked ? "fewer" : "more");
  const slip = slips.find((one) => one.start < segment.end && segment.start < one.end);
  if (slip?.kind === "ask" && slip.owner !== null && ![context.writer, item.asker, item.owner].includes(slip.owner))
    found.push("slip of another");
  const to = passedTo(text, context.people, context.writer, new Set([item.asker]));
  if (to)
    found.push(
      to.person === null ? "handed on" : to.person.address === item.owner ? "handed to owner" : "handed to somebody",
    );
  return found;
}

const WORDS = /\p{L}+(?:['’]\p{L}+)?/gu;

/** The words themselves: "not", "will", "only" say more than any noun. */
export function wordsOf(segment: Segment): string[] {
  const all = segment.text.toLowerCase().replaceAll("’", "'").match(WORDS) ?? [];
  return all.length === 0
    ? []
    : [...new Set(all.map((word) => `w ${word}`)), `begins ${all[0]}`, `begins ${all.slice(0, 2).join(" ")}`];
}
