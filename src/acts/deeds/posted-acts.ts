import { sql } from "drizzle-orm";
import { z } from "zod";
import { invalid } from "../../core/tasks/outcome";
import { maySeeProject, maySeeTask } from "../../data/need-to-know";
import { rowsOf } from "../../data/rows";
import { define } from "../act";
import { areKnown, takeIds } from "../facts";
import { id } from "../inputs";
import { handFacts } from "./hand-acts";

/** Says whether somebody hears of a task: kept posted, or not this one; null as they would without saying so. */
export const keepPosted = define({
  name: "keep posted",
  input: z.object({ taskId: id, personId: id, hears: z.boolean().nullable() }),
  async load(db, actor, input) {
    const facts = await handFacts(db, actor, input.taskId);
    const [row] = await rowsOf<{ id: string }>(
      db,
      sql`select id from posted where task_id = ${input.taskId} and person_id = ${input.personId}`,
    );
    const [may] = await rowsOf<{ name: string; maySee: boolean }>(
      db,
      sql`select p.name, exists (select 1 from task t where t.id = ${input.taskId} and ${maySeeTask({ personId: input.personId })}) as "maySee" from person p where p.id = ${input.personId}`,
    );
    return facts && may ? { ...facts, postedId: row?.id ?? null, newId: takeIds(1)[0]!, ...may } : null;
  },
  decide(facts, input, _now, actor) {
    if (input.personId !== actor.personId && input.hears === false)
      return invalid(`Only ${facts.name} can say that they do not want to hear of it. Nothing was changed.`);
    if (input.hears && !facts.maySee)
      return invalid(
        `${facts.name} may not see ${facts.reference}: its project is private and they do not belong to it. Nothing was changed.`,
      );
    const { postedId } = facts;
    if (input.hears === null)
      return {
        ok: true,
        about: facts.about,
        writes: postedId ? [{ row: "posted", id: postedId, isNew: false, values: null }] : [],
      };
    return {
      ok: true,
      about: facts.about,
      writes: [
        {
          row: "posted",
          id: postedId ?? facts.newId,
          isNew: postedId === null,
          values: { taskId: input.taskId, personId: input.personId, hears: input.hears },
        },
      ],
    };
  },
});

/** Says that somebody hears of every task of a project, or of one workstream of it; or no longer. */
export const keepPostedAt = define({
  name: "keep posted at",
  input: z.object({ projectId: id, workstreamId: id.nullable(), personId: id, hears: z.boolean() }),
  async load(db, actor, input) {
    if (!(await areKnown(db, actor, input))) return null;
    const [row] = await rowsOf<{ id: string }>(
      db,
      sql`select id from posted_at where project_id = ${input.projectId} and person_id = ${input.personId} and workstream_id is not distinct from ${input.workstreamId}::uuid for update`,
    );
    const [may] = await rowsOf<{ name: string; project: string; maySee: boolean }>(
      db,
      sql`select o.name, p.name as project, ${maySeeProject({ personId: input.personId })} as "maySee" from person o, project p where o.id = ${input.personId} and p.id = ${input.projectId}`,
    );
    return may ? { ...may, postedId: row?.id ?? null, newId: takeIds(1)[0]! } : null;
  },
  decide(facts, input) {
    const { postedId } = facts;
    const about = [input.projectId];
    if (!input.hears)
      return {
        ok: true,
        about,
        writes: postedId ? [{ row: "postedAt", id: postedId, isNew: false, values: null }] : [],
      };
    if (!facts.maySee)
      return invalid(
        `${facts.name} may not see ${facts.project}: it is private and they do not belong to it. Nothing was changed.`,
      );
    if (postedId) return { ok: true, about, writes: [] };
    const { projectId, workstreamId, personId } = input;
    return {
      ok: true,
      about,
      writes: [{ row: "postedAt", id: facts.newId, isNew: true, values: { projectId, workstreamId, personId } }],
    };
  },
});
