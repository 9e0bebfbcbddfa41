import { type SQL, sql } from "drizzle-orm";
import { handedBackIn, linkToOwner } from "../../core/tasks/chain";
import type { Day, WorkingCalendar } from "../../core/time/day";
import { countryOf, publicHolidays } from "../../core/time/holidays";
import { dayOf } from "../../core/time/moment";
import type { TaskRow } from "../../core/views/views";
import type { LineEvent, WaitingFigures, WaitingPage, WaitRow } from "../../core/views/waiting-view";
import { chaseLanguage } from "../../core/waiting/chase-letter";
import { isAbout } from "../../core/waiting/is-about";
import { isMachinesAddress } from "../../core/waiting/machines-address";
import { nextStep, type WaitNow } from "../../core/waiting/next-step";
import { daysOfSilence, longFrom, usualDays } from "../../core/waiting/silence";
import type { Database } from "../engine/database";
import { maySeeConversation, maySeeTask, type Viewer } from "../need-to-know";
import { type InstantText, millis, rowsOf } from "../rows";
import { chasedLately } from "./chases";
import { awayNow } from "./cover";
import { team } from "./people";
import { counted, IS_WAITED, type TaskColumns, taskColumnsFor, taskRows } from "./tasks";

/** Rows of one page of Waiting. */
const PAGE = 60;

/** Letters of one person in Sort that are looked at. */
const MOST_IN_SORT = 12;

/** Letters of a conversation that are drawn on a line at the most. */
const MOST_EVENTS = 30;

/** What Waiting shows: from whom, in which project, in which order. */
export interface WaitingLook {
  readonly from: "anybody" | "outside" | "the team";
  readonly personId: string | null;
  readonly projectId: string | null;
  /** Waited for by this member of the team alone; null for all. */
  readonly forId: string | null;
  /** One wait alone. */
  readonly taskId?: string;
  readonly order: "silence" | "person" | "project";
}

/** The organisation's clock and calendar. */
export interface WaitingNow {
  readonly at: number;
  readonly zone: string;
  readonly calendar: WorkingCalendar;
}

const FOR_WHOM = sql`(case when t.side = 'theirs' then t.owner_id else (t.chain->-1->>'by')::uuid end)`;

function lookOf(look: WaitingLook, viewer: Viewer): SQL {
  const from = {
    anybody: sql``,
    outside: sql`and t.side = 'theirs'`,
    "the team": sql`and t.side = 'ours'`,
  }[look.from];
  const person = look.personId
    ? sql`and (t.theirs_id = ${look.personId} or (t.side = 'ours' and t.owner_id = ${look.personId}))`
    : sql``;
  const project = look.projectId ? sql`and t.project_id = ${look.projectId}` : sql``;
  const forOne = look.forId ? sql`and ${FOR_WHOM} = ${look.forId}::uuid` : sql``;
  const one = look.taskId ? sql`and t.id = ${look.taskId}` : sql``;
  return sql`t.state in ('to begin', 'under way') and ${IS_WAITED} ${from} ${person} ${project} ${forOne} ${one} and ${maySeeTask(viewer)}`;
}

interface Columns extends TaskColumns {
  heardAt: InstantText;
  heardText: string;
  conversationId: string | null;
  forId: string | null;
  /** A conversation in Sort in which they wrote since they were heard last. */
  inSortId: string | null;
  /** The letter up to the end of the passage; where that begins and ends, in characters of JavaScript. */
  quoteText: string | null;
  quoteStart: number | null;
  quoteEnd: number | null;
  quoteFrom: string | null;
  quoteAt: InstantText | null;
  subject: string | null;
  order: string;
}

