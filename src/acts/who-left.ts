import { sql } from "drizzle-orm";
import type { Change } from "../core/tasks/outcome";
import type { Day } from "../core/time/day";
import { dayOf } from "../core/time/moment";
import { sayDay } from "../core/time/say-day";
import type { Database } from "../data/engine/database";
import { rowsOf } from "../data/rows";
import type { Actor } from "./act";

/** Fields of acts that name somebody of the team. */
const NAMES_SOMEBODY = new Set(["toId", "toIds", "ownerId", "personId", "coverId"]);

/** Ids of people that an input names, however deep. */
function namedIn(input: unknown, isNamed = false): string[] {
  if (typeof input === "string") return isNamed ? [input] : [];
  if (Array.isArray(input)) return input.flatMap((one) => namedIn(one, isNamed));
  if (typeof input !== "object" || input === null) return [];
  return Object.entries(input).flatMap(([name, value]) =>
    // How it was is named too, and asks for nothing.
    name === "was"
      ? []
      : NAMES_SOMEBODY.has(name)
        ? namedIn(value, true)
        : typeof value === "object"
          ? namedIn(value)
          : [],
  );
}

const IS_ID = /^[\da-f]{8}(?:-[\da-f]{4}){3}-[\da-f]{12}$/i;

interface WhoLeft {
  readonly id: string;
  readonly name: string;
  readonly leftOn: Day;
}

function hasLeft({ name, leftOn }: WhoLeft, now: number): string {
  return `${name} left on ${sayDay(leftOn, dayOf({ at: now, zone: "UTC" }))}. Nothing was changed`;
}

/** Why an act is refused because somebody has left: whoever does it, or whoever it names. Null where nobody has. */
export async function refusedForWhoLeft(
  db: Database,
  { personId, now }: Actor,
  input: unknown,
): Promise<string | null> {
  const ids = [...new Set([personId, ...namedIn(input)])].filter((id) => IS_ID.test(id));
  const [left] = await rowsOf<WhoLeft>(
    db,
    sql`select id, name, left_on::text as "leftOn" from person where left_on is not null and id in ${ids}`,
  );
  if (!left) return null;
  return left.id === personId
    ? "You are no longer a member here. Nothing was changed."
    : `${hasLeft(left, now)}; your words are still in the field.`;
}

/** Why it is refused once it is written: a task that is open would be with somebody who has left, as when it is taken up again. */
export async function refusedForOwnerWhoLeft(
  db: Database,
  { now }: Actor,
  changes: readonly Change[],
): Promise<string | null> {
  const ids = changes.flatMap(({ row, id }) => (row === "task" ? [id] : []));
  if (ids.length === 0) return null;
  const [left] = await rowsOf<WhoLeft>(
    db,
    sql`select p.id, p.name, p.left_on::text as "leftOn" from task t join person p on p.id = t.owner_id
      where t.id in ${ids} and t.state in ('to begin', 'under way') and p.left_on is not null limit 1`,
  );
  return left ? `${hasLeft(left, now)}; give it to somebody else.` : null;
}
