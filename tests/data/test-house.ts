import crypto from "node:crypto";
import fs from "node:fs";
import os from "node:os";
import path from "node:path";
import pg from "pg";
import { addPerson, makeOrganisation } from "@/acts/set-up";
import { wayInNamed } from "@/acts/ways-in";
import type { Database } from "@/data/engine/database";
import { type OpenDatabase, openDatabase } from "@/data/engine/database";
import { copyEmpty, EMPTY_POSTGRES } from "../empty-databases";

/** The databases that the data tests run on: PGlite always, PostgreSQL where the test run has started one. */
export const ENGINES: readonly ("PGlite" | "PostgreSQL")[] = process.env.JAM_TEST_POSTGRES
  ? ["PGlite", "PostgreSQL"]
  : ["PGlite"];

/** Tuesday 24 November 2026, 11:20 in London. */
export const NOW = Date.parse("2026-11-24T11:20:00Z");

export interface TestHouse {
  readonly db: Database;
  readonly open: OpenDatabase;
  readonly ines: string;
  readonly suki: string;
  readonly shared: string;
  close(): Promise<void>;
}

/** An empty database of its own with an organisation and two people. */
export async function testHouse(engine: "PGlite" | "PostgreSQL"): Promise<TestHouse> {
  const name = `jam_${crypto.randomBytes(6).toString("hex")}`;
  const folder = path.join(os.tmpdir(), name);
  const base = process.env.JAM_TEST_POSTGRES ?? "";
  const admin = async (query: string) => {
    const client = new pg.Client({ connectionString: base });
    await client.connect();
    await client.query(query);
    await client.end();
  };
  if (engine === "PostgreSQL") await admin(`create database ${name} template ${EMPTY_POSTGRES}`);
  else copyEmpty(folder);
  const open = await openDatabase({
    url: engine === "PostgreSQL" ? base.replace("/postgres?", `/${name}?`) : null,
    folder,
    what: "a test",
    mayShare: false,
  });
  const { db } = open;
  await makeOrganisation(db, { name: "Test", zone: "Europe/London", isDemo: false }, NOW);
  const ines = await addPerson(db, { name: "Ines Valdarno", address: "ines@house.example" });
  const suki = await addPerson(db, { name: "Suki Aldane", address: "suki@house.example" });
  return {
    db,
    open,
    ines: ines!,
    suki: suki!,
    shared: await wayInNamed(db, "shared", "mailbox", null),
    async close() {
      await open.close();
      if (engine === "PostgreSQL") await admin(`drop database ${name} with (force)`);
      fs.rmSync(folder, { recursive: true, force: true });
    },
  };
}

let count = 0;

/** A raw letter to Ines; each has a Message-ID of its own unless one is given. */
export function rawLetter(
  more: { from?: string; subject?: string; body?: string; id?: string; refs?: string; date?: string } = {},
): Uint8Array {
  count += 1;
  const lines = [
    `From: ${more.from ?? "Colm Hartnell <colm@council.example>"}`,
    "To: Ines Valdarno <ines@house.example>",
    `Subject: ${more.subject ?? "Swings"}`,
    `Message-ID: <${more.id ?? `m${count}@council.example`}>`,
    `Date: ${more.date ?? "Tue, 24 Nov 2026 08:12:00 +0000"}`,
    ...(more.refs ? [`In-Reply-To: <${more.refs}>`, `References: <${more.refs}>`] : []),
    "Content-Type: text/plain; charset=utf-8",
    "",
    more.body ?? "Hi Ines,\n\nCould Suki send us the drawing by Friday? Please bring the hats on Thursday.\n\nColm",
  ];
  return new TextEncoder().encode(lines.join("\r\n"));
}
