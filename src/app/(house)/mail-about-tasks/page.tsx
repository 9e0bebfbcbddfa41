import type { Metadata } from "next";
import { noticeMailOf, postedPlaces } from "@/data/queries/notice-mail";
import { NoticeMailScreen } from "@/screens/settings/notice-mail-screen";
import { viewerOrSignIn } from "../../_server/viewer";

export const metadata: Metadata = { title: "Mail about your tasks" };

export default async function NoticeMailPage() {
  const { db, personId } = await viewerOrSignIn("/mail-about-tasks");
  return (
    <NoticeMailScreen
      first={await noticeMailOf(db, { personId })}
      posted={await postedPlaces(db, { personId })}
      canSend={Boolean(process.env.JAM_SMTP_OUT)}
    />
  );
}
