import type { Metadata } from "next";
import { outgoingOfPerson } from "@/data/queries/outgoing";
import { knownOutside } from "@/data/queries/people";
import { WriteScreen } from "@/screens/write/write-screen";
import { viewerOrSignIn } from "../../_server/viewer";

export const metadata: Metadata = { title: "A letter" };

export default async function WritePage() {
  const { db, personId } = await viewerOrSignIn("/write");
  return (
    <WriteScreen known={await knownOutside(db, { personId })} outgoing={await outgoingOfPerson(db, { personId })} />
  );
}
