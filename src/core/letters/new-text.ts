import type { Letter } from "./letter";

/** The text of a letter without what it quotes, passes on or signs: what its writer wrote anew. */
export function newText({ text, parts }: Pick<Letter, "text" | "parts">): string {
  return parts
    .filter((part) => part.kind === "new")
    .map((part) => text.slice(part.start, part.end))
    .join("")
    .trim();
}
