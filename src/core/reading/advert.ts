import type { Letter, TextPart } from "../letters/letter";
import { textOf } from "./what-is-read";

/** The way out of a list that adverts have to give. */
const WAY_OUT =
  /\b(?:unsubscribe|opt[- ]out|manage (?:your )?preferences|view (?:this )?(?:e-?mail )?in (?:your )?browser)\b|\bto (?:stop|no longer) (?:getting|receiving|receive|get) (?:these|our|such|any more|further|this)\b|\b(?:no longer|do not|don['’]t) (?:wish|want) to (?:receive|get|hear from (?:me|us)|be on (?:this|our) (?:mailing )?list)\b/i;

/** Why everybody has it: "You receive this letter because you bought from us." */
const WHY_IT_CAME =
  /\byou(?:['’]re| are)? (?:get|got|have|receive|received|have received|getting|receiving) this (?:e-?mail|mail|letter|message|newsletter|offer) (?:because|as|since) you(?:['’]ve|['’]re| have| are| were)? (?:\w+ )?(?:bought|ordered|purchased|subscribed|signed up|registered|opted|shopped|booked|visited|(?:(?:a|our) )?(?:registered |valued )?(?:customer|subscriber|member|guest))\b/i;

/** To nobody in particular, by a program: opening hours, maintenance, new terms. */
const TO_ANYBODY =
  /^\s*dear (?:valued |all )?(?:customer|client|guest|member|user|subscriber|supplier|partner|resident|tenant)s?\b/i;
const BY_A_PROGRAM =
  /\bthis (?:is an auto\w+|(?:e-?mail|mail|message|letter|notice) (?:was|has been|is) (?:sent |generated )?auto\w+)|\brepl(?:y|ies) to this (?:e-?mail|mail|message|letter|address) (?:are|is|will) not (?:be )?(?:read|answered|monitored|possible)|\b(?:do not|don['’]t) reply to this (?:e-?mail|mail|message|letter)\b/i;

/**
 * A letter to everybody with a way out of the list, or that a program sends to any customer, is an advert, though its headers
 * do not say so; one that answers another, or that people write to each other on a list, is none.
 */
export function isAdvert({ text, parts, automatic, references }: Letter, read: readonly TextPart[]): boolean {
  if (automatic === "list" || references.length > 0) return false;
  const footers = parts.filter((part) => part.kind === "footer");
  const all = textOf(text, [...read, ...footers]);
  return WAY_OUT.test(all) || WHY_IT_CAME.test(all) || (TO_ANYBODY.test(all) && BY_A_PROGRAM.test(all));
}
