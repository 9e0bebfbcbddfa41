import { sql } from "drizzle-orm";
import { z } from "zod";
import { isZone } from "../core/time/moment";
import { initialsOf } from "../core/views/initials";
import type { Database } from "../data/engine/database";
import { newId } from "../data/ids";
import { rowsOf } from "../data/rows";
import { organisation, person } from "../data/schema";
import { makeSignIn, SHORTEST_PASSWORD } from "./sign-in";

const address = z
  .email("This is no e-mail address.")
  .max(254)
  .transform((text) => text.toLowerCase());
const password = z
  .string()
  .min(SHORTEST_PASSWORD, `A password needs ${SHORTEST_PASSWORD} characters at least.`)
  .max(128, "A password may have 128 characters.");
const name = z.string().trim().min(1, "A name is needed.").max(120, "That name is too long.");

export const newPerson = z.object({
  name,
  address,
  work: z.string().trim().max(120).default(""),
  password: password.nullable().default(null),
  isLead: z.boolean().default(false),
  nicknames: z.array(z.string().max(40)).max(5).default([]),
});

export const firstSetUp = z.object({
  organisation: name,
  zone: z.string().refine(isZone, "This zone is not known. Write it like Europe/Dublin."),
  name,
  address,
  password,
});

/** Adds a member of the team; with a password they can sign in. Gives the id, or null where the address is taken. */
export async function addPerson(db: Database, input: z.input<typeof newPerson>): Promise<string | null> {
  const who = newPerson.parse(input);
  const [taken] = await rowsOf(db, sql`select 1 from person where address = ${who.address}`);
  if (taken) return null;
  const userId = who.password === null ? null : await makeSignIn(db, who.name, who.address, who.password);
  const id = newId();
  await db.insert(person).values({
    id,
    userId,
    name: who.name,
    address: who.address,
    initials: initialsOf(who.name),
    work: who.work,
    nicknames: who.nicknames,
    isLead: who.isLead,
  });
  // A colleague who wrote before they were added is one of us from now on; their letters stay as they are.
  return id;
}

/** Makes the organisation. */
export async function makeOrganisation(
  db: Database,
  input: { name: string; zone: string; isDemo: boolean },
  now: number,
): Promise<void> {
  await db.insert(organisation).values({
    id: newId(now),
    name: input.name,
    zone: input.zone,
    workingDays: [1, 2, 3, 4, 5],
    holidays: [],
    isDemo: input.isDemo,
    createdAt: new Date(now),
  });
}

/** Whether somebody has set this installation up. */
export async function isSetUp(db: Database): Promise<boolean> {
  return (await rowsOf(db, sql`select 1 from person limit 1`)).length > 0;
}

/** The first start: the organisation and its first member. Gives false where it has been set up meanwhile. */
export async function setUp(db: Database, input: z.infer<typeof firstSetUp>, now: number): Promise<boolean> {
  if (await isSetUp(db)) return false;
  await makeOrganisation(db, { name: input.organisation, zone: input.zone, isDemo: false }, now);
  return (
    (await addPerson(db, { name: input.name, address: input.address, password: input.password, isLead: true })) !== null
  );
}
