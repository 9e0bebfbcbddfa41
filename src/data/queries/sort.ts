import { sql } from "drizzle-orm";
import type { ChangeKind } from "../../core/following/item";
import type { SlipKind } from "../../core/reading/slip";
import type { TaskState } from "../../core/tasks/task";
import {
  type ConversationPlace,
  type ConversationView,
  MOST_COUNTED,
  type RoundView,
  type SlipView,
  type SortPage,
  type SortRow,
} from "../../core/views/views";
import type { Database } from "../engine/database";
import { mailboxesCovered, maySeeConversation, maySeeTask, type Viewer } from "../need-to-know";
import { type InstantText, millis, millisOrNull, rowsOf } from "../rows";
import { lettersOf } from "./letters";
import { outgoingOfConversation } from "./outgoing";
import { correspondentsById, team } from "./people";
import { suggestedOwners } from "./suggested-owner";

/** Rows of one page of Sort. */
const PAGE = 60;

interface Row {
  id: string;
  subject: string;
  lastAt: InstantText;
  outcome: SortRow["outcome"];
  dealtAt: InstantText | null;
  dealtBy: string | null;
  fromName: string;
  fromAddress: string;
  automatic: string | null;
  unreadable: string | null;
  isUnread: boolean;
  wayIn: string;
  putUntil: InstantText | null;
  isReturned: boolean;
  slips:
    | {
        kind: SlipKind;
        change: ChangeKind | null;
        title: string;
        dueDay: string | null;
        dueTime: string | null;
        dueZone: string | null;
      }[]
    | null;
}

function rowOf(row: Row): SortRow {
  const kinds: Record<SlipKind, number> = { ask: 0, question: 0, promise: 0, trouble: 0 };
  for (const slip of row.slips ?? []) if (slip.change === null) kinds[slip.kind] += 1;
  const first = row.slips?.[0];
  return {
    id: row.id,
    subject: row.subject,
    from: row.fromName || row.fromAddress || "Nobody named",
    lastAt: millis(row.lastAt),
    automatic: row.automatic,
    isUnreadable: row.unreadable !== null,
    isUnread: row.isUnread,
    first: first
      ? {
          title: first.title,
          kind: first.kind,
          due: first.dueDay ? { day: first.dueDay, time: first.dueTime, zone: first.dueZone ?? "UTC" } : null,
        }
      : null,
    kinds,
    changes: (row.slips ?? []).filter((slip) => slip.change !== null).length,
    outcome: row.outcome,
    dealtAt: millisOrNull(row.dealtAt),
    dealtBy: row.dealtBy,
    wayIn: row.wayIn,
    putUntil: millisOrNull(row.putUntil),
    isReturned: row.isReturned,
  };
}

/** A place in the order: unread or not, the instant as the database writes it (to the microsecond) and the id that breaks ties. */
function readCursor(cursor: string | null): { unread: string; at: string; id: string } | null {
  const match = /^(true|false)~(.{10,40})~([0-9a-f-]{36})$/.exec(cursor ?? "");
  return match ? { unread: match[1]!, at: match[2]!, id: match[3]! } : null;
}

/**
 * One page of conversations: those in Sort, unread and newest first; those dealt with, the last first; or those put by, the next to come back first. Only the rows
 * of the page are looked into, however many there are. With `wayInId` only those that came that way.
 */
export async function sortPage(
  db: Database,
  viewer: Viewer,
  place: ConversationPlace,
  cursor: string | null,
  limit = PAGE,
  wayInId: string | null = null,
): Promise<SortPage> {
  const at = { sort: sql`c.last_at`, "dealt with": sql`c.dealt_at`, "put by": sql`c.put_until` }[place];
  const unread = place === "sort" ? sql`c.is_unread` : sql`false`;
  const order = {
    sort: sql`${unread} desc, ${at} desc, c.id desc`,
    "dealt with": sql`${at} desc, c.id desc`,
    "put by": sql`${at}, c.id`,
  }[place];
  const from = readCursor(cursor);
  const after = from
    ? sql`and (${unread}, ${at}, c.id) ${place === "put by" ? sql`>` : sql`<`} (${from.unread}::boolean, ${from.at}::timestamptz, ${from.id}::uuid)`
    : sql``;
  const rows = await rowsOf<Row & { cursor: string }>(
    db,
    sql`with page as (
        select c.* , ${unread}::text || '~' || ${at}::text || '~' || c.id as cursor from conversation c
        where c.place = ${place} ${place === "sort" ? sql`` : sql`and ${at} is not null`} ${after} and ${maySeeConversation(viewer)} ${
          wayInId === null
            ? sql``
            : sql`and exists (select 1 from letter wl join arrival wa on wa.letter_id = wl.id where wl.conversation_id = c.id and wa.way_in_id = ${wayInId})`
        }
        order by ${order} limit ${limit})
      select c.id, c.cursor, c.subject, c.put_until as "putUntil", c.returned_at is not null as "isReturned", c.last_at as "lastAt", c.is_unread as "isUnread", c.outcome, c.dealt_at as "dealtAt", (select name from person where id = c.dealt_by) as "dealtBy",
        l.from_name as "fromName", l.from_address as "fromAddress", l.automatic, l.unreadable,
        (select w.name from arrival a join way_in w on w.id = a.way_in_id where a.letter_id = l.id order by a.at limit 1) as "wayIn",
        (select jsonb_agg(jsonb_build_object('kind', s.kind, 'change', s.change, 'title', s.title, 'dueDay', s.due_day, 'dueTime', s.due_time, 'dueZone', s.due_zone) order by sl.sent_at, s.start nulls last, s.id)
          from slip s join letter sl on sl.id = s.letter_id where s.conversation_id = c.id and s.state = ${place === "dealt with" ? "kept" : "proposed"}
            and (s.changes_task_id is null or exists (select 1 from task t where t.id = s.changes_task_id and ${maySeeTask(viewer)}))) as slips
      from page c
      join lateral (select from_name, from_address, automatic, unreadable, id from letter where conversation_id = c.id order by sent_at desc, id desc limit 1) l on true
      order by ${order}`,
  );
  return { rows: rows.map(rowOf), next: rows.length === limit ? rows.at(-1)!.cursor : null };
}

