import type { Metadata } from "next";
import { ourDomains } from "@/acts/own-addresses";
import { readReference } from "@/core/tasks/reference";
import { taskSheet, tasksFigures, tasksPage } from "@/data/queries/tasks";
import { TasksScreen } from "@/screens/tasks/tasks-screen";
import { readLook } from "../../../_server/tasks-look";
import { viewerOrSignIn } from "../../../_server/viewer";

export const metadata: Metadata = { title: "Tasks" };

export default async function TasksPage({
  params,
  searchParams,
}: {
  params: Promise<{ slug?: string[] }>;
  searchParams: Promise<{ whose?: string; person?: string; project?: string; show?: string }>;
}) {
  const { db, personId } = await viewerOrSignIn("/tasks");
  const [slug] = (await params).slug ?? [];
  const look = readLook(await searchParams);
  const page = {
    ...(await tasksPage(db, { personId }, look, null)),
    figures: await tasksFigures(db, { personId }, look),
  };
  const number = slug ? readReference(slug) : null;
  const sheet = number === null ? null : await taskSheet(db, { personId }, number, ourDomains()[0] ?? null);
  return <TasksScreen key={JSON.stringify([look, slug])} look={look} first={page} slug={slug ?? null} sheet={sheet} />;
}
