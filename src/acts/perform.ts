import { sql } from "drizzle-orm";
import type { ActName } from "../core/tasks/history-words";
import type { Refusal } from "../core/tasks/outcome";
import { refusalWords } from "../core/tasks/refusal-words";
import type { Database } from "../data/engine/database";
import { newId } from "../data/ids";
import { rowsOf } from "../data/rows";
import { history } from "../data/schema-history";
import type { Actor, AnyAct } from "./act";
import { fromLetter, mayWrite } from "./deeds/address-acts";
import { comeBackAct, goAwayAct } from "./deeds/away-acts";
import { changeSlip, changeTask } from "./deeds/field-acts";
import {
  askBackAct,
  doubtAct,
  finishAndNextAct,
  handBackAct,
  handOverAct,
  handOverManyAct,
  noteCallAct,
  repeatAct,
  stepAct,
  takeOnAct,
} from "./deeds/hand-acts";
import { holdAct, howFarAct, planChasesAct, startOnAct } from "./deeds/holding-acts";
import { join, splitAct } from "./deeds/join-acts";
import { sendAgain, write } from "./deeds/letter-acts";
import { keepPosted, keepPostedAt } from "./deeds/posted-acts";
import { bringBack, putBy, putTaskByAct, remind } from "./deeds/put-by-acts";
import { add, back, brushOffSlip, goes, keep, nothing } from "./deeds/sort-acts";
import { comment, make } from "./deeds/task-acts";
import { undoAct } from "./deeds/undo-act";
import { forWhom } from "./for-whom";
import { followingTasks } from "./next-of-series";
import { keepTakenBack } from "./taken-back";
import { tellPeople } from "./tell-people";
import { tellScreens } from "./tell-screens";
import { refusedForOwnerWhoLeft, refusedForWhoLeft } from "./who-left";
import { writeRows } from "./write-rows";

/** Every act by its name. A name of the history without an act does not compile. */
const ACTS: Readonly<Record<ActName, AnyAct>> = {
  keep,
  "brush off": brushOffSlip,
  "nothing to do": nothing,
  "back to Sort": back,
  "goes to": goes,
  "change slip": changeSlip,
  "add slip": add,
  "make task": make,
  "change task": changeTask,
  "hand over": handOverAct,
  "hand over many": handOverManyAct,
  "take on": takeOnAct,
  "hand back": handBackAct,
  "ask back": askBackAct,
  doubt: doubtAct,
  "note a call": noteCallAct,
  step: stepAct,
  repeat: repeatAct,
  "finish and next": finishAndNextAct,
  "put by": putBy,
  "put task by": putTaskByAct,
  "bring back": bringBack,
  remind,
  "keep posted": keepPosted,
  "keep posted at": keepPostedAt,
  "go away": goAwayAct,
  "come back": comeBackAct,
  "how far": howFarAct,
  "start on": startOnAct,
  hold: holdAct,
  "plan chases": planChasesAct,
  comment,
  write,
  "send again": sendAgain,
  "make from letter": fromLetter,
  "may write": mayWrite,
  join,
  split: splitAct,
  undo: undoAct,
};

/** What comes of an act: the entry of the history (null where nothing had to change), and the references of new tasks. */
export type Performed =
  | {
      readonly ok: true;
      readonly entryId: string | null;
      readonly made: readonly { id: string; reference: string; slug: string }[];
      readonly about: readonly string[];
    }
  | { readonly ok: false; readonly refusal: Refusal; readonly says: string };

class Refused extends Error {
  constructor(readonly refusal: Refusal) {
    super(refusal.code);
  }
}

function isActName(name: string): name is ActName {
  return Object.hasOwn(ACTS, name);
}

/**
 * The one door: checks the input, loads the facts the actor may see, decides, writes, adds the history entry, all in one
 * transaction, and then tells open screens. `key` names a call that may arrive twice: it happens once, and the second
 * call gets the answer of the first.
 */
export async function perform(
  db: Database,
  actor: Actor,
  name: string,
  input: unknown,
  key: string | null = null,
): Promise<Performed> {
  if (!isActName(name)) return refusal({ code: "invalid", why: "There is no such act." });
  const fullKey = key ? `${actor.personId}:${key}` : null;
  const earlier = fullKey ? await performedBefore(db, fullKey) : null;
  if (earlier) return earlier;
  try {
    const performed = await db.transaction(async (tx) => {
      const gone = await refusedForWhoLeft(tx, actor, input);
      if (gone) throw new Refused({ code: "invalid", why: gone });
      const answer = await ACTS[name].run(tx, actor, input);
      if ("wrongInput" in answer)
        throw new Refused({
          code: "invalid",
          why: `This could not be understood (${answer.wrongInput}). Nothing was changed.`,
        });
      const { outcome } = answer;
      if (!outcome.ok) throw new Refused(outcome.refusal);
      if (outcome.writes.length === 0) return { ok: true as const, entryId: null, made: [], about: outcome.about };
      const following = outcome.undoes === undefined ? await followingTasks(tx, actor, outcome.writes) : [];
      const made = [...(outcome.made ?? []), ...following.map((write) => write.id)];
      const about = [...outcome.about, ...following.map((write) => write.id)];
      const changes = await writeRows(tx, [...outcome.writes, ...following]);
      const withNobody = await refusedForOwnerWhoLeft(tx, actor, changes);
      if (withNobody) throw new Refused({ code: "invalid", why: withNobody });
      await keepTakenBack(tx, actor, changes);
      const entryId = newId(actor.now);
      const forId = await forWhom(tx, actor, changes);
      await tx.insert(history).values({
        id: entryId,
        act: name,
        personId: actor.personId,
        forId,
        at: new Date(actor.now),
        changes,
        about,
        undoes: outcome.undoes ?? null,
        key: fullKey,
      });
      await tellPeople(tx, actor, { entryId, changes, undoes: outcome.undoes ?? null });
      return { ok: true as const, entryId, made: await referencesOf(tx, made), about };
    });
    tellScreens();
    return performed;
  } catch (error) {
    if (error instanceof Refused) return refusal(error.refusal);
    // Two calls with one key at the same moment: the slower one finds the faster one's entry.
    const twin = fullKey ? await performedBefore(db, fullKey) : null;
    if (twin) return twin;
    throw error;
  }
}

function refusal(why: Refusal): Performed {
  return { ok: false, refusal: why, says: refusalWords(why) };
}

async function performedBefore(db: Database, key: string): Promise<Performed | null> {
  const [entry] = await rowsOf<{ id: string; about: string[]; made: string[] | null }>(
    db,
    sql`select h.id, h.about, (select jsonb_agg(c->>'id') from jsonb_array_elements(h.changes) c where c->>'row' = 'task' and c->'before' = 'null'::jsonb) as made from history h where h.key = ${key}`,
  );
  return entry
    ? { ok: true, entryId: entry.id, made: await referencesOf(db, entry.made ?? []), about: entry.about }
    : null;
}

async function referencesOf(
  db: Database,
  ids: readonly string[],
): Promise<{ id: string; reference: string; slug: string }[]> {
  if (ids.length === 0) return [];
  const rows = await rowsOf<{ id: string; fruit: string; number: number }>(
    db,
    sql`select id, fruit, number from task where id in ${[...ids]} order by number`,
  );
  return rows.map(({ id, fruit, number }) => ({ id, reference: `${fruit} ${number}`, slug: `${fruit}-${number}` }));
}
