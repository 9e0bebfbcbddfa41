import type { Metadata } from "next";
import { redirect } from "next/navigation";
import { isSetUp } from "@/acts/set-up";
import { sharedDatabase } from "@/data/engine/shared-database";
import { SetUpScreen } from "@/screens/sign-in/set-up-screen";

export const metadata: Metadata = { title: "Set up" };
export const dynamic = "force-dynamic";

export default async function SetUpPage() {
  const { db } = await sharedDatabase();
  if (await isSetUp(db)) redirect("/sign-in");
  return <SetUpScreen />;
}
