import { type SQL, sql } from "drizzle-orm";
import type { Happening, Loudness, Why } from "../../core/hearing/heard";
import { letterWords, noticeWords } from "../../core/hearing/notice-words";
import { howHeard } from "../../core/hearing/wishes";
import type { TextPart } from "../../core/letters/letter";
import { newText } from "../../core/letters/new-text";
import type { Change } from "../../core/tasks/outcome";
import { initialsOf } from "../../core/views/initials";
import type { NoticesView } from "../../core/views/notices-view";
import { MOST_COUNTED } from "../../core/views/views";
import type { Database } from "../engine/database";
import { maySeeTask, type Viewer } from "../need-to-know";
import { type InstantText, millis, rowsOf } from "../rows";
import { markChange } from "./changes";
import { hearingOf, isQuietFor } from "./hearing";
import { team } from "./people";

/** Notices in the list at the most. */
const MOST_SHOWN = 60;

/** Notices in one letter or round of letters at the most; the others follow with the next. */
const MOST_MAILED = 200;

/** How many notices somebody has not seen yet. */
export async function freshNotices(db: Database, viewer: Viewer): Promise<number> {
  const [row] = await rowsOf<{ n: number }>(
    db,
    sql`select count(*)::int as n from (select 1 from notice n join task t on t.id = n.task_id
      where n.person_id = ${viewer.personId} and n.seen_at is null and ${stands(viewer)} limit ${MOST_COUNTED + 1}) x`,
  );
  return row!.n;
}

/** Whether somebody has not seen yet what they are told of a task. */
export async function hasFreshNotice(db: Database, viewer: Viewer, taskId: string): Promise<boolean> {
  const [row] = await rowsOf<{ has: boolean }>(
    db,
    sql`select exists (select 1 from notice where task_id = ${taskId} and person_id = ${viewer.personId} and seen_at is null) as has`,
  );
  return row!.has;
}

interface Row {
  id: string;
  taskId: string;
  fruit: string;
  number: number;
  title: string;
  what: Happening;
  why: Why;
  loudness: Loudness;
  at: InstantText;
  isFresh: boolean;
  act: string | null;
  personId: string | null;
  actedFor: string | null;
  changes: Change[] | null;
  writer: string | null;
  letterText: string | null;
  parts: TextPart[] | null;
  said: string | null;
  forWhom: string | null;
}

/** A notice stands as long as its task may be seen; that a task was taken away is told all the same. */
function stands(viewer: Viewer): SQL {
  return sql`(n.what = 'taken away' or ${maySeeTask(viewer)})`;
}

async function noticesWhere(
  db: Database,
  viewer: Viewer,
  where: SQL,
  limit: number,
): Promise<NoticesView["notices"][number][]> {
  const rows = await rowsOf<Row>(
    db,
    sql`select n.id, n.task_id as "taskId", t.fruit, t.number, t.title, n.what, n.why, n.loudness, n.words as said, (select name from person where id = n.for_id) as "forWhom", n.at, n.seen_at is null as "isFresh",
        h.act, h.person_id as "personId", (select name from person where id = h.for_id) as "actedFor", h.changes, coalesce(nullif(l.from_name, ''), l.from_address) as writer, left(l.text, 20000) as "letterText", l.parts
      from notice n join task t on t.id = n.task_id left join history h on h.id = n.entry_id left join letter l on l.id = n.entry_id
      where n.person_id = ${viewer.personId} and ${where} and ${stands(viewer)} order by n.seen_at is not null, n.at desc, n.id desc limit ${limit}`,
  );
  const people = new Map((await team(db)).map((person) => [person.id, person]));
  const { wishes } = await hearingOf(db, viewer);
  return rows.flatMap((row): NoticesView["notices"][number][] => {
    const { taskId, fruit, number, at, act, personId, actedFor, changes, writer, letterText, parts, said, ...rest } =
      row;
    // A reminder comes from nobody but oneself.
    const person = people.get(rest.what === "reminder" ? viewer.personId : (personId ?? ""));
    const name = person?.name ?? writer;
    if (!name) return [];
    const words =
      said ??
      (act && changes && personId
        ? (actedFor ? `for ${actedFor}: ` : "") +
          noticeWords(
            rest.what,
            { act, changes, personId },
            taskId,
            (id) => people.get(id)?.name ?? null,
            rest.forWhom ?? undefined,
          )
        : letterWords(newText({ text: letterText ?? "", parts: parts ?? [] })));
    return [
      {
        ...rest,
        how: howHeard(rest, wishes),
        reference: `${fruit} ${number}`,
        slug: `${fruit}-${number}`,
        by: { name, initials: initialsOf(name), isTeam: person !== undefined },
        words,
        at: millis(at),
      },
    ];
  });
}

/** What somebody is told, what is new first. */
export async function noticesFor(db: Database, viewer: Viewer, now: number): Promise<NoticesView> {
  return {
    fresh: await freshNotices(db, viewer),
    isQuiet: await isQuietFor(db, viewer, now),
    notices: await noticesWhere(db, viewer, sql`true`, MOST_SHOWN),
  };
}

/** What somebody is told and has neither seen nor had by mail. */
export function unmailedNotices(db: Database, viewer: Viewer): Promise<NoticesView["notices"]> {
  return noticesWhere(db, viewer, sql`n.seen_at is null and n.mailed_at is null`, MOST_MAILED);
}

/** Somebody has seen what they were told of a task, or (null) all of it up to an instant. */
export async function seeNotices(
  db: Database,
  viewer: Viewer,
  taskNumber: number | null,
  upTo: number,
  now: number,
): Promise<void> {
  const which =
    taskNumber === null
      ? sql`at <= ${new Date(upTo)}`
      : sql`task_id = (select id from task where number = ${taskNumber})`;
  const seen = await rowsOf<{ id: string }>(
    db,
    sql`update notice set seen_at = ${new Date(now)} where person_id = ${viewer.personId} and seen_at is null and ${which} returning id`,
  );
  // Other windows of the same person count them down too.
  if (seen.length > 0) await markChange(db);
}
