import { bigint, bigserial, index, integer, jsonb, pgTable, text, timestamp, uuid } from "drizzle-orm/pg-core";
import type { Change } from "../core/tasks/outcome";
import type { CommentKind } from "../core/tasks/task";
import { person, task } from "./schema";

/** What happened: append-only. One entry an act, with every row it changed, before and after. */
export const history = pgTable(
  "history",
  {
    seq: bigserial("seq", { mode: "number" }).primaryKey(),
    id: uuid("id").notNull().unique(),
    act: text("act").notNull(),
    personId: uuid("person_id")
      .notNull()
      .references(() => person.id),
    /** Whom they did it for, whose work they cover. */
    forId: uuid("for_id").references(() => person.id),
    at: timestamp("at", { withTimezone: true }).notNull(),
    changes: jsonb("changes").$type<Change[]>().notNull(),
    /** Ids of the tasks and conversations it touched, for "what happened" and for open screens. */
    about: jsonb("about").$type<string[]>().notNull(),
    /** The entry that this one takes back. */
    undoes: bigint("undoes", { mode: "number" }),
    /** The caller's key: an act that arrives twice happens once. */
    key: text("key").unique(),
  },
  (t) => [
    index("history_about").using("gin", t.about),
    index("history_person").on(t.personId, t.seq),
    index("history_undoes").on(t.undoes),
  ],
);

/** Numbers of references, handed out one after the other; one row. */
export const referenceCounter = pgTable("reference_counter", {
  id: integer("id").primaryKey(),
  last: integer("last").notNull(),
});

/** Letters that came since, told to open screens of every process: one row, raised at each intake. */
export const intake = pgTable("intake", {
  id: integer("id").primaryKey(),
  count: integer("count").notNull(),
});

/** What people say of a task. */
export const comment = pgTable(
  "comment",
  {
    id: uuid("id").primaryKey(),
    taskId: uuid("task_id")
      .notNull()
      .references(() => task.id, { onDelete: "cascade" }),
    personId: uuid("person_id")
      .notNull()
      .references(() => person.id),
    text: text("text").notNull(),
    /** A note, a call that was made, or what an owner asks back. */
    kind: text("kind").$type<CommentKind>().notNull().default("note"),
    at: timestamp("at", { withTimezone: true }).notNull(),
  },
  (t) => [index("comment_task").on(t.taskId, t.at)],
);
