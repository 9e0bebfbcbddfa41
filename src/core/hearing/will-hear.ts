import { namedIn } from "../reading/kind-rule";
import type { Person } from "../reading/slip";
import { type Holding, handedOn } from "../tasks/chain";
import type { Heard } from "./heard";
import { whoHears } from "./who-hears";

/** A hand-over that has not happened yet. */
export interface Intended {
  readonly holding: Holding;
  readonly actorId: string;
  /** Whom to; several get a task each. */
  readonly toIds: readonly string[];
  readonly note: string;
  /** Those who do not want to hear of the task. */
  readonly quiet: readonly string[];
  /** Members who may see the task, and so may hear of it when the note names them. */
  readonly mayHear: readonly Person[];
}

/** Who will hear of a hand-over before it happens: told by the same rules as afterwards, each once. */
export function willHear({ holding, actorId, toIds, note, quiet, mayHear }: Intended): Heard[] {
  const rest = { state: "to begin" as const, doubt: null, due: "", fields: "" };
  const named = namedIn(note, mayHear).map(({ person }) => person.id);
  const heard = toIds.flatMap((to, i) =>
    whoHears({
      // Only the first of several is the task that is here; the others are new.
      before: { ...(i === 0 ? holding : { ownerId: null, chain: [] }), ...rest },
      after: { ...handedOn(holding, actorId, to, "", note), ...rest },
      actorId,
      isNoted: false,
      named,
      posted: [],
      quiet,
    }),
  );
  return [...new Map(heard.reverse().map((one) => [one.personId, one])).values()].reverse();
}
