import type { OpenItem } from "../item";
import type { Segment } from "../segments";
import { roleFor, sortOf } from "./answer-runs";
import { bondsOf } from "./bonds";
import type { Situation } from "./situation";
import { wordingFor, wordingOf, wordsOf } from "./wording";

/** Collects what speaks for and against a segment of a letter changing an item; what hangs on the segment alone is worked out once. */
export class Evidence {
  private readonly byText = new Map<Segment, { wording: string[]; words: string[] }>();

  constructor(private readonly situation: Situation) {}

  /** Names of everything found: by who writes, what the item is, how it is bound, and what the words are like. */
  of(segment: Segment, item: OpenItem): string[] {
    const { writer } = this.situation.context;
    const [role, sort] = [roleFor(this.situation, item), sortOf(item)];
    const { link, found } = bondsOf(this.situation, segment, item);
    const { wording, words } = this.text(segment);
    const worded = [...wording, ...wordingFor(this.situation, segment, item)];
    const state = [`sort ${sort}`, `kind ${item.kind}`, item.due === null ? "undated" : "dated"];
    if (writer === item.owner) state.push("its owner");
    if (writer === item.asker) state.push("its asker");
    if (item.owner === null) state.push("nobody's");
    const whose = item.owner === null ? "nobody's" : item.owner === writer ? "own" : "a colleague's";
    const hasOwn = this.situation.open.some((one) => one.owner === writer && one.kind !== "trouble");
    if (role === "owner") state.push(`${whose} & ${link}`, `${whose}, ${hasOwn ? "with" : "without"} own`);
    if (item.isPromised) state.push("promised before");
    return [
      ...state,
      ...found,
      ...worded,
      ...words,
      ...worded.flatMap((one) => [`${sort} & ${one}`, `${link} & ${one}`]),
      ...found.map((one) => `${sort} & ${one}`),
      `${sort} & ${link} & ${item.isPromised ? "promised" : "open"}`,
    ].map((one) => `${role}: ${one}`);
  }

  private text(segment: Segment) {
    const known = this.byText.get(segment);
    if (known) return known;
    const made = { wording: wordingOf(this.situation, segment), words: wordsOf(segment) };
    this.byText.set(segment, made);
    return made;
  }
}
