import { sql } from "drizzle-orm";
import type { MailboxSettings } from "../../core/letters/ways";
import type { Database } from "../../data/engine/database";
import { rowsOf } from "../../data/rows";

/** A mailbox as the reader needs it. */
export interface MailboxRow extends MailboxSettings {
  readonly id: string;
  readonly wayInId: string;
  readonly secret: string;
  readonly folder: string;
  readonly sentFolder: string | null;
}

/** How far a folder has been read. */
export interface FolderState {
  readonly uidValidity: string | null;
  readonly lastUid: number;
}

/** Mailboxes that are read: all that are not revoked. */
export function mailboxesToRead(db: Database): Promise<MailboxRow[]> {
  return rowsOf<MailboxRow>(
    db,
    sql`select id, way_in_id as "wayInId", host, port, security, user_name as "userName", secret, folder, sent_folder as "sentFolder", since::text as since, mark,
      on_dealt as "onDealt", move_to as "moveTo" from mailbox where not is_revoked order by id`,
  );
}

/** Seconds for which a server has a mailbox to itself; it asks anew long before they are over. */
const HELD_SECONDS = 30;

/**
 * Takes a mailbox for this server, or keeps it: of several servers on one database one reads it, and another goes on when
 * that one has fallen silent. False while another has it.
 */
export async function holdMailbox(db: Database, id: string, server: string): Promise<boolean> {
  const rows = await rowsOf(
    db,
    sql`update mailbox set read_by = ${server}, read_until = now() + make_interval(secs => ${HELD_SECONDS})
      where id = ${id} and (read_by is null or read_by = ${server} or read_until < now()) returning id`,
  );
  return rows.length > 0;
}

/** Lets go of the mailboxes that this server has. */
export async function letMailboxesGo(db: Database, server: string): Promise<void> {
  await db.execute(sql`update mailbox set read_by = null, read_until = null where read_by = ${server}`);
}

export async function folderState(db: Database, mailboxId: string, folder: string): Promise<FolderState> {
  const [row] = await rowsOf<FolderState>(
    db,
    sql`select uid_validity as "uidValidity", last_uid::int as "lastUid" from mailbox_folder where mailbox_id = ${mailboxId} and folder = ${folder}`,
  );
  return row ?? { uidValidity: null, lastUid: 0 };
}

/** Notes how far a folder has been read, and that all is well. */
export async function noteRead(
  db: Database,
  mailboxId: string,
  folder: string,
  state: FolderState & { readonly behind: number; readonly at: number },
): Promise<void> {
  const at = new Date(state.at);
  await db.execute(
    sql`insert into mailbox_folder (mailbox_id, folder, uid_validity, last_uid, behind, read_at, failures, says)
      values (${mailboxId}, ${folder}, ${state.uidValidity}, ${state.lastUid}, ${state.behind}, ${at}, 0, null)
      on conflict (mailbox_id, folder) do update set uid_validity = excluded.uid_validity, last_uid = excluded.last_uid, behind = excluded.behind,
        read_at = excluded.read_at, failures = 0, says = null`,
  );
}

/** Notes in words that a folder could not be read; gives back how often in a row that has been. */
export async function noteFailure(db: Database, mailboxId: string, folder: string, says: string): Promise<number> {
  const [row] = await rowsOf<{ failures: number }>(
    db,
    sql`insert into mailbox_folder (mailbox_id, folder, failures, says) values (${mailboxId}, ${folder}, 1, ${says})
      on conflict (mailbox_id, folder) do update set failures = mailbox_folder.failures + 1, says = excluded.says returning failures`,
  );
  return row!.failures;
}
