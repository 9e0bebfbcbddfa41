import { sql } from "drizzle-orm";
import { workstreamAddress } from "../../core/sorting/addresses";
import type { MailboxView, WorkstreamAddress } from "../../core/views/mailbox-view";
import type { Database } from "../engine/database";
import { maySeeProject, type Viewer } from "../need-to-know";
import { type InstantText, millisOrNull, rowsOf } from "../rows";

/** Addresses of the workstreams that a viewer may see, where a domain of ours is set. */
export async function workstreamAddresses(
  db: Database,
  viewer: Viewer,
  domain: string | null,
): Promise<WorkstreamAddress[]> {
  if (domain === null) return [];
  const rows = await rowsOf<Omit<WorkstreamAddress, "address">>(
    db,
    sql`select w.id, w.name, p.name as project, w.may_write as "mayWrite" from workstream w join project p on p.id = w.project_id where ${maySeeProject(viewer)} order by p.name, w.place`,
  );
  return rows.map((row) => ({ ...row, address: workstreamAddress(row.project, row.name, domain) }));
}

/** Mailboxes that a viewer may know of: the shared ones and their own. */
export async function mailboxesFor(db: Database, viewer: Viewer): Promise<MailboxView[]> {
  const rows = await rowsOf<
    Omit<MailboxView, "folders"> & {
      folders: (Omit<MailboxView["folders"][number], "readAt"> & { readAt: InstantText | null })[] | null;
    }
  >(
    db,
    sql`select m.id, w.name, (w.owner_id is not null) as "isPersonal", m.host, m.port, m.security, m.user_name as "userName", m.since::text as since, m.mark, m.on_dealt as "onDealt",
        m.move_to as "moveTo", (m.made_by = ${viewer.personId} or w.owner_id = ${viewer.personId} or exists (select 1 from person p where p.id = ${viewer.personId} and p.is_lead)) as "mayRevoke",
        (select name from person where id = m.made_by) as "madeBy",
        (select jsonb_agg(jsonb_build_object('folder', f.folder, 'behind', f.behind, 'readAt', f.read_at, 'says', f.says) order by f.folder <> m.folder, f.folder) from mailbox_folder f where f.mailbox_id = m.id) as folders
      from mailbox m join way_in w on w.id = m.way_in_id where not m.is_revoked and (w.owner_id is null or w.owner_id = ${viewer.personId}) order by w.name`,
  );
  return rows.map((row) => ({
    ...row,
    folders: (row.folders ?? []).map((folder) => ({ ...folder, readAt: millisOrNull(folder.readAt) })),
  }));
}
