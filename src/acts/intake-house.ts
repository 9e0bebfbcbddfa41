import { sql } from "drizzle-orm";
import type { Person } from "../core/reading/slip";
import type { ProjectWords } from "../core/sorting/guess-project";
import type { WorkstreamWords } from "../core/sorting/guess-workstream";
import type { Database } from "../data/engine/database";
import { rowsOf } from "../data/rows";

/** What taking letters in needs to know of the house. */
export interface IntakeHouse {
  readonly zone: string;
  readonly calendar: { workingDays: number[]; holidays: string[] };
  readonly figures: "dmy" | "mdy";
  readonly team: readonly (Person & { personId: string })[];
  readonly projects: readonly ProjectWords[];
  readonly workstreams: readonly WorkstreamWords[];
}

/** The house as it is now. */
export async function intakeHouse(db: Database): Promise<IntakeHouse> {
  const [organisation] = await rowsOf<{
    zone: string;
    workingDays: number[];
    holidays: string[];
    figures: "dmy" | "mdy";
  }>(db, sql`select zone, working_days as "workingDays", holidays, figures from organisation limit 1`);
  const team = await rowsOf<{ id: string; name: string; address: string; nicknames: string[]; role: string }>(
    db,
    sql`select id, name, address, nicknames, work as role from person where left_on is null`,
  );
  const projects = await rowsOf<{ id: string; firmId: string | null; name: string; words: string[] }>(
    db,
    sql`select id, firm_id as "firmId", name, words from project`,
  );
  const workstreams = await rowsOf<WorkstreamWords>(
    db,
    sql`select id, project_id as "projectId", name from workstream`,
  );
  return {
    workstreams,
    zone: organisation?.zone ?? "UTC",
    calendar: { workingDays: organisation?.workingDays ?? [1, 2, 3, 4, 5], holidays: organisation?.holidays ?? [] },
    figures: organisation?.figures ?? "dmy",
    team: team.map((person) => ({ ...person, personId: person.id })),
    projects: projects.map(({ name, words, ...project }) => ({ ...project, words: [name, ...words] })),
  };
}
