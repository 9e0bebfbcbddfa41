import type { Clause } from "./clauses";
import { type Estimate, speaksOfWorkBefore } from "./estimate";
import { type LetterGround, namedIn } from "./kind-rule";
import { saysHowUrgent, saysOfAll } from "./priority";
import type { FoundSlip, SlipKind } from "./slip";

/** Whether slips of a kind are work, which takes its time. */
export function isWork(kind: SlipKind): boolean {
  return kind === "ask" || kind === "promise";
}

/** A slip with how long its work takes, which its reason says too. */
export function withEstimate(slip: FoundSlip, { minutes, words }: Estimate): FoundSlip {
  return { ...slip, estimate: minutes, reason: `${slip.reason}, “${words}”` };
}

/** "It should not take more than an hour" is said of what was asked before it. */
export function withLengthBehind(slip: FoundSlip, text: string, estimate: Estimate): FoundSlip {
  return isWork(slip.kind) && slip.estimate === null && speaksOfWorkBefore(text) ? withEstimate(slip, estimate) : slip;
}

/** A point of notes that ends with whose it is. */
const NAME_ALONE = /^\p{Lu}\p{L}+(?: \p{Lu}\p{L}+)?\.?$/u;

/** "Certificate has to be with the council by the 20th. Ruben.": whoever of the team is named, unless they wrote it themselves. */
export function withNameBehind(
  slip: FoundSlip,
  { text, isListItem }: Clause,
  { people, writer }: LetterGround,
): FoundSlip {
  if (slip.kind !== "ask" || !isListItem || !NAME_ALONE.test(text)) return slip;
  const one = namedIn(text, people.team)[0]?.person;
  if (!one || one.id === writer?.id) return slip;
  return { ...slip, owner: one.address, reason: `${slip.reason}, “${text}” stands behind it` };
}

/**
 * Slips as urgent as words behind them say: "It is not urgent" is said of the last one, in the same paragraph, and "none of this is urgent" of
 * all that was asked. Null where nothing is said of it.
 */
export function withUrgencyBehind(
  slips: readonly FoundSlip[],
  text: string,
  isInParagraph: boolean,
): FoundSlip[] | null {
  const isOfAll = saysOfAll(text);
  const priority = slips.length > 0 && (isOfAll || isInParagraph) ? saysHowUrgent(text) : null;
  if (!priority) return null;
  const isMeant = (slip: FoundSlip, place: number) => (isOfAll ? slip.kind === "ask" : place === slips.length - 1);
  return slips.map((slip, place) =>
    isMeant(slip, place) ? { ...slip, priority, reason: `${slip.reason}, “${text}”` } : slip,
  );
}
