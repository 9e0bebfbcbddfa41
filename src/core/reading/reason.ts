import { firstNameOf } from "../letters/first-name";
import { namedIn } from "./kind-rule";
import { promise } from "./rules/promise";
import type { DueFound, Person } from "./slip";
import type { Judged } from "./weighing/sense";

/** Why a slip is proposed, in words: the rule, who is meant and by what, and the words of the day. */
export function reasonOf(
  { rule, words, isTaught }: Judged,
  owner: Person | null,
  due: DueFound | null,
  text: string,
  addressee: Person | null,
): string {
  const name = owner && firstNameOf(owner.name);
  const who =
    owner === null || rule === promise.name
      ? null
      : namedIn(text, [owner]).length > 0
        ? `“${name}” is named`
        : owner.id === addressee?.id
          ? `${name} was called above`
          : `it is written to ${name} alone`;
  const taught = isTaught ? "like passages were dealt with so here" : null;
  return [rule, ...words.map((word) => `“${word}”`), taught, who, due && `“${due.words}”`].filter(Boolean).join(", ");
}
