import { stems } from "../finding/telling-words";

/** A workstream as slips are matched to it. */
export interface WorkstreamWords {
  readonly id: string;
  readonly projectId: string;
  readonly name: string;
}

/**
 * The workstream of a project that something most likely belongs to: the one whose name shares most words with its title, by
 * their stems ("Surfacing": "the surface is torn"); else the one whose name of several words stands whole in the subject.
 * Null where none does, or several alike: a wrong one is worse than none.
 */
export function guessWorkstream(
  title: string,
  subject: string,
  projectId: string | null,
  workstreams: readonly WorkstreamWords[],
): string | null {
  if (projectId === null) return null;
  const own = workstreams
    .filter((one) => one.projectId === projectId)
    .map((one) => ({ ...one, of: [...stems(one.name)] }));
  const shared = (text: string, of: readonly string[]) => {
    const said = [...stems(text)];
    return of.filter((stem) => said.some((word) => isOf(word, stem))).length;
  };
  const [best, next] = own.map(({ id, of }) => ({ id, n: shared(title, of) })).sort((a, b) => b.n - a.n);
  if (best && best.n > 0) return best.n > (next?.n ?? 0) ? best.id : null;
  const [named, other] = own.filter(({ of }) => of.length > 1 && shared(subject, of) === of.length);
  return named && !other ? named.id : null;
}

/** Letters from which a beginning in common makes two words of one family. */
const ROOT = 5;

function isOf(word: string, stem: string): boolean {
  return (
    word === stem || (Math.min(word.length, stem.length) >= ROOT && (word.startsWith(stem) || stem.startsWith(word)))
  );
}
