import { sql } from "drizzle-orm";
import {
  type AnyPgColumn,
  boolean,
  check,
  customType,
  date,
  index,
  integer,
  jsonb,
  pgTable,
  primaryKey,
  real,
  text,
  timestamp,
  uniqueIndex,
  uuid,
} from "drizzle-orm/pg-core";
import type { ChangeKind } from "../core/following/item";
import type { NoticeMail } from "../core/hearing/heard";
import type { HearingWishes } from "../core/hearing/wishes";
import type { Bounce, LetterFile, PassedOn, TextPart } from "../core/letters/letter";
import type { Envelope, MayWrite, RemotePlace } from "../core/letters/ways";
import type { Chain } from "../core/tasks/chain";
import type { Step } from "../core/tasks/steps";
import type { ChasePlan } from "../core/waiting/chase-plan";
import { user } from "./schema-sign-in";

const instant = (name: string) => timestamp(name, { withTimezone: true });
const searchWords = customType<{ data: string }>({ dataType: () => "tsvector" });

/** The firm whose installation this is: one row. */
export const organisation = pgTable("organisation", {
  id: uuid("id").primaryKey(),
  name: text("name").notNull(),
  zone: text("zone").notNull(),
  workingDays: jsonb("working_days").$type<number[]>().notNull(),
  holidays: jsonb("holidays").$type<string[]>().notNull(),
  figures: text("figures").$type<"dmy" | "mdy">().notNull().default("dmy"),
  isDemo: boolean("is_demo").notNull().default(false),
  createdAt: instant("created_at").notNull(),
});

/** A member of the team. `userId` is their sign-in; without one they can own tasks, but not sign in. */
export const person = pgTable("person", {
  id: uuid("id").primaryKey(),
  userId: text("user_id").references(() => user.id),
  name: text("name").notNull(),
  address: text("address").notNull().unique(),
  initials: text("initials").notNull(),
  work: text("work").notNull().default(""),
  nicknames: jsonb("nicknames").$type<string[]>().notNull().default([]),
  isLead: boolean("is_lead").notNull().default(false),
  zone: text("zone"),
  roundBegan: instant("round_began"),
  /** How notices reach them by mail, beside the list in the application. */
  noticeMail: text("notice_mail").$type<NoticeMail>().notNull().default("as it comes"),
  /** Wall times, in their zone, at which what can wait is gathered into one letter. */
  digestTimes: jsonb("digest_times").$type<string[]>().notNull().default(["08:00", "13:00", "17:00"]),
  /** Names their calendar feeds, which are read without signing in; null until they ask for them. */
  feedKey: text("feed_key").unique(),
  /** When they last looked through the shelf and what lacks an owner, a date or a next step. */
  reviewedAt: instant("reviewed_at"),
  /** How loudly they want to hear of each sort of news, where that is not as usual. */
  hearing: jsonb("hearing").$type<HearingWishes>().notNull().default({}),
  /** Wall times, in their zone, between which nothing comes by mail or as a notice of the browser; null where always. */
  quietFrom: text("quiet_from"),
  quietUntil: text("quiet_until"),
  /** They closed their day: quiet until then. */
  closedUntil: instant("closed_until"),
  /** The day on which they left the team; from then on nothing is given to them, and they cannot sign in. */
  leftOn: date("left_on"),
});

/** A firm outside: a client or a supplier. */
export const firm = pgTable("firm", {
  id: uuid("id").primaryKey(),
  name: text("name").notNull(),
  kind: text("kind").$type<"client" | "supplier">().notNull(),
});

/** Somebody outside who writes to us. */
export const correspondent = pgTable("correspondent", {
  id: uuid("id").primaryKey(),
  name: text("name").notNull(),
  address: text("address").notNull().unique(),
  firmId: uuid("firm_id").references(() => firm.id),
  /** The day on which they said they are back; the letter that said so. */
  awayUntil: date("away_until"),
  awayLetterId: uuid("away_letter_id"),
});

export const project = pgTable("project", {
  id: uuid("id").primaryKey(),
  name: text("name").notNull(),
  firmId: uuid("firm_id").references(() => firm.id),
  isPrivate: boolean("is_private").notNull().default(false),
  words: jsonb("words").$type<string[]>().notNull().default([]),
});

export const workstream = pgTable("workstream", {
  id: uuid("id").primaryKey(),
  projectId: uuid("project_id")
    .notNull()
    .references(() => project.id),
  name: text("name").notNull(),
  place: integer("place").notNull(),
  /** Who may make tasks here by writing to its address. */
  mayWrite: text("may_write").$type<MayWrite>().notNull().default("the team"),
});

