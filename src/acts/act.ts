import type { z } from "zod";
import type { ActName } from "../core/tasks/history-words";
import type { Outcome } from "../core/tasks/outcome";
import type { Database } from "../data/engine/database";

/** Who acts, and when. */
export interface Actor {
  readonly personId: string;
  readonly now: number;
}

/**
 * One thing that can be done. `load` reads the facts inside the transaction, of rows that the actor may see (null where
 * there are none), and locks them; `decide` is pure. There is no other way to change a row that users care about.
 */
export interface Act<Input, Facts> {
  readonly name: ActName;
  readonly input: z.ZodType<Input>;
  load(db: Database, actor: Actor, input: Input): Promise<Facts | null>;
  decide(facts: Facts, input: Input, now: string, actor: Actor): Outcome;
}

/** An act with its inner types forgotten, for the register. */
export interface AnyAct {
  readonly name: ActName;
  run(db: Database, actor: Actor, input: unknown): Promise<{ outcome: Outcome } | { wrongInput: string }>;
}

/** Makes an act ready for the register: its input is checked before anything is read. */
export function define<Input, Facts>(act: Act<Input, Facts>): AnyAct {
  return {
    name: act.name,
    async run(db, actor, input) {
      const parsed = act.input.safeParse(input);
      if (!parsed.success) {
        const [issue] = parsed.error.issues;
        return { wrongInput: `${issue?.path.join(".") || "input"}: ${issue?.message ?? "cannot be read"}` };
      }
      const facts = await act.load(db, actor, parsed.data);
      if (facts === null) return { outcome: { ok: false, refusal: { code: "not found" } } };
      return { outcome: act.decide(facts, parsed.data, new Date(actor.now).toISOString(), actor) };
    },
  };
}
