import { invalid, type Outcome, type Write } from "../outcome";
import { type HandOverFacts, type HandOverInput, handOver } from "./hand-over";

/** Tasks that are handed over in one step at the most. */
export const MOST_AT_ONCE = 100;

/**
 * Gives several tasks to one person in one step, with one note. All or none: where one of them cannot be handed over, its
 * refusal is the answer and nothing is changed; what the person has already stays as it is.
 */
export function handOverMany(
  tasks: readonly HandOverFacts[],
  input: Omit<HandOverInput, "toIds"> & { readonly toId: string },
  now: string,
): Outcome {
  const going = tasks.filter((task) => task.holding.ownerId !== input.toId);
  const [first] = going;
  if (!first) return invalid("They have all of these already. Nothing was changed.");
  const writes: Write[] = [];
  const about: string[] = [];
  for (const task of going) {
    const outcome = handOver(task, { ...input, toIds: [input.toId] }, now);
    if (!outcome.ok) return outcome;
    writes.push(...outcome.writes);
    about.push(...outcome.about);
  }
  return { ok: true, writes, about: [...new Set(about)] };
}
