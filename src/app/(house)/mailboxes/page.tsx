import type { Metadata } from "next";
import { mailboxesFor } from "@/data/queries/mailboxes";
import { MailboxesScreen } from "@/screens/mailboxes/mailboxes-screen";
import { viewerOrSignIn } from "../../_server/viewer";

export const metadata: Metadata = { title: "Mailboxes" };

export default async function MailboxesPage() {
  const { db, personId } = await viewerOrSignIn("/mailboxes");
  return <MailboxesScreen first={await mailboxesFor(db, { personId })} />;
}
