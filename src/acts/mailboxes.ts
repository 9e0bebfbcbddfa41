import { sql } from "drizzle-orm";
import type { MailboxSettings } from "../core/letters/ways";
import type { Database } from "../data/engine/database";
import { newId } from "../data/ids";
import type { Viewer } from "../data/need-to-know";
import { rowsOf } from "../data/rows";
import { wayIn } from "../data/schema";
import { mailbox } from "../data/schema-post";
import { tellScreens } from "./tell-screens";

/** A mailbox as somebody sets it up; the password is sealed already. */
export interface NewMailbox extends MailboxSettings {
  readonly name: string;
  readonly isPersonal: boolean;
  readonly secret: string;
  readonly folder: string;
  readonly sentFolder: string | null;
}

/** Adds a mailbox to be read; false where there is a way in of this name already. */
export async function addMailbox(db: Database, viewer: Viewer, wanted: NewMailbox, now: number): Promise<boolean> {
  const { name, isPersonal, ...rest } = wanted;
  return db.transaction(async (tx) => {
    const wayInId = newId(now);
    const made = await tx
      .insert(wayIn)
      .values({ id: wayInId, name, kind: "mailbox", ownerId: isPersonal ? viewer.personId : null })
      .onConflictDoNothing()
      .returning({ id: wayIn.id });
    if (made.length === 0) return false;
    await tx
      .insert(mailbox)
      .values({ id: newId(now), wayInId, ...rest, madeBy: viewer.personId, madeAt: new Date(now) });
    return true;
  });
}

/** Stops reading a mailbox and forgets its password; its letters stay. False where it is not this person's to revoke. */
export async function revokeMailbox(db: Database, viewer: Viewer, id: string): Promise<boolean> {
  const rows = await rowsOf(
    db,
    sql`update mailbox m set is_revoked = true, secret = '' from way_in w where m.id = ${id} and w.id = m.way_in_id and not m.is_revoked
      and (m.made_by = ${viewer.personId} or w.owner_id = ${viewer.personId} or exists (select 1 from person p where p.id = ${viewer.personId} and p.is_lead)) returning m.id`,
  );
  if (rows.length > 0) {
    // The name is free again for a new connection to the same mailbox.
    await db.execute(
      sql`update way_in set name = name || ' (until ' || to_char(now(), 'YYYY-MM-DD HH24:MI:SS') || ')' where id = (select way_in_id from mailbox where id = ${id})`,
    );
    tellScreens();
  }
  return rows.length > 0;
}