/** One page of what is waited for: the longest silence first along an index, or by person or project. */
export async function waitingPage(
  db: Database,
  viewer: Viewer,
  look: WaitingLook,
  cursor: string | null,
  now: WaitingNow,
): Promise<WaitingPage> {
  const skip = look.order === "silence" ? 0 : Math.max(0, Math.floor(Number(cursor)) || 0);
  const parts = cursor?.split("~") ?? [];
  const after =
    look.order === "silence" && parts.length === 2
      ? sql`and (t.heard_at, t.number) > (${parts[0]}::timestamptz, ${Number(parts[1])})`
      : sql``;
  const group = {
    silence: sql`''`,
    person: sql`coalesce(lower(k.name), lower(p.name), '')`,
    project: sql`coalesce(lower(j.name), '~')`,
  }[look.order];
  const joined = {
    silence: sql``,
    person: sql`left join correspondent k on k.id = t.theirs_id left join person p on p.id = t.owner_id`,
    project: sql`left join project j on j.id = t.project_id`,
  }[look.order];
  const order = look.order === "silence" ? sql`t.heard_at, t.number` : sql`page."order", t.heard_at, t.number`;
  // Only the rows of the page are looked into, in whatever order they stand.
  const rows = await rowsOf<Columns>(
    db,
    sql`with page as (
        select t.id, ${group} as "order" from task t ${joined} where ${lookOf(look, viewer)} ${after}
        order by ${look.order === "silence" ? sql`t.heard_at, t.number` : sql`"order", t.heard_at, t.number`} limit ${PAGE} offset ${skip})
      select ${taskColumnsFor(viewer)}, t.heard_at as "heardAt", t.heard_at::text as "heardText", ${FOR_WHOM} as "forId", page."order", c.id as "conversationId", case when c.place = 'sort' then c.id end as "inSortId", c.subject,
        case when c.id is not null then q.text end as "quoteText", q.start as "quoteStart", q."end" as "quoteEnd", q.from_address as "quoteFrom", q.sent_at as "quoteAt"
      from page join task t on t.id = page.id left join conversation c on c.id = t.conversation_id and ${maySeeConversation(viewer)}
        left join lateral (select left(l.text, t."end") as text, l.from_address, l.sent_at, t.start, t."end" from letter l where l.id = t.letter_id and t.start is not null and l.conversation_id = c.id) q on true
      order by ${order}`,
  );
  const last = rows.at(-1);
  const next =
    rows.length < PAGE || !last
      ? null
      : look.order === "silence"
        ? `${last.heardText}~${last.number}`
        : String(skip + PAGE);
  return { rows: await waitRows(db, await withLettersInSort(db, viewer, rows), now), next };
}

interface Happened {
  readonly lines: ReadonlyMap<string, LineEvent[]>;
  readonly latest: ReadonlyMap<string, string>;
}

/** Finds a letter in Sort about each wait: in its own conversation, or in another one of whoever owes it. */
async function withLettersInSort(db: Database, viewer: Viewer, rows: readonly Columns[]): Promise<Columns[]> {
  const ids = [...new Set(rows.flatMap((row) => row.theirsId ?? []))];
  if (ids.length === 0) return [...rows];
  const letters = await rowsOf<{ theirsId: string; id: string; text: string; sentAt: InstantText }>(
    db,
    sql`select k.id as "theirsId", x.* from correspondent k cross join lateral (
        select c.id, l.subject || ' ' || left(l.text, 3000) as text, l.sent_at as "sentAt" from letter l join conversation c on c.id = l.conversation_id
        where l.from_address = k.address and c.place = 'sort' and l.automatic is null and ${maySeeConversation(viewer)} order by l.sent_at desc limit ${MOST_IN_SORT}) x
      where k.id in ${ids}`,
  );
  return rows.map((row) => {
    if (row.inSortId !== null || row.theirsId === null) return { ...row, inSortId: row.theirsId && row.inSortId };
    const heard = millis(row.heardAt);
    const about = letters.find(
      (letter) => letter.theirsId === row.theirsId && millis(letter.sentAt) >= heard && isAbout(row.title, letter.text),
    );
    return { ...row, inSortId: about?.id ?? null };
  });
}

