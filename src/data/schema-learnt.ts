import { sql } from "drizzle-orm";
import { boolean, integer, pgTable, text, timestamp, uniqueIndex, uuid } from "drizzle-orm/pg-core";
import type { Priority, SlipKind } from "../core/reading/slip";
import type { Sense } from "../core/reading/weighing/sense";

/** What haste of a writer was kept as elsewhere, and brought in. `days` are working days from the day of sending, or, for words that leave the day open, the place among its days; null is no date. */
export const hasteBrought = pgTable(
  "haste_brought",
  {
    id: uuid("id").primaryKey(),
    writer: text("writer").notNull(),
    haste: text("haste").notNull(),
    days: integer("days"),
    kept: integer("kept").notNull(),
    isUnlearnt: boolean("is_unlearnt").notNull().default(false),
    broughtAt: timestamp("brought_at", { withTimezone: true }).notNull(),
  },
  (t) => [uniqueIndex("haste_brought_once").on(t.writer, t.haste, sql`coalesce(days, -1)`)],
);

/** Passages that were dealt with elsewhere, and brought in: what each was read as and by which rule, and what it is. */
export const exampleBrought = pgTable(
  "example_brought",
  {
    id: uuid("id").primaryKey(),
    writer: text("writer").notNull(),
    phrase: text("phrase").notNull(),
    read: text("read").$type<SlipKind>(),
    rule: text("rule"),
    sense: text("sense").$type<Sense>().notNull(),
    times: integer("times").notNull(),
    isUnlearnt: boolean("is_unlearnt").notNull().default(false),
    broughtAt: timestamp("brought_at", { withTimezone: true }).notNull(),
  },
  (t) => [
    uniqueIndex("example_brought_once").on(
      t.writer,
      t.phrase,
      sql`coalesce(read, '')`,
      sql`coalesce(rule, '')`,
      t.sense,
    ),
  ],
);

/** Which priority a writer's slips were kept as elsewhere, and brought in. */
export const priorityBrought = pgTable(
  "priority_brought",
  {
    id: uuid("id").primaryKey(),
    writer: text("writer").notNull(),
    read: text("read").$type<Priority>().notNull(),
    keptAs: text("kept_as").$type<Priority>().notNull(),
    kept: integer("kept").notNull(),
    isUnlearnt: boolean("is_unlearnt").notNull().default(false),
    broughtAt: timestamp("brought_at", { withTimezone: true }).notNull(),
  },
  (t) => [uniqueIndex("priority_brought_once").on(t.writer, t.read, t.keptAs)],
);

/** What was learnt elsewhere and brought in: beside what is counted from our own slips. */
export const lessonBrought = pgTable(
  "lesson_brought",
  {
    id: uuid("id").primaryKey(),
    writer: text("writer").notNull(),
    rule: text("rule"),
    phrase: text("phrase"),
    brushedOff: integer("brushed_off").notNull(),
    kept: integer("kept").notNull(),
    isMarked: boolean("is_marked").notNull(),
    isUnlearnt: boolean("is_unlearnt").notNull().default(false),
    broughtAt: timestamp("brought_at", { withTimezone: true }).notNull(),
  },
  (t) => [
    uniqueIndex("lesson_brought_once").on(t.writer, sql`coalesce(rule, '')`, sql`coalesce(phrase, '')`, t.isMarked),
  ],
);
