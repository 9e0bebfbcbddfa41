import { MOST_PLANNED } from "../../waiting/chase-plan";
import { invalid, type Outcome } from "../outcome";
import type { HandFacts } from "./hand-over";

/** What is known of whoever is to be chased. */
export interface PlanFacts extends HandFacts {
  readonly them: { readonly name: string; readonly isMachine: boolean } | null;
  /** Whether there is a mail server that takes our letters. */
  readonly canSend: boolean;
}

export interface PlanInput {
  /** When the first letter leaves; ISO 8601. Null ends the plan. */
  readonly firstAt: string | null;
  readonly every: number;
  readonly letters: number;
}

/** Plans letters that chase by themselves, in the planner's name, until the other side writes. */
export function planChases(facts: PlanFacts, input: PlanInput, now: string): Outcome {
  const write = (chasePlan: Readonly<Record<string, string | number>> | null): Outcome => ({
    ok: true,
    about: facts.about,
    writes: [{ row: "task", id: facts.id, isNew: false, values: { chasePlan, changedAt: now } }],
  });
  if (input.firstAt === null) return write(null);
  if (facts.state === "done" || facts.state === "called off")
    return invalid(`${facts.reference} is ${facts.state} already. Nothing was planned.`);
  if (!facts.them) return invalid(`${facts.reference} waits for nobody outside. Nothing was planned.`);
  if (facts.them.isMachine)
    return invalid(`${facts.them.name} is a machine’s address; nobody reads there. Nothing was planned.`);
  if (!facts.canSend)
    return invalid("No mail server is set up here for letters that go out (JAM_SMTP_OUT). Nothing was planned.");
  if (Date.parse(input.firstAt) <= Date.parse(now)) return invalid("That moment is past already. Nothing was planned.");
  if (input.letters < 1 || input.letters > MOST_PLANNED)
    return invalid(`From one letter to ${MOST_PLANNED} can be planned. Nothing was planned.`);
  return write({
    nextAt: input.firstAt,
    every: input.every,
    left: input.letters,
    byId: facts.doerId,
    madeAt: now,
    said: "",
  });
}
