import { z } from "zod";
import { addMailbox, revokeMailbox } from "@/acts/mailboxes";
import { now } from "@/data/clock";
import { databaseSettings } from "@/data/engine/database";
import { mailboxesFor } from "@/data/queries/mailboxes";
import { nudgeMailbox } from "@/post/imap/mailboxes";
import { mailboxKey, seal } from "@/post/imap/secret";
import { tryMailbox } from "@/post/imap/try-mailbox";
import { forViewer, isForeign, sayNo } from "../../_server/reply";

export const dynamic = "force-dynamic";

const name = z.string().trim().min(1).max(100);
const optional = z
  .string()
  .trim()
  .max(100)
  .transform((text) => (text === "" ? null : text));

const wanted = z.discriminatedUnion("do", [
  z.object({ do: z.literal("revoke"), id: z.uuid() }),
  z.object({ do: z.literal("read now"), id: z.uuid() }),
  z.object({
    do: z.literal("add"),
    name,
    isPersonal: z.boolean(),
    host: z
      .string()
      .trim()
      .min(1)
      .max(253)
      .regex(/^[\w.:-]+$/),
    port: z.coerce.number().int().min(1).max(65_535),
    security: z.enum(["tls", "starttls", "none"]),
    userName: z.string().min(1).max(320),
    password: z.string().min(1).max(1_000),
    folder: name,
    sentFolder: optional,
    since: z.union([z.literal("").transform(() => null), z.iso.date()]),
    mark: optional,
    onDealt: z.enum(["nothing", "mark read", "move"]),
    moveTo: optional,
  }),
]);

const LOCAL = /^(?:localhost|127\.0\.0\.1|::1)$/;

export async function GET(): Promise<Response> {
  return forViewer(async ({ db, personId }) => Response.json(await mailboxesFor(db, { personId })));
}

export async function POST(request: Request): Promise<Response> {
  if (isForeign(request)) return sayNo(403, "This call came from another site.");
  return forViewer(async ({ db, personId }) => {
    const parsed = wanted.safeParse(await request.json().catch(() => null));
    if (!parsed.success)
      return sayNo(422, "A mailbox needs a name, a server, a port, and the name and password to sign in with.");
    const call = parsed.data;
    if (call.do === "revoke" && !(await revokeMailbox(db, { personId }, call.id)))
      return sayNo(404, "This mailbox is not yours to revoke, or it is revoked already.");
    if (call.do === "read now") {
      const mine = await mailboxesFor(db, { personId });
      if (!mine.some((one) => one.id === call.id) || !nudgeMailbox(call.id))
        return sayNo(404, "This mailbox is not read here.");
    }
    if (call.do === "add") {
      if (call.security === "none" && !LOCAL.test(call.host))
        return sayNo(
          422,
          "Without encryption only a server on this very machine is read: the password would travel in the open.",
        );
      if (call.onDealt === "move" && !call.moveTo)
        return sayNo(422, "Say to which folder dealt-with letters are moved.");
      const { do: _do, password, ...rest } = call;
      const fault = await tryMailbox({ ...rest, password });
      if (fault) return sayNo(422, `${fault} Nothing was kept.`);
      const secret = seal(password, mailboxKey(databaseSettings("the server", false).folder));
      if (!(await addMailbox(db, { personId }, { ...rest, secret }, now())))
        return sayNo(422, `There is a way in named “${call.name}” already. Nothing was kept.`);
    }
    return Response.json(await mailboxesFor(db, { personId }));
  });
}
