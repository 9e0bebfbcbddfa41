import { stems } from "../following/telling-words";

/** A workstream as slips are matched to it. */
export interface WorkstreamWords {
  readonly id: string;
  readonly projectId: string;
  readonly name: string;
}

/**
 * The workstream of a project that something most likely belongs to: the one whose name shares most words with it, by their
 * stems ("Surfacing": "the surface is torn"). Null where none does, or several alike.
 */
export function guessWorkstream(
  words: string,
  projectId: string | null,
  workstreams: readonly WorkstreamWords[],
): string | null {
  if (projectId === null) return null;
  const said = [...stems(words)];
  const shared = workstreams
    .filter((one) => one.projectId === projectId)
    .map(({ id, name }) => ({ id, n: [...stems(name)].filter((stem) => said.some((word) => isOf(word, stem))).length }))
    .sort((a, b) => b.n - a.n);
  const [best, next] = shared;
  return best && best.n > 0 && best.n > (next?.n ?? 0) ? best.id : null;
}

/** Letters from which a beginning in common makes two words of one family. */
const ROOT = 5;

function isOf(word: string, stem: string): boolean {
  return (
    word === stem || (Math.min(word.length, stem.length) >= ROOT && (word.startsWith(stem) || stem.startsWith(word)))
  );
}
