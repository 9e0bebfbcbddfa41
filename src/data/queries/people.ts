import { sql } from "drizzle-orm";
import { PLAIN_WEEK, type WorkingCalendar } from "../../core/time/day";
import { initialsOf } from "../../core/views/initials";
import type { CorrespondentView, PersonView, ProjectView } from "../../core/views/views";
import type { Database } from "../engine/database";
import { maySeeCorrespondent, maySeeProject, type Viewer } from "../need-to-know";
import { rowsOf } from "../rows";

const PERSON = sql`p.id, p.name, p.initials, p.address, case when p.left_on is null then p.work else 'left on ' || to_char(p.left_on, 'FMDD FMMonth YYYY') end as work, p.nicknames, p.left_on::text as "leftOn",
  (select jsonb_build_object('backDay', a.back_day, 'coverId', a.cover_id) from away a where a.person_id = p.id and a.state = 'on' limit 1) as away`;

/** Everybody of the team, by name. */
export async function team(db: Database): Promise<PersonView[]> {
  return rowsOf<PersonView>(db, sql`select ${PERSON} from person p order by p.name`);
}

/** A member by their sign-in; null for a sign-in that belongs to nobody here. */
export async function personOfUser(db: Database, userId: string): Promise<(PersonView & { isLead: boolean }) | null> {
  const [row] = await rowsOf<PersonView & { isLead: boolean }>(
    db,
    sql`select ${PERSON}, p.is_lead as "isLead" from person p where p.user_id = ${userId} and p.left_on is null`,
  );
  return row ?? null;
}

/** The projects a viewer may see, with their workstreams. */
export async function projectsFor(db: Database, viewer: Viewer): Promise<ProjectView[]> {
  return rowsOf<ProjectView>(
    db,
    sql`select p.id, p.name, coalesce((select jsonb_agg(jsonb_build_object('id', w.id, 'name', w.name) order by w.place) from workstream w where w.project_id = p.id), '[]'::jsonb) as workstreams,
        case when p.is_private then (select coalesce(jsonb_agg(m.person_id), '[]'::jsonb) from project_member m where m.project_id = p.id) end as members
      from project p where ${maySeeProject(viewer)} order by p.name`,
  );
}

/** People outside by their ids. */
export async function correspondentsById(
  db: Database,
  ids: readonly string[],
): Promise<Map<string, CorrespondentView>> {
  if (ids.length === 0) return new Map();
  const rows = await rowsOf<{
    id: string;
    name: string;
    address: string;
    firm: string | null;
    awayUntil: string | null;
  }>(
    db,
    sql`select k.id, k.name, k.address, f.name as firm, k.away_until::text as "awayUntil" from correspondent k left join firm f on f.id = k.firm_id where k.id in ${[...new Set(ids)]}`,
  );
  return new Map(rows.map((row) => [row.id, { ...row, initials: initialsOf(row.name || row.address) }]));
}

/** People outside whom a viewer may write to by their name. */
export function knownOutside(db: Database, viewer: Viewer): Promise<{ id: string; name: string; address: string }[]> {
  return rowsOf<{ id: string; name: string; address: string }>(
    db,
    sql`select k.id, k.name, k.address from correspondent k where ${maySeeCorrespondent(viewer)} order by k.firm_id is null, k.name limit 400`,
  );
}

/** The organisation; null before it is set up. */
export async function theOrganisation(db: Database): Promise<{
  name: string;
  zone: string;
  workingDays: number[];
  holidays: string[];
  figures: "dmy" | "mdy";
  isDemo: boolean;
} | null> {
  const [row] = await rowsOf<{
    name: string;
    zone: string;
    workingDays: number[];
    holidays: string[];
    figures: "dmy" | "mdy";
    isDemo: boolean;
  }>(
    db,
    sql`select name, zone, working_days as "workingDays", holidays, figures, is_demo as "isDemo" from organisation limit 1`,
  );
  return row ?? null;
}

/** The days on which the organisation works. */
export async function calendarOf(db: Database): Promise<WorkingCalendar> {
  const organisation = await theOrganisation(db);
  return organisation ? { workingDays: organisation.workingDays, holidays: organisation.holidays } : PLAIN_WEEK;
}
