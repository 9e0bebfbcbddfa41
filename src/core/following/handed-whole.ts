import type { Letter } from "../letters/letter";
import type { FoundSlip } from "../reading/slip";
import type { OpenItem } from "./item";

/** Whether a letter passes another one on. */
export function isPassedOn({ passedOn, parts, subject }: Letter): boolean {
  return Boolean(passedOn) || /^(?:fwd?|wg):/i.test(subject) || parts.some((part) => part.kind === "forwarded");
}

/** "This is one for you", "over to you" */
const FOR_YOU =
  /^(?:\p{Lu}\p{L}+[,:] )?(?:(?:this|that|it)(?: one)?(?:['’]s| is)(?: one)? (?:for you|yours|your (?:job|baby|department|area|patch|field))|(?:one|something) for you|over to you|all yours|(?:please )?(?:(?:can|could|would) you )?(?:please )?(?:take|handle|deal with|look after|see to) (?:this|it|these|them)(?: one)?(?:,? please)?(?: for me)?)(?:, \p{Lu}\p{L}+)?(?:[.!?]*$|: )/iu;

/** To whom a letter that is passed on gives all that it asks: "FW: …", "this is one for you"; null where it does not. */
export function allHandedTo(letter: Letter, text: string): string | null {
  const [to, ...others] = letter.to;
  return to && others.length === 0 && isPassedOn(letter) && FOR_YOU.test(text) ? to.address : null;
}

/**
 * The ask that somebody is given by what is asked of them with a letter that is passed on to them: the only one left; undefined
 * where there is none or more.
 * @param left what the one who passes it on owes, and has said nothing of otherwise
 */
export function handedWhole(slip: FoundSlip, writer: string, left: readonly OpenItem[]): OpenItem | undefined {
  if (slip.kind !== "ask" || slip.owner === null || slip.owner === writer) return undefined;
  const [ask, ...others] = left.filter((item) => item.kind === "ask" && item.asker !== slip.owner);
  return others.length === 0 ? ask : undefined;
}
