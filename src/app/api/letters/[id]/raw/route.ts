import { safeFileName } from "@/core/letters/file-name";
import { rawLetterFor } from "@/data/queries/letters";
import { asFile } from "../../../../_server/file-answer";
import { forViewer, isId, NOT_HERE, sayNo } from "../../../../_server/reply";

export const dynamic = "force-dynamic";

/** The raw message, byte for byte what came in: to save as .eml, or with ?show=1 as plain text to look at. */
export async function GET(request: Request, { params }: { params: Promise<{ id: string }> }): Promise<Response> {
  const { id } = await params;
  return forViewer(async ({ db, personId }) => {
    const raw = isId(id) ? await rawLetterFor(db, { personId }, id) : null;
    if (!raw) return sayNo(404, NOT_HERE);
    if (new URL(request.url).searchParams.has("show")) {
      return new Response(new Uint8Array(raw.bytes), {
        headers: {
          "content-type": "text/plain; charset=iso-8859-1",
          "x-content-type-options": "nosniff",
          "content-security-policy": "default-src 'none'; sandbox",
        },
      });
    }
    return asFile(
      raw.bytes,
      `${safeFileName(raw.subject, 0, "message/rfc822")
        .replace(/^part-1\.eml$/, "letter")
        .slice(0, 80)}.eml`,
      "message/rfc822",
    );
  });
}
