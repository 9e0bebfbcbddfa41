import { safeFileName } from "@/core/letters/file-name";
import { MOST_FILE_BYTES } from "@/core/tasks/decisions/write-back";
import { now } from "@/data/clock";
import { keepDraftFile } from "@/data/queries/drafts";
import { forViewer, isForeign, sayNo } from "../../_server/reply";

export const dynamic = "force-dynamic";

/** Keeps a file that is put to a letter being written; its bytes are the body. */
export async function POST(request: Request): Promise<Response> {
  if (isForeign(request)) return sayNo(403, "This call came from another site.");
  return forViewer(async ({ db, personId }) => {
    const type = request.headers.get("content-type") ?? "application/octet-stream";
    const name = safeFileName(new URL(request.url).searchParams.get("name") ?? "", 0, type);
    const bytes = Buffer.from(await request.arrayBuffer());
    if (bytes.length > MOST_FILE_BYTES)
      return sayNo(422, `“${name}” has more than ${MOST_FILE_BYTES / 1_048_576} MB, which mail servers do not take.`);
    const id = await keepDraftFile(db, { personId }, { name, type, bytes }, now());
    return Response.json({ id, name, size: bytes.length });
  });
}
