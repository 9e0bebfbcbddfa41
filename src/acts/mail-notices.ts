import crypto from "node:crypto";
import { sql } from "drizzle-orm";
import { BY_PROGRAM, type ItipStanding, itipMessage, sequenceOf } from "../core/exchange/itip";
import { isDigestDue } from "../core/hearing/digest-times";
import type { Happening, NoticeMail, Why } from "../core/hearing/heard";
import { digestLetter, type MailedTask, noticeLetter } from "../core/hearing/notice-letter";
import type { Priority } from "../core/reading/slip";
import { taskAddress } from "../core/sorting/addresses";
import type { Chain } from "../core/tasks/chain";
import { dayOf } from "../core/time/moment";
import { sayDay, sayDistance } from "../core/time/say-day";
import type { NoticesView } from "../core/views/notices-view";
import type { Database } from "../data/engine/database";
import { maySeeProject, maySeeTask } from "../data/need-to-know";
import { isQuietFor } from "../data/queries/hearing";
import { unmailedNotices } from "../data/queries/notices";
import { theOrganisation } from "../data/queries/people";
import { type InstantText, millis, rowsOf } from "../data/rows";
import { writeHouseLetter } from "./house-letter";
import { ourDomains } from "./own-addresses";

/** Milliseconds in which a notice may be seen in the application before it goes out by mail: never twice over two ways. */
const SEEN_FIRST_MS = 2 * 60_000;

const WHY_YOU: Readonly<Record<Why, string>> = {
  "owns it": "own it",
  "handed it over": "handed it over",
  "had it": "had it",
  "kept posted": "are kept posted",
  "named in the note": "are named in the note",
  "wanted to be reminded": "wanted to be reminded",
  "covers for": "cover for",
};

interface Member {
  id: string;
  name: string;
  address: string;
  zone: string | null;
  noticeMail: NoticeMail;
  digestTimes: string[];
}

/** A notice with what the letter needs to know of its task. */
interface Told {
  readonly taskId: string;
  readonly notice: NoticesView["notices"][number];
  readonly dueDay: string | null;
  readonly dueTime: string | null;
  readonly project: string | null;
}

async function withTasks(db: Database, member: Member, notices: NoticesView["notices"]): Promise<Told[]> {
  if (notices.length === 0) return [];
  const viewer = { personId: member.id };
  const rows = await rowsOf<{
    noticeId: string;
    taskId: string;
    dueDay: string | null;
    dueTime: string | null;
    project: string | null;
  }>(
    db,
    sql`select n.id as "noticeId", t.id as "taskId", t.due_day::text as "dueDay", t.due_time as "dueTime", (select p.name from project p where p.id = t.project_id and ${maySeeProject(viewer)}) as project
      from notice n join task t on t.id = n.task_id where n.id in ${notices.map((one) => one.id)} and (n.what = 'taken away' or ${maySeeTask(viewer)})`,
  );
  return notices.flatMap((notice) => {
    const row = rows.find((one) => one.noticeId === notice.id);
    return row ? [{ notice, taskId: row.taskId, dueDay: row.dueDay, dueTime: row.dueTime, project: row.project }] : [];
  });
}

/** Only what is given can be answered; the key is kept with the notice. */
async function answerLinks(db: Database, told: readonly Told[], base: string): Promise<ReadonlyMap<string, string>> {
  const links = new Map<string, string>();
  for (const { notice } of told.filter(
    (one) => one.notice.what === ("given" satisfies Happening) && one.notice.forWhom === null,
  )) {
    const key = crypto.randomBytes(24).toString("base64url");
    await db.execute(sql`update notice set answer_key = ${key} where id = ${notice.id}`);
    links.set(notice.slug, `${base}/answer/${key}`);
  }
  return links;
}

/** A task in a letter as calendar programs are told of it; null where they need not be. */
interface CalendarTask {
  readonly taskId: string;
  readonly slug: string;
  readonly standing: ItipStanding | null;
}

/** What has become of a task for its owner, by the last thing that they are told of it. */
function standingOf(told: readonly Told[]): ItipStanding | null {
  for (const { notice } of told) {
    if (notice.forWhom !== null) continue;
    if (notice.what === "taken away" || (notice.what === "called off" && notice.why === "owns it")) return "no more";
    if (notice.what === "given") return "new";
    if (notice.what === "moved" && notice.why === "owns it") return "as it is";
  }
  const isAnswered = told.some(
    ({ notice }) => notice.what === "answered" && notice.why === "owns it" && !notice.forWhom,
  );
  return isAnswered ? "not moved" : null;
}

async function asTasks(
  db: Database,
  told: readonly Told[],
  base: string,
  say: (day: string) => string,
): Promise<(MailedTask & CalendarTask)[]> {
  const links = await answerLinks(db, told, base);
  const tasks = new Map<string, Told[]>();
  for (const one of told) tasks.set(one.taskId, [...(tasks.get(one.taskId) ?? []), one]);
  return [...tasks].map(([taskId, of]) => {
    const [first] = of;
    const { slug, reference, title } = first!.notice;
    return {
      taskId,
      slug,
      standing: standingOf(of),
      reference,
      title,
      due: first!.dueDay ? `${say(first!.dueDay)}${first!.dueTime ? `, ${first!.dueTime}` : ""}` : null,
      project: first!.project,
      link: `${base}/tasks/${slug}`,
      answerLink: links.get(slug) ?? null,
      notices: of
        .map(({ notice }) => ({
          by: notice.what === "reminder" ? "It" : notice.by.name,
          words: notice.words,
          why: `${WHY_YOU[notice.why]}${notice.forWhom ? ` ${notice.forWhom}` : ""}`,
        }))
        .reverse(),
    };
  });
}

