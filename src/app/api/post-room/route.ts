import { z } from "zod";
import type { PostRoomView } from "@/core/views/post-room-view";
import { now } from "@/data/clock";
import { BOX_ADDRESS, postRoom, WRITERS } from "@/postroom/room/room";
import { isForeign, sayNo } from "../../_server/reply";

export const dynamic = "force-dynamic";

const NOT_DEMO = "The post room is there only in the demo.";

/** Hours that may go by at once. */
const LONGEST_HOURS = 24 * 7;

const wanted = z.discriminatedUnion("do", [
  z.object({ do: z.literal("pass"), hours: z.int().min(1).max(LONGEST_HOURS) }),
  z.object({
    do: z.literal("write"),
    from: z.string().max(80),
    to: z.email().max(254),
    subject: z.string().min(1).max(300),
    text: z.string().min(1).max(20_000),
  }),
]);

function view(room: NonNullable<ReturnType<typeof postRoom>>): PostRoomView {
  return {
    now: now(),
    wentOut: room.wentOut,
    planned: room.planned.map(({ at, from, subject, isAutomatic }) => ({ at, from: from.name, subject, isAutomatic })),
    addresses: [
      { address: "hello@larkmoor.example", says: "comes by SMTP, to everybody" },
      { address: BOX_ADDRESS, says: "lies in Ines’s own mailbox, read by IMAP" },
    ],
    writers: WRITERS.map(({ key, name, firm, manner }) => ({ key, name, firm, manner })),
  };
}

export async function GET(): Promise<Response> {
  const room = postRoom();
  return room ? Response.json(view(room)) : sayNo(404, NOT_DEMO);
}

export async function POST(request: Request): Promise<Response> {
  const room = postRoom();
  if (!room) return sayNo(404, NOT_DEMO);
  if (isForeign(request)) return sayNo(403, "This call came from another site.");
  const parsed = wanted.safeParse(await request.json().catch(() => null));
  if (!parsed.success)
    return sayNo(422, "A letter needs somebody who writes, an address, a subject and words. Nothing was sent.");
  if (parsed.data.do === "pass") await room.pass(parsed.data.hours * 3_600_000);
  else {
    const { from, to, subject, text } = parsed.data;
    const writer = WRITERS.find((one) => one.key === from);
    if (!writer) return sayNo(422, "Nobody of that name writes here. Nothing was sent.");
    room.write(writer, to, subject, text);
  }
  return Response.json(view(room));
}
