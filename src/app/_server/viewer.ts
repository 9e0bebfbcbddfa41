import { headers } from "next/headers";
import { redirect } from "next/navigation";
import { isSetUp } from "@/acts/set-up";
import { signIn } from "@/acts/sign-in";
import type { HouseView } from "@/core/views/views";
import { isClockFrozen, now } from "@/data/clock";
import type { Database } from "@/data/engine/database";
import { sharedDatabase } from "@/data/engine/shared-database";
import { personOfUser, projectsFor, team, theOrganisation } from "@/data/queries/people";

/** Who is signed in, with the database they look into; null where nobody is. */
export async function signedIn(): Promise<{ db: Database; personId: string } | null> {
  const { db } = await sharedDatabase();
  const session = await (await signIn(db)).api.getSession({ headers: await headers() });
  const person = session ? await personOfUser(db, session.user.id) : null;
  return person ? { db, personId: person.id } : null;
}

/** The same for a page: leads to the sign-in, or to the first set-up of an empty house, and back to `then`. */
export async function viewerOrSignIn(then: string): Promise<{ db: Database; personId: string }> {
  const viewer = await signedIn();
  if (viewer) return viewer;
  const { db } = await sharedDatabase();
  redirect((await isSetUp(db)) ? `/sign-in?then=${encodeURIComponent(then)}` : "/set-up");
}

/** What every screen needs to know of the house. */
export async function houseFor(db: Database, personId: string): Promise<HouseView> {
  const [organisation, people, projects] = [
    await theOrganisation(db),
    await team(db),
    await projectsFor(db, { personId }),
  ];
  const me = people.find((person) => person.id === personId);
  if (!organisation || !me) throw new Error("The house is not set up.");
  const { name, ...rest } = organisation;
  return { ...rest, organisation: name, me, team: people, projects, now: now(), isClockFrozen: isClockFrozen() };
}