/** The task as calendar programs know it: given, moved or taken away; they answer to the address of the task. */
async function calendarPart(
  db: Database,
  task: MailedTask & CalendarTask,
  member: Member,
  domain: string,
  now: number,
): Promise<string | null> {
  const { standing } = task;
  if (standing === null) return null;
  const [row] = await rowsOf<{
    priority: Priority;
    dueDay: string | null;
    dueTime: string | null;
    dueZone: string | null;
    chain: Chain;
    createdAt: InstantText;
    giver: string | null;
    isKnown: boolean;
    hasProposed: boolean;
  }>(
    db,
    sql`select t.priority, t.due_day::text as "dueDay", t.due_time as "dueTime", t.due_zone as "dueZone", t.chain, t.created_at as "createdAt", (select name from person where id = (t.chain->-1->>'by')::uuid) as giver,
        exists (select 1 from outgoing o where o.task_id = t.id and o.person_id = ${member.id} and o.calendar is not null) as "isKnown",
        coalesce((select h.key like ${`${member.id}:${BY_PROGRAM}%`} from history h where h.about @> ${JSON.stringify([task.taskId])}::jsonb and h.act = 'ask back' order by h.seq desc limit 1), false) as "hasProposed"
      from task t where t.id = ${task.taskId}`,
  );
  // What was never sent to a program of theirs, that program need not move or cancel.
  if (!row || (standing !== "new" && !row.isKnown)) return null;
  // A question that was asked in words is answered in words.
  if (standing === "not moved" && !row.hasProposed) return null;
  const made = millis(row.createdAt);
  return itipMessage(
    {
      id: task.taskId,
      title: task.title,
      description: [row.chain.at(-1)?.note ?? "", task.reference, task.link].filter((text) => text !== "").join("\n"),
      due: row.dueDay ? { day: row.dueDay, time: row.dueTime, zone: row.dueZone ?? "UTC" } : null,
      priority: row.priority,
      link: task.link,
      // Beyond that of the hand-over, which it follows (RFC 5546 section 2.1.4).
      sequence:
        standing === "new" || standing === "not moved" ? sequenceOf(row.chain, made) : Math.floor((now - made) / 1000),
    },
    { name: row.giver ?? "", address: taskAddress(task.slug, domain) },
    { name: member.name, address: member.address },
    standing,
    now,
  );
}

/** Which of somebody's notices are dealt with now: what they wish at once and was not seen, or at a digest time all that waits. */
function goingNow(member: Member, all: NoticesView["notices"], isDigest: boolean, now: number): NoticesView["notices"] {
  if (isDigest) return all;
  if (member.noticeMail === "digest") return [];
  return all.filter((one) => one.how === "at once" && one.at <= now - SEEN_FIRST_MS);
}

/**
 * Puts letters about notices that nobody has seen in the application into the outbox: one a task for what is loud, one digest
 * for the rest at its times. Each notice goes out once. `base` is where our pages are.
 * @param now milliseconds since 1970 UTC
 */
export async function mailNotices(db: Database, base: string, now: number): Promise<number> {
  const [domain] = ourDomains();
  const organisation = await theOrganisation(db);
  if (!domain || !organisation) return 0;
  return db.transaction(async (tx) => {
    await tx.execute(
      sql`insert into reminder_clock (id, up_to) values (2, ${new Date(now)}) on conflict (id) do nothing`,
    );
    const [clock] = await rowsOf<{ upTo: InstantText }>(
      tx,
      sql`select up_to as "upTo" from reminder_clock where id = 2 for update`,
    );
    const from = millis(clock!.upTo);
    const members = await rowsOf<Member>(
      tx,
      sql`select p.id, p.name, p.address, p.zone, p.notice_mail as "noticeMail", p.digest_times as "digestTimes" from person p
        where p.notice_mail <> 'never' and p.left_on is null and exists (select 1 from notice n where n.person_id = p.id and n.seen_at is null and n.mailed_at is null)`,
    );
    let count = 0;
    for (const member of members) {
      if (await isQuietFor(tx, { personId: member.id }, now)) continue;
      const zone = member.zone ?? organisation.zone;
      const today = dayOf({ at: now, zone });
      const say = (day: string) => `${sayDay(day, today)}, ${sayDistance(day, today, organisation)}`;
      const isDigest = isDigestDue(member.digestTimes, from, { at: now, zone });
      const all = await unmailedNotices(tx, { personId: member.id });
      const going = goingNow(member, all, isDigest, now);
      const told = await withTasks(
        tx,
        member,
        going.filter((one) => one.how !== "never"),
      );
      const loud = isDigest ? [] : told;
      const letters = [
        ...(await asTasks(tx, loud, base, say)).map((task) => ({ ...noticeLetter(task), task })),
        ...(isDigest && told.length > 0 ? [{ ...digestLetter(await asTasks(tx, told, base, say)), task: null }] : []),
      ];
      for (const { subject, text, task } of letters) {
        const from = { name: organisation.name, domain };
        const about = task ? { id: task.taskId, replyTo: taskAddress(task.slug, domain) } : null;
        const calendar = task ? await calendarPart(tx, task, member, domain, now) : null;
        await writeHouseLetter(tx, { to: member, subject, text, from, task: about, calendar }, now);
        count += 1;
      }
      if (going.length > 0)
        await tx.execute(sql`update notice set mailed_at = ${new Date(now)} where id in ${going.map((one) => one.id)}`);
    }
    await tx.execute(sql`update reminder_clock set up_to = ${new Date(now)} where id = 2`);
    return count;
  });
}
