import { z } from "zod";
import type { TasksLook } from "@/data/queries/tasks";

const look = z.object({
  whose: z.enum(["everyone", "mine", "to me", "by me", "nobody", "theirs"]).catch("everyone"),
  personId: z.uuid().nullable().catch(null),
  projectId: z.uuid().nullable().catch(null),
  show: z.enum(["open", "done", "put by"]).catch("open"),
});

/** The look that an address names; what cannot be read falls back to everyone's open tasks. */
export function readLook(search: {
  whose?: string | null;
  person?: string | null;
  project?: string | null;
  show?: string | null;
}): TasksLook {
  return look.parse({ whose: search.whose, personId: search.person, projectId: search.project, show: search.show });
}
