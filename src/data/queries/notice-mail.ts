import { sql } from "drizzle-orm";
import type { NoticeMail } from "../../core/hearing/heard";
import type { Database } from "../engine/database";
import type { Viewer } from "../need-to-know";
import { rowsOf } from "../rows";

/** How somebody's notices come by mail, and the wall times of their digest. */
export interface NoticeMailSettings {
  readonly mail: NoticeMail;
  readonly times: readonly string[];
}

export async function noticeMailOf(db: Database, viewer: Viewer): Promise<NoticeMailSettings> {
  const [row] = await rowsOf<NoticeMailSettings>(
    db,
    sql`select notice_mail as mail, digest_times as times from person where id = ${viewer.personId}`,
  );
  return row!;
}

/** Sets both. What somebody did not want by mail until now does not follow once they want it. */
export async function setNoticeMail(db: Database, viewer: Viewer, { mail, times }: NoticeMailSettings): Promise<void> {
  await db.execute(
    sql`update notice n set mailed_at = now() from person p where p.id = n.person_id and p.id = ${viewer.personId} and p.notice_mail = 'never' and n.mailed_at is null`,
  );
  const sorted = JSON.stringify([...new Set(times)].sort());
  await db.execute(
    sql`update person set notice_mail = ${mail}, digest_times = ${sorted}::jsonb where id = ${viewer.personId}`,
  );
}
