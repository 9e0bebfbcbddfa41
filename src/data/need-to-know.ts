import { type SQL, sql } from "drizzle-orm";

/** Who looks: every query about letters and tasks takes one. */
export interface Viewer {
  readonly personId: string;
}

/** A project that is not private, or that the viewer belongs to. `projectId` is the column that names it. */
function openProject(viewer: Viewer, projectId: SQL): SQL {
  return sql`(${projectId} is null
    or not exists (select 1 from project p where p.id = ${projectId} and p.is_private)
    or exists (select 1 from project_member m where m.project_id = ${projectId} and m.person_id = ${viewer.personId}))`;
}

/** Those who are away and let the viewer, who covers for them, read what comes to their own mailboxes. */
export function mailboxesCovered(viewer: Viewer): SQL {
  return sql`(select person_id from away where cover_id = ${viewer.personId} and state = 'on' and with_mailboxes)`;
}

/**
 * Conversations a viewer may see, `c` being the conversation: a letter of it came through a shared way in or the viewer's
 * own, or that of somebody who is away and shares it with them, or it was put on a project by hand or on a task that the viewer may see; and its project is open to them.
 */
export function maySeeConversation(viewer: Viewer): SQL {
  return sql`(${openProject(viewer, sql`c.project_id`)} and (
    exists (select 1 from letter vl join arrival va on va.letter_id = vl.id join way_in vw on vw.id = va.way_in_id
      where vl.conversation_id = c.id and (vw.owner_id is null or vw.owner_id = ${viewer.personId} or vw.owner_id in ${mailboxesCovered(viewer)}))
    or (c.is_shared and c.project_id is not null)
    or exists (select 1 from task vt where vt.conversation_id = c.id
      and (vt.owner_id = ${viewer.personId} or vt.created_by = ${viewer.personId} or ${openProject(viewer, sql`vt.project_id`)} or ${isInChain(viewer, sql`vt`)}))))`;
}

/** A task that has gone through the viewer's hands, `task` being its name in the query. */
function isInChain(viewer: Viewer, task: SQL): SQL {
  return sql`(${task}.chain <> '[]'::jsonb and (${task}.chain @> ${JSON.stringify([{ by: viewer.personId }])}::jsonb or ${task}.chain @> ${JSON.stringify([{ to: viewer.personId }])}::jsonb))`;
}

/** Tasks a viewer may see, `t` being the task: their own, those that went through their hands, and all of projects open to them. */
export function maySeeTask(viewer: Viewer): SQL {
  return sql`(t.owner_id = ${viewer.personId} or t.created_by = ${viewer.personId} or ${openProject(viewer, sql`t.project_id`)} or ${isInChain(viewer, sql`t`)})`;
}

/** Projects a viewer may see, `p` being the project. */
export function maySeeProject(viewer: Viewer): SQL {
  return sql`(not p.is_private or exists (select 1 from project_member m where m.project_id = p.id and m.person_id = ${viewer.personId}))`;
}

/**
 * People outside a viewer may see, `k` being the correspondent: those of a firm we work with, those whose letters the viewer
 * may see, and those who owe something on a task that they may see. Somebody who wrote to a personal mailbox alone is its owner's.
 */
export function maySeeCorrespondent(viewer: Viewer): SQL {
  return sql`(k.firm_id is not null
    or exists (select 1 from letter kl join conversation c on c.id = kl.conversation_id where kl.from_address = k.address and ${maySeeConversation(viewer)})
    or exists (select 1 from task t where t.theirs_id = k.id and ${maySeeTask(viewer)}))`;
}
