import type { Metadata } from "next";
import { linkToOwner } from "@/core/tasks/chain";
import { sharedDatabase } from "@/data/engine/shared-database";
import { answerLink } from "@/data/queries/answer-links";
import { AnswerScreen } from "@/screens/answer/answer-screen";

export const metadata: Metadata = { title: "Answer", robots: "noindex" };
export const dynamic = "force-dynamic";

/** The page behind a link in a letter. Opening it changes nothing: whoever looks through mail for links opens them all. */
export default async function AnswerPage({ params }: { params: Promise<{ key: string }> }) {
  const { key } = await params;
  const { db } = await sharedDatabase();
  const link = await answerLink(db, key);
  if (!link) return <AnswerScreen link={null} answerKey={key} />;
  const hand = linkToOwner({ ownerId: link.ownerId, chain: link.chain });
  const isOver = link.state === "done" || link.state === "called off";
  return (
    <AnswerScreen
      answerKey={key}
      link={{
        name: link.name,
        reference: link.reference,
        slug: link.reference.replace(" ", "-"),
        title: link.title,
        giver: link.giver ?? "Somebody",
        note: hand?.note ?? "",
        stands: isOver
          ? `It is ${link.state} already.`
          : link.ownerId !== link.personId
            ? `${link.owner ?? "Nobody"} has it now.`
            : hand === null
              ? "It is your own."
              : hand.answer === "accepted"
                ? "You have taken it on."
                : null,
        canAnswer: !isOver && link.ownerId === link.personId && hand !== null,
      }}
    />
  );
}