/** Who may see a private project. */
export const projectMember = pgTable(
  "project_member",
  {
    projectId: uuid("project_id")
      .notNull()
      .references(() => project.id),
    personId: uuid("person_id")
      .notNull()
      .references(() => person.id),
  },
  (t) => [primaryKey({ columns: [t.projectId, t.personId] })],
);

/** A way in: where letters come from. With an owner it is personal, and so are its letters. */
export const wayIn = pgTable(
  "way_in",
  {
    id: uuid("id").primaryKey(),
    name: text("name").notNull(),
    kind: text("kind").$type<"import" | "mailbox" | "address" | "written">().notNull(),
    ownerId: uuid("owner_id").references(() => person.id),
  },
  (t) => [uniqueIndex("way_in_name").on(t.name)],
);

/** Where a conversation can be. */
type ConversationPlace = "sort" | "dealt with" | "put by";

/** How a conversation left Sort. */
type ConversationOutcome = "kept" | "nothing to do" | "filed by itself" | "answered" | "joined";

export const conversation = pgTable(
  "conversation",
  {
    id: uuid("id").primaryKey(),
    subject: text("subject").notNull(),
    projectId: uuid("project_id").references(() => project.id),
    /** Where it is now: still in Sort, dealt with, or put by. */
    place: text("place").$type<ConversationPlace>().notNull(),
    /** Put by: when it comes back; on the shelf, which has no day, a far one. */
    putUntil: instant("put_until"),
    /** When it came back from being put by; null once it is dealt with. */
    returnedAt: instant("returned_at"),
    /** How it was dealt with. */
    outcome: text("outcome").$type<ConversationOutcome>(),
    dealtAt: instant("dealt_at"),
    dealtBy: uuid("dealt_by").references(() => person.id),
    /** Date of the newest letter, by which Sort is ordered. */
    lastAt: instant("last_at").notNull(),
    /** Nobody has read its newest letter in a mail program either. */
    isUnread: boolean("is_unread").notNull().default(true),
    /** When it came into Sort, or back. */
    cameAt: instant("came_at").notNull(),
    /** The conversation that this one was joined to: its letters are there now, and so are those that answer them. */
    mergedInto: uuid("merged_into").references((): AnyPgColumn => conversation.id),
    /** Somebody has put it on a project: whoever may see that may see it, though it came to one mailbox alone. */
    isShared: boolean("is_shared").notNull().default(false),
    /** The task whose address a letter of it was sent to by somebody who may not write there: it is offered. */
    offeredTaskId: uuid("offered_task_id").references((): AnyPgColumn => task.id),
  },
  (t) => [
    index("conversation_sort").on(t.place, t.isUnread, t.lastAt),
    index("conversation_dealt").on(t.dealtAt),
    index("conversation_put_by").on(t.putUntil).where(sql`place = 'put by'`),
    // Answers whose program dropped the references are looked for by subject.
    index("conversation_subject").on(sql`lower(left(subject, 200))`, t.lastAt),
  ],
);

/** Every Message-ID that belongs to a conversation, of letters that are here and of those only referred to (RFC 5256 REFS). */
export const thread = pgTable("thread", {
  messageId: text("message_id").primaryKey(),
  conversationId: uuid("conversation_id")
    .notNull()
    .references(() => conversation.id),
});

export const letter = pgTable(
  "letter",
  {
    id: uuid("id").primaryKey(),
    sha256: text("sha256").notNull().unique(),
    size: integer("size").notNull(),
    conversationId: uuid("conversation_id")
      .notNull()
      .references(() => conversation.id),
    messageId: text("message_id"),
    /** The Date header, or when it came where there is none. */
    sentAt: instant("sent_at").notNull(),
    /** Whether the Date header could be read. */
    isDated: boolean("is_dated").notNull(),
    offset: text("offset").notNull(),
    receivedAt: instant("received_at").notNull(),
    fromName: text("from_name").notNull(),
    fromAddress: text("from_address").notNull(),
    to: jsonb("to").$type<{ name: string; address: string }[]>().notNull(),
    cc: jsonb("cc").$type<{ name: string; address: string }[]>().notNull(),
    subject: text("subject").notNull(),
    text: text("text").notNull(),
    parts: jsonb("parts").$type<TextPart[]>().notNull(),
    files: jsonb("files").$type<LetterFile[]>().notNull(),
    hasHtml: boolean("has_html").notNull(),
    automatic: text("automatic"),
    passedOn: jsonb("passed_on").$type<PassedOn>(),
    bounce: jsonb("bounce").$type<Bounce>(),
    sealed: text("sealed").$type<"signed" | "encrypted">(),
    /** Why it could not be read, in words; such a letter is shown raw. */
    unreadable: text("unreadable"),
    /** What it is found by, made by `searchVector`. */
    search: searchWords("search").notNull(),
  },
  (t) => [
    index("letter_conversation").on(t.conversationId, t.sentAt),
    index("letter_search").using("gin", t.search),
    index("letter_received").on(t.receivedAt),
    index("letter_from").on(t.fromAddress),
    index("letter_message").on(t.messageId),
  ],
);

