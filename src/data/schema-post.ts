import {
  bigint,
  boolean,
  customType,
  date,
  index,
  integer,
  jsonb,
  pgTable,
  primaryKey,
  text,
  timestamp,
  uuid,
} from "drizzle-orm/pg-core";
import type { Correspondent } from "../core/letters/letter";
import type { OutgoingState } from "../core/letters/outgoing";
import { conversation, letter, person, task, wayIn } from "./schema";

const bytes = customType<{ data: Buffer }>({ dataType: () => "bytea" });
const instant = (name: string) => timestamp(name, { withTimezone: true });

/**
 * A letter of ours on its way out: written in the act's own transaction, sent by the worker. Its Message-ID is fixed before
 * the first try, so that a letter that goes out twice can be known as one.
 */
export const outgoing = pgTable(
  "outgoing",
  {
    id: uuid("id").primaryKey(),
    messageId: text("message_id").notNull().unique(),
    personId: uuid("person_id")
      .notNull()
      .references(() => person.id),
    conversationId: uuid("conversation_id").references(() => conversation.id),
    taskId: uuid("task_id").references(() => task.id),
    fromName: text("from_name").notNull(),
    fromAddress: text("from_address").notNull(),
    to: jsonb("to").$type<Correspondent[]>().notNull(),
    cc: jsonb("cc").$type<Correspondent[]>().notNull(),
    subject: text("subject").notNull(),
    text: text("text").notNull(),
    /** Files that go along, by their ids. */
    files: jsonb("files").$type<string[]>().notNull().default([]),
    /** Message-IDs for In-Reply-To and References (RFC 5322 section 3.6.4). */
    answers: text("answers"),
    references: jsonb("references").$type<string[]>().notNull(),
    createdAt: instant("created_at").notNull(),
    state: text("state").$type<OutgoingState>().notNull(),
    tries: integer("tries").notNull(),
    /** When it may be tried next: at first, when it can no longer be taken back. */
    nextTry: instant("next_try").notNull(),
    /** What the server said last, or why nothing could be sent. */
    said: text("said"),
    /** The message itself was begun to be handed over at the try under way: from then on it may have gone out. */
    handedOver: boolean("handed_over").notNull().default(false),
    /** The server's answer was lost once: it may have gone out twice. */
    maybeTwice: boolean("maybe_twice").notNull(),
    sentAt: instant("sent_at"),
    letterId: uuid("letter_id").references(() => letter.id),
    /** It asks once more for what is owed. */
    isChase: boolean("is_chase").notNull().default(false),
    /** Written by the house itself (RFC 3834): never answered by a machine, and in no list of letters. */
    isAutomatic: boolean("is_automatic").notNull().default(false),
    /** A calendar object that goes along (RFC 6047), for programs that know it. */
    calendar: text("calendar"),
    /** Where an answer goes, where that is not the sender. */
    replyTo: text("reply_to"),
  },
  (t) => [
    index("outgoing_next").on(t.state, t.nextTry),
    index("outgoing_conversation").on(t.conversationId),
    index("outgoing_person").on(t.personId, t.createdAt),
  ],
);

/** What somebody is writing and has not sent: it survives a reload, a crash and another machine. */
export const draft = pgTable(
  "draft",
  {
    personId: uuid("person_id")
      .notNull()
      .references(() => person.id),
    /** What it is about: "conversation <id>", "task <id>", "new <id>". */
    about: text("about").notNull(),
    values: jsonb("values").$type<Record<string, unknown>>().notNull(),
    changedAt: instant("changed_at").notNull(),
  },
  (t) => [primaryKey({ columns: [t.personId, t.about] })],
);

/** A file that somebody has put to a letter being written. */
export const draftFile = pgTable("draft_file", {
  id: uuid("id").primaryKey(),
  personId: uuid("person_id")
    .notNull()
    .references(() => person.id),
  name: text("name").notNull(),
  type: text("type").notNull(),
  size: integer("size").notNull(),
  bytes: bytes("bytes").notNull(),
  madeAt: instant("made_at").notNull(),
});

/** A mailbox on an IMAP server that is read: how to reach it, what of it is read, and what is changed there. */
export const mailbox = pgTable("mailbox", {
  id: uuid("id").primaryKey(),
  wayInId: uuid("way_in_id")
    .notNull()
    .unique()
    .references(() => wayIn.id),
  host: text("host").notNull(),
  port: integer("port").notNull(),
  security: text("security").$type<"tls" | "starttls" | "none">().notNull(),
  userName: text("user_name").notNull(),
  /** The password, encrypted with a key that is kept outside the database. */
  secret: text("secret").notNull(),
  folder: text("folder").notNull(),
  sentFolder: text("sent_folder"),
  /** Letters before this day are left where they are. */
  since: date("since"),
  /** Only letters that carry this mark (an IMAP keyword or flag) are read. */
  mark: text("mark"),
  onDealt: text("on_dealt").$type<"nothing" | "mark read" | "move">().notNull(),
  moveTo: text("move_to"),
  isRevoked: boolean("is_revoked").notNull().default(false),
  /** Which server reads it, and until when it has promised to (by the database's clock): never two at once. */
  readBy: text("read_by"),
  readUntil: instant("read_until"),
  madeBy: uuid("made_by")
    .notNull()
    .references(() => person.id),
  madeAt: instant("made_at").notNull(),
});

/** How far a folder of a mailbox has been read. */
export const mailboxFolder = pgTable(
  "mailbox_folder",
  {
    mailboxId: uuid("mailbox_id")
      .notNull()
      .references(() => mailbox.id),
    folder: text("folder").notNull(),
    uidValidity: text("uid_validity"),
    lastUid: bigint("last_uid", { mode: "number" }).notNull().default(0),
    /** Letters that lie there and are still to be read. */
    behind: integer("behind").notNull().default(0),
    readAt: instant("read_at"),
    failures: integer("failures").notNull().default(0),
    /** What went wrong last, in words; null while all is well. */
    says: text("says"),
  },
  (t) => [primaryKey({ columns: [t.mailboxId, t.folder] })],
);
