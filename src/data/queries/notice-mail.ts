import { sql } from "drizzle-orm";
import type { NoticeMail } from "../../core/hearing/heard";
import type { HearingWishes } from "../../core/hearing/wishes";
import type { Database } from "../engine/database";
import { maySeeProject, type Viewer } from "../need-to-know";
import { rowsOf } from "../rows";
import type { HearingSettings } from "./hearing";

/** How somebody's notices come by mail, the wall times of their rounds and digest, what they want otherwise, and when it is quiet. */
export interface NoticeMailSettings extends HearingSettings {
  readonly mail: NoticeMail;
  readonly times: readonly string[];
}

export async function noticeMailOf(db: Database, viewer: Viewer): Promise<NoticeMailSettings> {
  const [row] = await rowsOf<NoticeMailSettings>(
    db,
    sql`select notice_mail as mail, digest_times as times, hearing as wishes, quiet_from as "quietFrom", quiet_until as "quietUntil" from person where id = ${viewer.personId}`,
  );
  return row!;
}

/** Sets all of it. What somebody did not want by mail until now does not follow once they want it. */
export async function setNoticeMail(
  db: Database,
  viewer: Viewer,
  {
    mail,
    times,
    wishes,
    quietFrom,
    quietUntil,
  }: Partial<HearingSettings> & Omit<NoticeMailSettings, keyof HearingSettings>,
): Promise<void> {
  await db.execute(
    sql`update notice n set mailed_at = now() from person p where p.id = n.person_id and p.id = ${viewer.personId} and p.notice_mail = 'never' and n.mailed_at is null`,
  );
  const sorted = JSON.stringify([...new Set(times)].sort());
  const kept: HearingWishes = wishes ?? {};
  await db.execute(
    sql`update person set notice_mail = ${mail}, digest_times = ${sorted}::jsonb, hearing = ${JSON.stringify(kept)}::jsonb, quiet_from = ${quietFrom ?? null}, quiet_until = ${quietUntil ?? null} where id = ${viewer.personId}`,
  );
}

/** A project, or a workstream of one, on whose every task somebody is kept posted. */
export interface PostedPlace {
  readonly projectId: string;
  readonly workstreamId: string | null;
  readonly name: string;
}

export function postedPlaces(db: Database, viewer: Viewer): Promise<PostedPlace[]> {
  return rowsOf<PostedPlace>(
    db,
    sql`select a.project_id as "projectId", a.workstream_id as "workstreamId", p.name || coalesce(', ' || w.name, '') as name
      from posted_at a join project p on p.id = a.project_id left join workstream w on w.id = a.workstream_id
      where a.person_id = ${viewer.personId} and ${maySeeProject(viewer)} order by 3`,
  );
}
