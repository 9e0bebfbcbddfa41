import type { Letter } from "../letters/letter";
import type { FoundSlip } from "../reading/slip";
import type { OpenItem } from "./item";

/** Whether a letter passes another one on. */
export function isPassedOn({ passedOn, parts, subject }: Letter): boolean {
  return Boolean(passedOn) || /^(?:fwd?|wg):/i.test(subject) || parts.some((part) => part.kind === "forwarded");
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
