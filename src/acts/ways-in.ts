import { sql } from "drizzle-orm";
import type { Database } from "../data/engine/database";
import { newId } from "../data/ids";
import { rowsOf } from "../data/rows";
import { wayIn } from "../data/schema";

/** The way in of this name, made when it is new. Personal where it has an owner: then its letters are theirs alone. */
export async function wayInNamed(
  db: Database,
  name: string,
  kind: "import" | "mailbox" | "address" | "written",
  ownerId: string | null,
): Promise<string> {
  await db.insert(wayIn).values({ id: newId(), name, kind, ownerId }).onConflictDoNothing();
  const [row] = await rowsOf<{ id: string; ownerId: string | null }>(
    db,
    sql`select id, owner_id as "ownerId" from way_in where name = ${name}`,
  );
  return row!.id;
}