/** What lies on the lines: letters of the conversations to and from whoever owes, and calls. */
async function happenedOn(db: Database, rows: readonly Columns[]): Promise<Happened> {
  const lines = new Map<string, LineEvent[]>();
  const latest = new Map<string, string>();
  const ids = rows.map((row) => row.id);
  if (ids.length === 0) return { lines, latest };
  const seen = rows.filter((row) => row.conversationId).map((row) => row.id);
  const letters =
    seen.length === 0
      ? []
      : await rowsOf<{
          taskId: string;
          letterId: string;
          at: InstantText;
          isTheirs: boolean;
          isOurs: boolean;
          isChase: boolean;
        }>(
          db,
          sql`select t.id as "taskId", x.* from task t left join correspondent k on k.id = t.theirs_id cross join lateral (
              select l.id as "letterId", l.sent_at as at, l.from_address = k.address as "isTheirs",
                exists (select 1 from person p where p.address = l.from_address) or exists (select 1 from outgoing o where o.letter_id = l.id) as "isOurs",
                exists (select 1 from outgoing o where o.letter_id = l.id and o.is_chase) as "isChase"
              from letter l where l.conversation_id = t.conversation_id and l.automatic is null order by l.sent_at desc limit ${MOST_EVENTS}) x
            where t.id in ${seen} order by x.at`,
        );
  const push = (taskId: string, event: LineEvent) => lines.set(taskId, [...(lines.get(taskId) ?? []), event]);
  for (const { taskId, letterId, at, isTheirs, isOurs, isChase } of letters) {
    if (isTheirs || isOurs) latest.set(taskId, letterId);
    if (isTheirs) push(taskId, { at: millis(at), what: "they wrote" });
    else if (isOurs && !isChase) push(taskId, { at: millis(at), what: "we wrote" });
  }
  // Chases also while they are on their way, and those that began a conversation of their own.
  const chases = await rowsOf<{ taskId: string; at: InstantText }>(
    db,
    sql`select task_id as "taskId", coalesce(sent_at, created_at) as at from outgoing where task_id in ${ids} and is_chase order by 2`,
  );
  for (const { taskId, at } of chases) push(taskId, { at: millis(at), what: "chased" });
  const notes = await rowsOf<{ taskId: string; at: InstantText; isOwners: boolean; kind: string }>(
    db,
    sql`select c.task_id as "taskId", c.at, c.person_id = t.owner_id as "isOwners", c.kind from comment c join task t on t.id = c.task_id
      where c.task_id in ${ids} and (c.kind <> 'note' or t.side = 'ours') order by c.at`,
  );
  for (const { taskId, at, isOwners, kind } of notes) {
    if (kind === "call") push(taskId, { at: millis(at), what: "they wrote" });
    else if (kind === "call missed") push(taskId, { at: millis(at), what: "rang" });
    else push(taskId, { at: millis(at), what: isOwners ? "they wrote" : "we wrote" });
  }
  return { lines, latest };
}

/** How many working days each of those who owe something took to answer us before, by their address. */
async function usualOf(
  db: Database,
  addresses: readonly string[],
  now: WaitingNow,
): Promise<ReadonlyMap<string, number | null>> {
  if (addresses.length === 0) return new Map();
  const rows = await rowsOf<{ address: string; asked: InstantText; answered: InstantText }>(
    db,
    sql`select a.address, x.asked, x.answered from jsonb_array_elements_text(${JSON.stringify(addresses)}::jsonb) as a(address) cross join lateral (
        select l.sent_at as answered, (select max(o.sent_at) from letter o where o.conversation_id = l.conversation_id and o.sent_at < l.sent_at
            and (exists (select 1 from person p where p.address = o.from_address) or exists (select 1 from outgoing g where g.letter_id = o.id))) as asked
        from letter l where l.from_address = a.address and l.automatic is null order by l.sent_at desc limit 20) x where x.asked is not null`,
  );
  const took = new Map<string, number[]>();
  for (const { address, asked, answered } of rows) {
    const [from, to] = [asked, answered].map((at) => dayOf({ at: millis(at), zone: now.zone })) as [string, string];
    took.set(address, [...(took.get(address) ?? []), daysOfSilence(from, to, now.calendar)]);
  }
  return new Map(addresses.map((address) => [address, usualDays(took.get(address) ?? [])]));
}

function answerOf(task: TaskRow): WaitNow["answer"] {
  const holding = { ownerId: task.owner?.id ?? null, chain: task.chain };
  if (task.side === "theirs") return null;
  if (handedBackIn(holding) || holding.ownerId === null) return "handed back";
  const link = linkToOwner(holding);
  if (link && link.question !== "") return "asks";
  if (task.doubt) return "in doubt";
  if (task.state === "under way") return "under way";
  return link?.answer === "needs-action" ? "not answered" : "taken on";
}

function chainEvents(task: TaskRow): LineEvent[] {
  if (task.side === "theirs") return [];
  return task.chain.flatMap((link): LineEvent[] => [
    { at: Date.parse(link.at), what: "we wrote" },
    ...(link.answer === "accepted" && link.answeredAt !== link.at
      ? [{ at: Date.parse(link.answeredAt), what: "taken on" as const }]
      : link.answer === "declined"
        ? [{ at: Date.parse(link.answeredAt), what: "handed back" as const }]
        : []),
  ]);
}

/** The columns of the task alone. */
function asTask(row: Columns): TaskColumns {
  const {
    heardAt,
    heardText,
    conversationId,
    forId,
    inSortId,
    quoteText,
    quoteStart,
    quoteEnd,
    quoteFrom,
    quoteAt,
    subject,
    order,
    ...task
  } = row;
  return task;
}

