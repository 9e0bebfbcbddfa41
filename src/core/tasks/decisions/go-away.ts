import { type Absence, type AwayState, awayFault, awayStateOn } from "../../days/away";
import { type Day, isDay } from "../../time/day";
import { sayDay } from "../../time/say-day";
import { invalid, type Outcome, refused } from "../outcome";

/** What a time away is decided on. */
export interface AwayFacts {
  readonly newId: string;
  readonly actorId: string;
  readonly isLead: boolean;
  /** The name of whoever is away, and of who covers. */
  readonly name: string;
  readonly coverName: string | null;
  /** All times away that are planned or now. */
  readonly known: readonly Absence[];
  /** The day of whoever is away. */
  readonly today: Day;
}

export interface AwayInput extends Absence {
  readonly withMailboxes: boolean;
}

/** Keeps that somebody is away, and who covers. One says it of oneself; who leads, of anybody, but never shares their mailboxes. */
export function goAway(facts: AwayFacts, input: AwayInput, now: string): Outcome {
  const isOwn = input.personId === facts.actorId;
  if (!isOwn && !facts.isLead) return refused({ code: "not allowed" });
  const wrong = [input.fromDay, input.backDay].find((day) => !isDay(day));
  if (wrong) return invalid(`There is no ${wrong}. Nothing was kept.`);
  const who = isOwn ? "You" : facts.name;
  const fault = awayFault(input, facts.known, facts.today);
  if (fault)
    return invalid(
      {
        past: `That time is past: the day back, ${sayDay(input.backDay, facts.today)}, is not to come. Nothing was kept.`,
        backwards: "The day back must come after the first day away. Nothing was kept.",
        "covers oneself": `${who} cannot cover for ${isOwn ? "yourself" : "themselves"}. Nothing was kept.`,
        "away already": `${who} ${isOwn ? "are" : "is"} away on some of these days already. End that first; nothing was kept.`,
        "cover is away": `${facts.coverName} is away on some of these days too. Choose somebody else; nothing was kept.`,
      }[fault],
    );
  const state = awayStateOn(input, facts.today);
  const { personId, fromDay, backDay, coverId } = input;
  const values = {
    personId,
    fromDay,
    backDay,
    coverId,
    withMailboxes: isOwn && coverId !== null && input.withMailboxes,
    state,
    madeAt: now,
    beganAt: state === "on" ? now : null,
    endedAt: null,
    toldAt: null,
    coverToldAt: null,
    seenAt: null,
  };
  return { ok: true, about: [facts.newId], writes: [{ row: "away", id: facts.newId, isNew: true, values }] };
}

/** Ends a time away before its day, or calls off one that has not begun. */
export function comeBack(
  facts: {
    readonly id: string;
    readonly personId: string;
    readonly state: AwayState;
    readonly actorId: string;
    readonly isLead: boolean;
  },
  now: string,
): Outcome {
  if (facts.personId !== facts.actorId && !facts.isLead) return refused({ code: "not allowed" });
  if (facts.state === "over") return invalid("That time away has ended already.");
  // What has not begun is taken away; what has begun ended now, and what happened meanwhile is told.
  const values = facts.state === "planned" ? null : { state: "over", endedAt: now };
  return { ok: true, about: [facts.id], writes: [{ row: "away", id: facts.id, isNew: false, values }] };
}
