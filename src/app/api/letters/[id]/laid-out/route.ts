import { letterFile, letterHtml } from "@/core/letters/letter-files";
import { safeHtml } from "@/core/letters/safe-html";
import { letterFor, rawLetterFor } from "@/data/queries/letters";
import { forViewer, isId, NOT_HERE, sayNo } from "../../../../_server/reply";

export const dynamic = "force-dynamic";

/** Bytes of pictures that are put into the page of one letter. */
const MOST_PICTURE_BYTES = 6_000_000;

/** Picture types that cannot carry scripts; SVG can. */
const PICTURE = /^image\/(?:png|jpeg|gif|webp)$/;

const POLICY =
  "default-src 'none'; img-src data:; style-src 'unsafe-inline'; sandbox allow-popups allow-popups-to-escape-sandbox; frame-ancestors 'self'; base-uri 'none'; form-action 'none'";

/** A letter's HTML made safe, as a page of its own for a sandboxed frame: nothing runs, nothing is fetched. */
export async function GET(_request: Request, { params }: { params: Promise<{ id: string }> }): Promise<Response> {
  const { id } = await params;
  return forViewer(async ({ db, personId }) => {
    const letter = isId(id) ? await letterFor(db, { personId }, id) : null;
    const raw = letter?.hasHtml ? await rawLetterFor(db, { personId }, id) : null;
    const html = raw ? await letterHtml(new Uint8Array(raw.bytes)) : null;
    if (!letter || !raw || !html) return sayNo(404, NOT_HERE);
    const pictures = new Map<string, string>();
    let bytes = 0;
    for (const file of letter.files) {
      if (!file.contentId || !PICTURE.test(file.type) || bytes + file.size > MOST_PICTURE_BYTES) continue;
      const content = await letterFile(new Uint8Array(raw.bytes), file.index);
      if (content) pictures.set(file.contentId, `data:${file.type};base64,${Buffer.from(content).toString("base64")}`);
      bytes += file.size;
    }
    const safe = safeHtml(html, (contentId) => pictures.get(contentId) ?? null);
    const body = safe?.html ?? "<p>This letter is laid out so deep or so long that it is shown as text only.</p>";
    const page = `<!doctype html><html><head><meta charset="utf-8"><base target="_blank"><style>body{font:15px/1.5 system-ui,sans-serif;color:#18213d;background:#fff;margin:14px;overflow-wrap:anywhere}img,table{max-width:100%}</style></head><body>${body}</body></html>`;
    return new Response(page, {
      headers: {
        "content-type": "text/html; charset=utf-8",
        "content-security-policy": POLICY,
        "x-content-type-options": "nosniff",
        "referrer-policy": "no-referrer",
        "x-blocked-pictures": String(safe?.blockedPictures ?? 0),
        "cache-control": "private, no-store",
      },
    });
  });
}