/** The working days of the other side: ours, with the holidays of their country where that is known. */
function calendarOf(theirs: TaskRow["theirs"], from: Day, to: Day, ours: WorkingCalendar): WorkingCalendar {
  const country = theirs ? countryOf(theirs.address) : null;
  if (!country) return ours;
  const years = [...new Set([from, to].map((day) => Number(day.slice(0, 4))))];
  return { ...ours, holidays: years.flatMap((year) => publicHolidays(country, year)) };
}

async function waitRows(db: Database, rows: readonly Columns[], now: WaitingNow): Promise<WaitRow[]> {
  const tasks = await taskRows(db, rows.map(asTask));
  const { lines, latest } = await happenedOn(db, rows);
  const lately = await chasedLately(db, now.at);
  const addresses = [...new Set(tasks.flatMap((task) => task.theirs?.address ?? []))];
  const usual = await usualOf(db, addresses, now);
  const awaySaid = await awayLetters(db, tasks);
  const people = new Map((await team(db)).map((person) => [person.id, person]));
  const today = dayOf(now);
  const colleagues = await awayNow(db);
  return rows.map((row, i): WaitRow => {
    const task = tasks[i]!;
    const events = [...(lines.get(row.id) ?? []), ...chainEvents(task)].sort((a, b) => a.at - b.at);
    const heardAt = millis(row.heardAt);
    const heard = dayOf({ at: heardAt, zone: now.zone });
    const { theirs } = task;
    const colleague = theirs || !task.owner ? null : (colleagues.get(task.owner.id) ?? null);
    const away = theirs?.awayUntil ?? colleague?.backDay ?? null;
    const awayFrom = theirs ? (awaySaid.get(theirs.id) ?? null) : (colleague?.fromDay ?? null);
    const silence = daysOfSilence(heard, today, calendarOf(theirs, heard, today, now.calendar), away, awayFrom);
    const usually = theirs ? (usual.get(theirs.address) ?? null) : null;
    const chased = events
      .filter((event) => event.what === "chased" || event.what === "rang")
      .map((event) => dayOf({ at: event.at, zone: now.zone }));
    const isPromise = task.kind === "promise";
    const next = nextStep(
      {
        side: task.side,
        today,
        due: task.due?.day ?? null,
        isPromise,
        heard,
        silence,
        usual: usually,
        chased,
        chasedThisWeek: theirs ? (lately.get(theirs.address) ?? 0) : 0,
        awayUntil: away,
        planned: task.chasePlan ? dayOf({ at: Date.parse(task.chasePlan.nextAt), zone: now.zone }) : null,
        isInSort: row.inSortId !== null,
        canWrite: theirs !== null && !isMachinesAddress(theirs.address),
        answer: answerOf(task),
      },
      now.calendar,
    );
    return {
      task,
      from: theirs ?? task.owner,
      isOutside: theirs !== null,
      forWhom: row.forId ? (people.get(row.forId) ?? null) : null,
      events,
      heardAt,
      silence,
      usual: usually,
      isLong: silence >= longFrom(usually),
      awayUntil: away && away > today ? away : null,
      due: task.due,
      isPromise,
      next,
      chases: events.filter((event) => event.what === "chased").length,
      inSortId: row.inSortId,
      answersId: latest.get(row.id) ?? null,
      subject: row.subject,
      language: chaseLanguage(row.quoteText),
      quote:
        row.quoteText !== null && row.quoteStart !== null && row.quoteEnd !== null && row.quoteAt
          ? {
              words: row.quoteText.slice(row.quoteStart, row.quoteEnd),
              isTheirs: row.quoteFrom === theirs?.address,
              at: millis(row.quoteAt),
            }
          : null,
    };
  });
}

/** The day of the letter in which each said that they are away. */
async function awayLetters(db: Database, tasks: readonly TaskRow[]): Promise<ReadonlyMap<string, string>> {
  const ids = [...new Set(tasks.flatMap((task) => task.theirs?.id ?? []))];
  if (ids.length === 0) return new Map();
  const rows = await rowsOf<{ id: string; day: string }>(
    db,
    sql`select k.id, l.sent_at::date::text as day from correspondent k join letter l on l.id = k.away_letter_id where k.id in ${ids}`,
  );
  return new Map(rows.map((row) => [row.id, row.day]));
}

/** The figures about a look. */
export async function waitingFigures(
  db: Database,
  viewer: Viewer,
  look: WaitingLook,
  now: WaitingNow,
): Promise<WaitingFigures> {
  const where = lookOf(look, viewer);
  return {
    all: await counted(db, where),
    outside: await counted(db, sql`t.side = 'theirs' and ${where}`),
    over: await counted(db, sql`t.due_day < ${dayOf(now)}::date and ${where}`),
  };
}
