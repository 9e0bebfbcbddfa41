import { headers } from "next/headers";
import { z } from "zod";
import { signIn } from "@/acts/sign-in";
import { sharedDatabase } from "@/data/engine/shared-database";
import { team, theOrganisation } from "@/data/queries/people";
import { DEMO_PASSWORD } from "@/postroom/demo-password";
import { sayNo } from "../../_server/reply";

export const dynamic = "force-dynamic";

/** Signs in as one of the demo's people with one click. Does nothing in a house that is not the demo. */
export async function POST(request: Request): Promise<Response> {
  const { db } = await sharedDatabase();
  if (!(await theOrganisation(db))?.isDemo) return sayNo(404, "This is not the demo.");
  const parsed = z.object({ personId: z.uuid() }).safeParse(await request.json().catch(() => null));
  const person = parsed.success ? (await team(db)).find((one) => one.id === parsed.data.personId) : undefined;
  if (!person) return sayNo(404, "Nobody of this name works here.");
  return (await signIn(db)).api.signInEmail({
    body: { email: person.address, password: DEMO_PASSWORD },
    headers: await headers(),
    asResponse: true,
  });
}