/** Every time a letter came: the same bytes through two doors are one letter with two arrivals. */
export const arrival = pgTable(
  "arrival",
  {
    letterId: uuid("letter_id")
      .notNull()
      .references(() => letter.id),
    wayInId: uuid("way_in_id")
      .notNull()
      .references(() => wayIn.id),
    at: instant("at").notNull(),
    /** Who sent it to whom by SMTP; null for other ways in. */
    envelope: jsonb("envelope").$type<Envelope>(),
    /** Where it lies on an IMAP server; null for other ways in. */
    remote: jsonb("remote").$type<RemotePlace>(),
  },
  (t) => [primaryKey({ columns: [t.letterId, t.wayInId] }), index("arrival_way_in").on(t.wayInId)],
);

export const slip = pgTable(
  "slip",
  {
    id: uuid("id").primaryKey(),
    conversationId: uuid("conversation_id")
      .notNull()
      .references(() => conversation.id),
    letterId: uuid("letter_id")
      .notNull()
      .references(() => letter.id),
    kind: text("kind").$type<"ask" | "question" | "promise" | "trouble">().notNull(),
    /** The passage: characters of the letter's text. Both null for a slip typed for the letter as a whole. */
    start: integer("start"),
    end: integer("end"),
    title: text("title").notNull(),
    ownerId: uuid("owner_id").references(() => person.id),
    /** Somebody outside who has to act: keeping the slip makes a wait. */
    theirsId: uuid("theirs_id").references(() => correspondent.id),
    dueDay: date("due_day"),
    dueTime: text("due_time"),
    dueZone: text("due_zone"),
    otherDays: jsonb("other_days").$type<string[]>().notNull(),
    priority: text("priority").$type<"top" | "high" | "normal" | "low">().notNull(),
    /** How long the work takes, in minutes; null where nobody said. */
    estimate: integer("estimate"),
    projectId: uuid("project_id").references(() => project.id),
    workstreamId: uuid("workstream_id").references(() => workstream.id),
    state: text("state").$type<"proposed" | "kept" | "brushed off">().notNull(),
    taskId: uuid("task_id").references((): AnyPgColumn => task.id),
    /** What keeping it does to a task that is here already, and to which; null where it makes one. */
    change: text("change").$type<ChangeKind>(),
    changesTaskId: uuid("changes_task_id").references((): AnyPgColumn => task.id),
    madeBy: text("made_by").$type<"reader" | "person">().notNull(),
    reason: text("reason").notNull(),
    /** The rule of the reader that found it, and its passage as it is known again; null for a person's own slip. */
    rule: text("rule"),
    phrase: text("phrase"),
    /** What was done with its conversation as a whole, where it was brushed off with that: an answered question was no wrong reading. */
    setAside: text("set_aside").$type<"nothing to do" | "answered" | "joined">(),
    /** What was done with it teaches the reader nothing any more. */
    isUnlearnt: boolean("is_unlearnt").notNull().default(false),
    /** The words of haste that its due was read from; for what day it was kept teaches what they mean, unless that is unlearnt. */
    haste: text("haste"),
    isHasteUnlearnt: boolean("is_haste_unlearnt").notNull().default(false),
    /** What the reader took the passage for, and which priority it read; null for a person's own slip. */
    readKind: text("read_kind").$type<"ask" | "question" | "promise" | "trouble">(),
    readPriority: text("read_priority").$type<"top" | "high" | "normal" | "low">(),
    /** What the passage was kept or brushed off as teaches nothing of how such passages are worded; the same for its priority. */
    isWordingUnlearnt: boolean("is_wording_unlearnt").notNull().default(false),
    isPriorityUnlearnt: boolean("is_priority_unlearnt").notNull().default(false),
    /** How sure the reader was, from 0 to 1; a person's own slip is sure. */
    confidence: real("confidence").notNull().default(1),
  },
  (t) => [
    index("slip_conversation").on(t.conversationId),
    index("slip_letter").on(t.letterId),
    index("slip_phrase").on(t.phrase),
    index("slip_example").on(t.id).where(sql`state <> 'proposed' and phrase is not null`),
    index("slip_haste").on(t.haste).where(sql`haste is not null`),
  ],
);

