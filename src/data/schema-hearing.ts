import { sql } from "drizzle-orm";
import { boolean, index, integer, pgTable, text, timestamp, uniqueIndex, uuid } from "drizzle-orm/pg-core";
import type { Happening, Loudness, Why } from "../core/hearing/heard";
import { person, project, task, workstream } from "./schema";

const instant = (name: string) => timestamp(name, { withTimezone: true });

/** Somebody who hears of a task without owning it or having given it; or who does not want to hear of it. */
export const posted = pgTable(
  "posted",
  {
    id: uuid("id").primaryKey(),
    taskId: uuid("task_id")
      .notNull()
      .references(() => task.id, { onDelete: "cascade" }),
    personId: uuid("person_id")
      .notNull()
      .references(() => person.id),
    hears: boolean("hears").notNull(),
  },
  (t) => [uniqueIndex("posted_task").on(t.taskId, t.personId)],
);

/** Somebody who hears of every task of a project, or of one workstream of it. */
export const postedAt = pgTable(
  "posted_at",
  {
    id: uuid("id").primaryKey(),
    projectId: uuid("project_id")
      .notNull()
      .references(() => project.id),
    workstreamId: uuid("workstream_id").references(() => workstream.id),
    personId: uuid("person_id")
      .notNull()
      .references(() => person.id),
  },
  (t) => [uniqueIndex("posted_at_once").on(t.projectId, sql`coalesce(workstream_id, project_id)`, t.personId)],
);

/** A time at which somebody wants to be reminded of a task, set by themselves. */
export const reminder = pgTable(
  "reminder",
  {
    id: uuid("id").primaryKey(),
    taskId: uuid("task_id")
      .notNull()
      .references(() => task.id, { onDelete: "cascade" }),
    personId: uuid("person_id")
      .notNull()
      .references(() => person.id),
    at: instant("at").notNull(),
  },
  (t) => [index("reminder_at").on(t.at), index("reminder_task").on(t.taskId)],
);

/** Up to which instant reminders (1) and digests (2) have been given; one row each. */
export const reminderClock = pgTable("reminder_clock", {
  id: integer("id").primaryKey(),
  upTo: instant("up_to").notNull(),
});

/** What somebody is told of a task, and why: once for each entry of the history. */
export const notice = pgTable(
  "notice",
  {
    id: uuid("id").primaryKey(),
    personId: uuid("person_id")
      .notNull()
      .references(() => person.id),
    taskId: uuid("task_id")
      .notNull()
      .references(() => task.id, { onDelete: "cascade" }),
    /** The history's entry that it tells of. */
    entryId: uuid("entry_id").notNull(),
    what: text("what").$type<Happening>().notNull(),
    why: text("why").$type<Why>().notNull(),
    /** Whose place they take, where they hear of it because they cover. */
    forId: uuid("for_id").references(() => person.id),
    loudness: text("loudness").$type<Loudness>().notNull(),
    /** What a reminder says; null where the history's entry says it. */
    words: text("words"),
    at: instant("at").notNull(),
    seenAt: instant("seen_at"),
    /** When it went out by mail. */
    mailedAt: instant("mailed_at"),
    /** By which the link in that letter answers to a hand-over; null where there is nothing to answer. */
    answerKey: text("answer_key").unique(),
  },
  (t) => [
    uniqueIndex("notice_once").on(t.entryId, t.taskId, t.personId),
    index("notice_person").on(t.personId, t.seenAt, t.at),
    index("notice_task").on(t.taskId),
    index("notice_unmailed").on(t.at).where(sql`mailed_at is null and seen_at is null`),
  ],
);
