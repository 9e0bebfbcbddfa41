import { sql } from "drizzle-orm";
import type { Correspondent } from "../core/letters/letter";
import type { Database } from "../data/engine/database";
import type { Viewer } from "../data/need-to-know";
import { rowsOf } from "../data/rows";

/** Domains whose addresses are ours, from JAM_DOMAIN; lower case. */
export function ourDomains(env: NodeJS.ProcessEnv = process.env): string[] {
  return (env.JAM_DOMAIN ?? "")
    .split(",")
    .map((domain) => domain.trim().toLowerCase())
    .filter((domain) => domain !== "");
}

/**
 * Addresses that somebody may write from: the shared ones of ours that a letter was written to, so that an answer comes
 * from where it was asked, and their own.
 */
export async function addressesFor(db: Database, viewer: Viewer, answersId: string | null): Promise<Correspondent[]> {
  const [me] = await rowsOf<Correspondent>(db, sql`select name, address from person where id = ${viewer.personId}`);
  if (!me) return [];
  const domains = ourDomains();
  const written =
    answersId === null || domains.length === 0
      ? []
      : await rowsOf<{ address: string }>(
          db,
          sql`select distinct who->>'address' as address from letter l cross join lateral jsonb_array_elements(l."to" || l.cc) who
            where l.id = ${answersId} and not exists (select 1 from person p where p.address = who->>'address')`,
        );
  const shared = written.filter(({ address }) => domains.includes(address.split("@").at(-1) ?? ""));
  return [me, ...shared.map(({ address }) => ({ name: me.name, address }))];
}
