import { isRule, nextDay, type RepeatRule } from "../../repeating/rule";
import type { Day } from "../../time/day";
import { invalid, type Outcome, type RowValues, type Write } from "../outcome";
import { fruitOf } from "../reference";
import type { HandFacts } from "./hand-over";

/** Sets how a task repeats from here on, or (null) that it does not. The series counts from its due, or from today. */
export function repeat(
  facts: HandFacts & { readonly due: Day | null },
  { rule, today }: { rule: RepeatRule | null; today: Day },
  now: string,
): Outcome {
  if (facts.state === "done" || facts.state === "called off")
    return invalid(`${facts.reference} is ${facts.state} already; the one that followed it can be changed.`);
  if (rule !== null && !isRule(rule)) return invalid("This rule cannot be followed. Nothing was changed.");
  const from = facts.due ?? today;
  if (rule !== null && nextDay(rule, from, from) === null)
    return invalid("No day comes after the first: the series would end at once. Nothing was changed.");
  const values = { repeats: rule, repeatsFrom: rule === null ? null : from, changedAt: now };
  return { ok: true, about: facts.about, writes: [{ row: "task", id: facts.id, isNew: false, values }] };
}

/** What a finished task passes on to the next of its series. */
const KEPT = [
  "title",
  "side",
  "ownerId",
  "theirsId",
  "dueTime",
  "dueZone",
  "priority",
  "estimate",
  "projectId",
  "workstreamId",
  "conversationId",
  "letterId",
  "start",
  "end",
  "kind",
  "mayWrite",
  "repeats",
  "repeatsFrom",
] as const;

/**
 * The next task of a series, once this one is finished: with its own steps and date, the same owner and chain, taken on by
 * nobody yet. Null where the series has ended. What is late is not made up for: the next day lies after today.
 * @param row the finished task, by its columns
 * @param done the day on which it was finished
 */
export function nextOfSeries(
  row: RowValues,
  {
    id,
    number,
    actorId,
    done,
    zone,
    now,
  }: { id: string; number: number; actorId: string; done: Day; zone: string; now: string },
): Write | null {
  const { repeats, repeatsFrom } = row;
  if (typeof repeats !== "string" || typeof repeatsFrom !== "string") return null;
  const due = typeof row.dueDay === "string" ? row.dueDay : repeatsFrom;
  const counts = repeats.startsWith("AFTER=");
  const day = nextDay(repeats, repeatsFrom, counts ? done : due > done ? due : done);
  if (day === null) return null;
  const chain = (Array.isArray(row.chain) ? row.chain : []) as readonly Readonly<Record<string, string>>[];
  const steps = (Array.isArray(row.steps) ? row.steps : []) as readonly Readonly<Record<string, string>>[];
  return {
    row: "task",
    id,
    isNew: true,
    values: {
      ...Object.fromEntries(KEPT.map((name) => [name, row[name] ?? null])),
      fruit: fruitOf(number),
      number,
      dueDay: day,
      dueZone: row.dueZone ?? zone,
      state: "to begin",
      chain: chain.map((link, i) =>
        i === chain.length - 1
          ? { ...link, at: now, answer: "needs-action", answeredAt: "", note: "", reason: "", question: "" }
          : link,
      ),
      steps: steps.map((step) => ({ ...step, doneAt: "" })),
      createdAt: now,
      createdBy: actorId,
      changedAt: now,
      finishedAt: null,
    },
  };
}
