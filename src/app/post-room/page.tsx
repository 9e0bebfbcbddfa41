import type { Metadata } from "next";
import { notFound } from "next/navigation";
import { postRoom } from "@/postroom/room/room";
import { PostRoomScreen } from "@/screens/postroom/post-room-screen";

export const dynamic = "force-dynamic";
export const metadata: Metadata = { title: "Post room" };

/** The simulated outside world, in the demo alone. */
export default function PostRoomPage() {
  if (!postRoom()) notFound();
  return <PostRoomScreen />;
}
