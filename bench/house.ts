import fs from "node:fs";
import os from "node:os";
import path from "node:path";
import { addPerson, makeOrganisation } from "../src/acts/set-up";
import { wayInNamed } from "../src/acts/ways-in";
import { type OpenDatabase, openDatabase } from "../src/data/engine/database";

/** A house for measuring: a folder of its own, one organisation, one person who can sign in. */
export interface BenchHouse {
  readonly open: OpenDatabase;
  readonly folder: string;
  readonly personId: string;
  readonly wayInId: string;
  remove(): Promise<void>;
}

export const BENCH_SIGN_IN = { email: "ines@bench.example", password: "bench-jam-2026" };

export async function benchHouse(): Promise<BenchHouse> {
  const folder = fs.mkdtempSync(path.join(os.tmpdir(), "jam-bench-"));
  const open = await openDatabase({ url: null, folder, what: "a bench", mayShare: false });
  await makeOrganisation(open.db, { name: "Bench", zone: "Europe/London", isDemo: false }, Date.now());
  const personId = await addPerson(open.db, {
    name: "Ines Valdarno",
    address: BENCH_SIGN_IN.email,
    password: BENCH_SIGN_IN.password,
  });
  const wayInId = await wayInNamed(open.db, "bench", "mailbox", null);
  return {
    open,
    folder,
    personId: personId!,
    wayInId,
    async remove() {
      await open.close();
      fs.rmSync(folder, { recursive: true, force: true });
    },
  };
}
