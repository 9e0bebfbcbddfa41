import { giversIn, type Holding, handedBackIn, linkToOwner } from "../tasks/chain";
import type { TaskState } from "../tasks/task";
import type { Happening, Heard, Loudness, Why } from "./heard";

/** A task as hearing looks at it. */
export interface HeardTask extends Holding {
  readonly state: TaskState;
  readonly doubt: string | null;
  /** The due as text, to see whether it moved; the other fields likewise. */
  readonly due: string;
  readonly fields: string;
}

/** A task before and after an act (the same twice where only a note was written), and who did it. */
export interface Happened {
  readonly before: HeardTask;
  readonly after: HeardTask;
  readonly actorId: string;
  /** Whether a note was written on it. */
  readonly isNoted: boolean;
  /** Members whom the note names. */
  readonly named: readonly string[];
  /** Kept posted on it. */
  readonly posted: readonly string[];
  /** Those who do not want to hear of it. */
  readonly quiet: readonly string[];
}

/** What came to pass for everybody, the weightiest first; what concerns one person alone is added by `whoHears`. */
function happeningsOf({ before, after, isNoted }: Happened): Happening[] {
  const happened: Happening[] = [];
  if (after.state !== before.state) {
    if (after.state === "done" || after.state === "called off") happened.push(after.state);
    else if (before.state === "done" || before.state === "called off") happened.push("taken up again");
    else happened.push("changed");
  }
  if (after.doubt !== null && after.doubt !== before.doubt) happened.push("in doubt");
  if (after.due !== before.due) happened.push("moved");
  if (isNoted) happened.push("noted");
  if (after.fields !== before.fields) happened.push("changed");
  return happened;
}

/** What of these reaches somebody who gave the task, or is kept posted on it: how it ends, its date, doubts and words. */
const TOLD_UPWARD: readonly Happening[] = ["done", "called off", "taken up again", "in doubt", "moved", "noted"];

/**
 * Who hears of an act, of what, and why: each person once, of the weightiest. The owner hears of their own work at once;
 * who gave it of its answers, its date and its end, with the digest, but of what needs them at once. Nobody hears of what
 * they did themselves. Somebody who does not want to hear is left out, but an owner always hears of what becomes theirs, is
 * taken from them, or is due on another day.
 */
export function whoHears(happened: Happened): Heard[] {
  const { before, after, actorId } = happened;
  const heard = new Map<string, Heard>();
  const tell = (personId: string | null | undefined, what: Happening, why: Why, loudness: Loudness) => {
    if (!personId || personId === actorId || heard.has(personId)) return;
    const must = (why === "owns it" && (what === "given" || what === "moved")) || what === "taken away";
    if (happened.quiet.includes(personId) && !must) return;
    heard.set(personId, { personId, what, why, loudness });
  };
  const givers = [...new Set(giversIn(after))].reverse();
  const general = happeningsOf(happened);
  if (after.ownerId !== before.ownerId) {
    const back = handedBackIn(after);
    if (back && !handedBackIn(before)) {
      tell(back.by, "handed back", "handed it over", "at once");
      for (const giver of givers) tell(giver, "handed back", "handed it over", "later");
    } else {
      tell(after.ownerId, "given", "owns it", "at once");
      tell(before.ownerId, "taken away", "had it", "at once");
      // The next of a series is with whoever had the one before: nothing was passed on.
      const isNext = before.ownerId === null && before.chain.length === 0 && after.ownerId === actorId;
      // Who gave it before and is out of the chain now hears of that too.
      const all = [...givers, ...giversIn(before)];
      if (!isNext) for (const giver of all) tell(giver, "passed on", "handed it over", "later");
    }
  } else {
    const [was, is] = [linkToOwner(before), linkToOwner(after)];
    if (is && was) {
      if (is.question !== "" && is.question !== was.question) tell(is.by, "asked", "handed it over", "at once");
      if (was.question !== "" && is.question === "" && actorId !== is.to) tell(is.to, "answered", "owns it", "at once");
      if (was.answer === "needs-action" && is.answer === "accepted" && after.state === before.state)
        for (const giver of givers) tell(giver, "taken on", "handed it over", "later");
    }
  }
  for (const personId of happened.named) tell(personId, "named", "named in the note", "at once");
  const [first] = general;
  if (first) tell(after.ownerId, first, "owns it", first === "changed" ? "later" : "at once");
  const upward = general.find((what) => TOLD_UPWARD.includes(what));
  if (upward) {
    const isUrgent = upward === "in doubt";
    for (const [i, giver] of givers.entries())
      tell(giver, upward, "handed it over", isUrgent && i === 0 ? "at once" : "later");
    for (const personId of happened.posted) tell(personId, upward, "kept posted", "later");
  }
  return [...heard.values()];
}

/** Somebody who will hear of a task as it stands. */
export interface Hearer {
  readonly personId: string;
  readonly why: Why;
  readonly loudness: Loudness | "not";
  /** For whom they cover. */
  readonly forId?: string;
}

/**
 * Who will hear of a task as it stands, for its sheet: the owner, who gave it, who is kept posted, and who covers for those of
 * them who are away; each once, with why.
 * @param covers who covers, by the id of whoever is away
 */
export function hearersOf(
  task: Holding,
  posted: readonly string[],
  quiet: readonly string[],
  covers: ReadonlyMap<string, string> = new Map(),
): Hearer[] {
  const all = new Map<string, Hearer>();
  const add = (personId: string, why: Why, loudness: Loudness) => {
    const isQuiet = quiet.includes(personId) && why !== "owns it";
    if (!all.has(personId)) all.set(personId, { personId, why, loudness: isQuiet ? "not" : loudness });
  };
  if (task.ownerId) add(task.ownerId, "owns it", "at once");
  for (const giver of [...giversIn(task)].reverse()) add(giver, "handed it over", "later");
  for (const personId of posted) add(personId, "kept posted", "later");
  for (const { personId, loudness } of [...all.values()]) {
    const coverId = covers.get(personId);
    if (coverId && !all.has(coverId) && loudness !== "not")
      all.set(coverId, { personId: coverId, why: "covers for", loudness, forId: personId });
  }
  return [...all.values()];
}