export const task = pgTable(
  "task",
  {
    id: uuid("id").primaryKey(),
    fruit: text("fruit").notNull(),
    number: integer("number").notNull().unique(),
    title: text("title").notNull(),
    /** A task of ours, or a wait: something somebody outside owes us. */
    side: text("side").$type<"ours" | "theirs">().notNull(),
    ownerId: uuid("owner_id").references(() => person.id),
    theirsId: uuid("theirs_id").references(() => correspondent.id),
    dueDay: date("due_day"),
    dueTime: text("due_time"),
    dueZone: text("due_zone"),
    /** The day from which on it can be begun. */
    startDay: date("start_day"),
    priority: text("priority").$type<"top" | "high" | "normal" | "low">().notNull(),
    /** How long the work takes, in minutes; null where nobody said. */
    estimate: integer("estimate"),
    state: text("state").$type<"to begin" | "under way" | "done" | "called off">().notNull(),
    projectId: uuid("project_id").references(() => project.id),
    workstreamId: uuid("workstream_id").references(() => workstream.id),
    conversationId: uuid("conversation_id").references(() => conversation.id),
    letterId: uuid("letter_id").references(() => letter.id),
    start: integer("start"),
    end: integer("end"),
    kind: text("kind").$type<"ask" | "question" | "promise" | "trouble">(),
    /** The letter of ours that it was kept with, until that has gone out and is `letterId`. */
    outgoingId: uuid("outgoing_id"),
    /** Who gave it to whom, and what they answered. */
    chain: jsonb("chain").$type<Chain>().notNull().default([]),
    /** How it repeats, and the first day of the series from which that counts; null where it does not. */
    repeats: text("repeats"),
    repeatsFrom: date("repeats_from"),
    /** Its checklist, in order. */
    steps: jsonb("steps").$type<readonly Step[]>().notNull().default([]),
    /** Tasks that ask several people for the same thing bear the same id here. */
    togetherId: uuid("together_id"),
    /** How far it is by its owner's own word, in per cent; null where nobody said. */
    percent: integer("percent"),
    /** A wait of the same house without which it cannot go on. */
    heldById: uuid("held_by_id").references((): AnyPgColumn => task.id, { onDelete: "set null" }),
    /** Letters that chase it without anybody's doing; null where there are none planned. */
    chasePlan: jsonb("chase_plan").$type<ChasePlan>(),
    /** Why it may not make its date; null as long as nobody doubts it. */
    doubt: text("doubt"),
    /** Put by: out of the lists until then; on the shelf, which has no day, a far one. */
    putUntil: instant("put_until"),
    /** When it came back from being put by. */
    returnedAt: instant("returned_at"),
    /** The last word from whoever has it: silence counts from here. */
    heardAt: instant("heard_at").notNull().defaultNow(),
    createdAt: instant("created_at").notNull(),
    createdBy: uuid("created_by")
      .notNull()
      .references(() => person.id),
    changedAt: instant("changed_at").notNull(),
    finishedAt: instant("finished_at"),
    /** Who may add to it by writing to its address. */
    mayWrite: text("may_write").$type<MayWrite>().notNull().default("people we know"),
    search: searchWords("search"),
  },
  (t) => [
    // Undated tasks come last: written so that a page begins where the one before ended, along the index.
    index("task_open_due")
      .on(sql`coalesce(due_day, '9999-12-31'::date)`, sql`coalesce(due_time, '99:99')`, t.number)
      .where(sql`state in ('to begin', 'under way')`),
    index("task_owner_open_due")
      .on(t.ownerId, sql`coalesce(due_day, '9999-12-31'::date)`, sql`coalesce(due_time, '99:99')`, t.number)
      .where(sql`state in ('to begin', 'under way')`),
    index("task_finished").on(t.finishedAt),
    index("task_conversation").on(t.conversationId),
    index("task_project").on(t.projectId),
    index("task_theirs").on(t.theirsId),
    index("task_search").using("gin", t.search),
    // What is waited for, the longest silence first.
    index("task_waited")
      .on(t.heardAt, t.number)
      .where(sql`state in ('to begin', 'under way') and (side = 'theirs' or chain <> '[]'::jsonb)`),
    index("task_together").on(t.togetherId),
    index("task_put_by").on(t.putUntil),
    index("task_held_by").on(t.heldById),
    index("task_start").on(t.startDay),
    index("task_chase_plan").on(t.number).where(sql`chase_plan is not null`),
    check("task_side", sql`(${t.side} = 'ours' and ${t.theirsId} is null) or ${t.side} = 'theirs'`),
  ],
);
