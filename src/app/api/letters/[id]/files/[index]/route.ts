import { letterFile } from "@/core/letters/letter-files";
import { letterFor, rawLetterFor } from "@/data/queries/letters";
import { asFile } from "../../../../../_server/file-answer";
import { forViewer, isId, NOT_HERE, sayNo } from "../../../../../_server/reply";

export const dynamic = "force-dynamic";

/** A file of a letter, always to be saved and never to be opened in the page. */
export async function GET(
  _request: Request,
  { params }: { params: Promise<{ id: string; index: string }> },
): Promise<Response> {
  const { id, index } = await params;
  return forViewer(async ({ db, personId }) => {
    const letter = isId(id) ? await letterFor(db, { personId }, id) : null;
    const file = letter?.files[Number(index)];
    const raw = file ? await rawLetterFor(db, { personId }, id) : null;
    const bytes = raw && file ? await letterFile(new Uint8Array(raw.bytes), file.index) : null;
    return bytes && file
      ? asFile(
          bytes,
          file.name,
          /^(?:text\/html|image\/svg|application\/xhtml|text\/xml|application\/xml)/.test(file.type)
            ? "application/octet-stream"
            : file.type,
        )
      : sayNo(404, NOT_HERE);
  });
}
