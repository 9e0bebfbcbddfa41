import { signIn } from "@/acts/sign-in";
import { sharedDatabase } from "@/data/engine/shared-database";

export const dynamic = "force-dynamic";

async function answer(request: Request): Promise<Response> {
  const { db } = await sharedDatabase();
  return (await signIn(db)).handler(request);
}

export { answer as GET, answer as POST };
