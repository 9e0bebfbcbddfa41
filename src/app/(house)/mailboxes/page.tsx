import type { Metadata } from "next";
import { ourDomains } from "@/acts/own-addresses";
import { mailboxesFor, workstreamAddresses } from "@/data/queries/mailboxes";
import { MailboxesScreen } from "@/screens/mailboxes/mailboxes-screen";
import { viewerOrSignIn } from "../../_server/viewer";

export const metadata: Metadata = { title: "Mailboxes" };

export default async function MailboxesPage() {
  const { db, personId } = await viewerOrSignIn("/mailboxes");
  return (
    <MailboxesScreen
      first={await mailboxesFor(db, { personId })}
      addresses={await workstreamAddresses(db, { personId }, ourDomains()[0] ?? null)}
    />
  );
}
