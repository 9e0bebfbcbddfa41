import { sql } from "drizzle-orm";
import { boolean, date, index, integer, pgTable, text, timestamp, uuid } from "drizzle-orm/pg-core";
import type { AwayState } from "../core/days/away";
import { person } from "./schema";

const instant = (name: string) => timestamp(name, { withTimezone: true });

/** A time in which somebody of the team is not there, and who looks after their work. */
export const away = pgTable(
  "away",
  {
    id: uuid("id").primaryKey(),
    personId: uuid("person_id")
      .notNull()
      .references(() => person.id),
    /** The first day on which they are not there, and the day on which they are back; in their zone. */
    fromDay: date("from_day").notNull(),
    backDay: date("back_day").notNull(),
    coverId: uuid("cover_id").references(() => person.id),
    /** Whether who covers may read what comes to their own mailboxes meanwhile. */
    withMailboxes: boolean("with_mailboxes").notNull().default(false),
    state: text("state").$type<AwayState>().notNull(),
    madeAt: instant("made_at").notNull(),
    beganAt: instant("began_at"),
    endedAt: instant("ended_at"),
    /** When they were told what happened meanwhile, and when they had looked at it. */
    toldAt: instant("told_at"),
    /** When whoever covers was told that they do. */
    coverToldAt: instant("cover_told_at"),
    seenAt: instant("seen_at"),
  },
  (t) => [index("away_person").on(t.personId, t.state), index("away_cover").on(t.coverId).where(sql`state = 'on'`)],
);

/** A round that somebody finished, or a day that they closed: what came, what they dealt with, what was left. */
export const round = pgTable(
  "round",
  {
    id: uuid("id").primaryKey(),
    personId: uuid("person_id")
      .notNull()
      .references(() => person.id),
    what: text("what").$type<"round" | "day">().notNull(),
    began: instant("began").notNull(),
    endedAt: instant("ended_at").notNull(),
    came: integer("came").notNull(),
    dealt: integer("dealt").notNull(),
    left: integer("left").notNull(),
    minutes: integer("minutes").notNull(),
  },
  (t) => [index("round_person").on(t.personId, t.endedAt)],
);
