import { type Day, isDay } from "../../time/day";
import { sayDay } from "../../time/say-day";
import { invalid, type Outcome } from "../outcome";
import type { HandFacts } from "./hand-over";

/** Says from which day on a task can be begun; null takes that back. */
export function startOn(
  facts: HandFacts & { readonly dueDay: Day | null },
  input: { readonly day: Day | null },
  now: string,
): Outcome {
  const { day } = input;
  if (day !== null && !isDay(day)) return invalid(`There is no ${day}. Nothing was changed.`);
  if (facts.state === "done" || facts.state === "called off")
    return invalid(`${facts.reference} is ${facts.state} already. Nothing was changed.`);
  if (day !== null && facts.dueDay !== null && day > facts.dueDay)
    return invalid(
      `${facts.reference} is due ${sayDay(facts.dueDay, day)}, before that. Move its due date first; nothing was changed.`,
    );
  return {
    ok: true,
    about: facts.about,
    writes: [{ row: "task", id: facts.id, isNew: false, values: { startDay: day, changedAt: now } }],
  };
}
