import type { Metadata } from "next";
import { redirect } from "next/navigation";
import { isSetUp } from "@/acts/set-up";
import { sharedDatabase } from "@/data/engine/shared-database";
import { team, theOrganisation } from "@/data/queries/people";
import { SignInScreen } from "@/screens/sign-in/sign-in-screen";
import { signedIn } from "../_server/viewer";

export const metadata: Metadata = { title: "Sign in" };
export const dynamic = "force-dynamic";

export default async function SignInPage({ searchParams }: { searchParams: Promise<{ then?: string }> }) {
  const { then = "/sort" } = await searchParams;
  // Only a path of our own: an address of another site would make the sign-in a stepping stone.
  const target = /^\/(?![/\\])/.test(then) ? then : "/sort";
  if (await signedIn()) redirect(target);
  const { db } = await sharedDatabase();
  if (!(await isSetUp(db))) redirect("/set-up");
  const organisation = await theOrganisation(db);
  return (
    <SignInScreen
      organisation={organisation?.name ?? ""}
      demoPeople={organisation?.isDemo ? await team(db) : []}
      then={target}
    />
  );
}