/** Ways in whose letters a viewer may sort by: the shared ones and their own. */
export function waysFor(db: Database, viewer: Viewer): Promise<{ id: string; name: string }[]> {
  return rowsOf<{ id: string; name: string }>(
    db,
    sql`select id, name from way_in w where kind <> 'written' and (owner_id is null or owner_id = ${viewer.personId} or owner_id in ${mailboxesCovered(viewer)})
      and exists (select 1 from arrival a where a.way_in_id = w.id) order by name limit 60`,
  );
}

/** How many conversations wait in Sort for a viewer, counted up to a limit. */
export async function sortCount(db: Database, viewer: Viewer): Promise<number> {
  const [row] = await rowsOf<{ n: number }>(
    db,
    sql`select count(*)::int as n from (select 1 from conversation c where c.place = 'sort' and ${maySeeConversation(viewer)} limit ${MOST_COUNTED + 1}) x`,
  );
  return row!.n;
}

/** A pause longer than this ends a round; the pace is measured within it. */
const ROUND_PAUSE_MINUTES = 45;

/** The round that a viewer is in: what they dealt with since their last long pause, and what is left at that pace. */
export async function roundOf(db: Database, viewer: Viewer, now: number): Promise<RoundView> {
  const acts = await rowsOf<{ at: InstantText }>(
    db,
    sql`select c.dealt_at as at from conversation c where c.dealt_by = ${viewer.personId} and c.dealt_at > ${new Date(now - 12 * 3_600_000)} and c.dealt_at <= ${new Date(now)} order by c.dealt_at desc limit 200`,
  );
  const left = await sortCount(db, viewer);
  const times: number[] = [];
  let previous = now;
  for (const { at } of acts) {
    if (previous - millis(at) > ROUND_PAUSE_MINUTES * 60_000) break;
    previous = millis(at);
    times.push(previous);
  }
  const began = times.at(-1) ?? now;
  const pace = times.length > 1 ? (times[0]! - began) / (times.length - 1) : null;
  const [came] = await rowsOf<{ n: number }>(
    db,
    sql`select count(*)::int as n from (select 1 from conversation c where c.place = 'sort' and c.came_at > ${new Date(began)} and ${maySeeConversation(viewer)} limit ${MOST_COUNTED + 1}) x`,
  );
  return {
    dealt: times.length,
    left,
    minutesLeft: pace === null ? null : Math.max(1, Math.round((pace * left) / 60_000)),
    cameSince: times.length > 0 ? came!.n : 0,
  };
}

type SlipRow = Omit<SlipView, "owner" | "theirs" | "due" | "task" | "changes" | "suggested"> & {
  fromAddress: string;
  change: ChangeKind | null;
  changed: {
    fruit: string;
    number: number;
    title: string;
    side: "ours" | "theirs";
    state: TaskState;
    wasOver: boolean;
  } | null;
  ownerId: string | null;
  theirsId: string | null;
  dueDay: string | null;
  dueTime: string | null;
  dueZone: string | null;
  fruit: string | null;
  number: number | null;
  taskTitle: string | null;
  taskState: never;
};

