import type { Letter } from "./letter";

/** Message-IDs by which a letter is joined to others, the nearest first: its own, what it reports as failed, and what it answers. */
export function idsOf(letter: Letter): string[] {
  return [
    ...(letter.messageId ? [letter.messageId] : []),
    ...(letter.bounce?.returnedId ? [letter.bounce.returnedId] : []),
    ...[...letter.references].reverse(),
  ];
}