async function slipsOf(db: Database, viewer: Viewer, conversationId: string): Promise<SlipView[]> {
  const rows = await rowsOf<SlipRow>(
    db,
    sql`select s.id, l.from_address as "fromAddress", s.letter_id as "letterId", s.kind, s.start, s."end", s.title, s.owner_id as "ownerId", s.theirs_id as "theirsId", s.due_day as "dueDay", s.due_time as "dueTime",
      s.due_zone as "dueZone", s.other_days as "otherDays", s.priority, s.estimate, s.project_id as "projectId", s.workstream_id as "workstreamId", s.state, s.made_by as "madeBy", s.reason, s.confidence,
      t.fruit, t.number, t.title as "taskTitle", t.state as "taskState",
      s.change, case when ct.id is not null then jsonb_build_object('fruit', ct.fruit, 'number', ct.number, 'title', ct.title, 'side', ct.side, 'state', ct.state, 'wasOver', coalesce(ct.finished_at < l.sent_at, false)) end as changed
      from slip s join letter l on l.id = s.letter_id left join task t on t.id = s.task_id left join task ct on ct.id = s.changes_task_id
      where s.conversation_id = ${conversationId}
        and (s.changes_task_id is null or exists (select 1 from task t where t.id = s.changes_task_id and ${maySeeTask(viewer)}))
      order by l.sent_at, s.start nulls last, s.id limit 400`,
  );
  const people = new Map((await team(db)).map((person) => [person.id, person]));
  const outside = await correspondentsById(
    db,
    rows.flatMap((row) => row.theirsId ?? []),
  );
  const suggested = await suggestedOwners(
    db,
    viewer,
    rows.filter((row) => row.state === "proposed" && !row.ownerId && !row.theirsId && !row.change),
  );
  return rows.map(
    ({
      fromAddress: _from,
      ownerId,
      theirsId,
      dueDay,
      dueTime,
      dueZone,
      fruit,
      number,
      taskTitle,
      taskState,
      change,
      changed,
      ...rest
    }) => ({
      ...rest,
      owner: ownerId ? (people.get(ownerId) ?? null) : null,
      theirs: theirsId ? (outside.get(theirsId) ?? null) : null,
      due: dueDay ? { day: dueDay, time: dueTime, zone: dueZone ?? "UTC" } : null,
      suggested: people.get(suggested.get(rest.id) ?? "") ?? null,
      task:
        number === null
          ? null
          : { reference: `${fruit} ${number}`, slug: `${fruit}-${number}`, title: taskTitle!, state: taskState },
      changes:
        change === null || changed === null
          ? null
          : {
              change,
              reference: `${changed.fruit} ${changed.number}`,
              slug: `${changed.fruit}-${changed.number}`,
              title: changed.title,
              side: changed.side,
              state: changed.state,
              wasOver: changed.wasOver,
            },
    }),
  );
}

async function offeredTask(db: Database, viewer: Viewer, id: string): Promise<ConversationView["offered"]> {
  const [row] = await rowsOf<{ id: string; fruit: string; number: number; title: string }>(
    db,
    sql`select t.id, t.fruit, t.number, t.title from conversation c join task t on t.id = c.offered_task_id
      where c.id = ${id} and c.place = 'sort' and (t.conversation_id is null or t.conversation_id <> c.id) and ${maySeeTask(viewer)}`,
  );
  return row ? { id: row.id, reference: `${row.fruit} ${row.number}`, title: row.title } : null;
}

/** A conversation with its letters and slips, or null where it is not here or not for this viewer. */
export async function conversationFor(db: Database, viewer: Viewer, asked: string): Promise<ConversationView | null> {
  // Links last: what was joined to another conversation is found there.
  const [gone] = await rowsOf<{ to: string | null }>(
    db,
    sql`select merged_into as "to" from conversation where id = ${asked}`,
  );
  const id = gone?.to ?? asked;
  const [row] = await rowsOf<
    Omit<
      ConversationView,
      "letters" | "slips" | "outside" | "outgoing" | "offered" | "dealtAt" | "putUntil" | "returnedAt"
    > & {
      dealtAt: InstantText | null;
      putUntil: InstantText | null;
      returnedAt: InstantText | null;
    }
  >(
    db,
    sql`select c.id, c.subject, c.project_id as "projectId", c.place, c.put_until as "putUntil", c.returned_at as "returnedAt", c.outcome, c.dealt_at as "dealtAt", (select name from person where id = c.dealt_by) as "dealtBy",
        not exists (select 1 from letter pl join arrival pa on pa.letter_id = pl.id join way_in pw on pw.id = pa.way_in_id where pl.conversation_id = c.id and pw.owner_id is null) as "isPersonal"
      from conversation c where c.id = ${id} and ${maySeeConversation(viewer)}`,
  );
  if (!row) return null;
  const letters = await lettersOf(db, id);
  const addresses = [
    ...new Set(letters.flatMap((letter) => [letter.from.address, ...letter.to.slice(0, 20).map((who) => who.address)])),
  ].filter((address) => address !== "");
  const ids =
    addresses.length === 0
      ? []
      : await rowsOf<{ id: string }>(db, sql`select id from correspondent where address in ${addresses}`);
  const outside = [
    ...(
      await correspondentsById(
        db,
        ids.map((one) => one.id),
      )
    ).values(),
  ];
  return {
    ...row,
    dealtAt: millisOrNull(row.dealtAt),
    putUntil: millisOrNull(row.putUntil),
    returnedAt: millisOrNull(row.returnedAt),
    letters,
    slips: await slipsOf(db, viewer, id),
    outside,
    outgoing: await outgoingOfConversation(db, id),
    offered: await offeredTask(db, viewer, id),
  };
}
