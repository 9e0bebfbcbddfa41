import { wayInNamed } from "@/acts/ways-in";
import { now } from "@/data/clock";
import { importMail } from "@/post/import-mail";
import { messagesOfUpload } from "@/post/mail-files";
import { forViewer, sayNo } from "../../_server/reply";

export const dynamic = "force-dynamic";

/** Faults that are sent to the screen one by one. */
const MOST_FAULTS = 100;

/** Takes one dropped file in and answers with a line of JSON after each batch: progress, then the whole count. */
export async function POST(request: Request): Promise<Response> {
  return forViewer(async ({ db }) => {
    const { body } = request;
    const name = new URL(request.url).searchParams.get("name")?.slice(0, 200) || "file";
    if (!body) return sayNo(400, `${name} is empty; there is nothing to keep.`);
    const wayInId = await wayInNamed(db, "dropped on Sort", "import", null);
    const encoder = new TextEncoder();
    const stream = new ReadableStream<Uint8Array>({
      async start(controller) {
        const line = (value: unknown) => controller.enqueue(encoder.encode(`${JSON.stringify(value)}\n`));
        try {
          for await (const report of importMail(db, messagesOfUpload(name, chunksOf(body)), wayInId, now)) {
            line({
              ...report,
              notReadable: report.notReadable.slice(0, MOST_FAULTS),
              faults: report.notReadable.length,
            });
          }
        } catch (error) {
          console.error(error);
          line({
            fault: `${name} was cut off. What is counted so far is kept; drop the file again for the rest, nothing comes in twice.`,
          });
        }
        controller.close();
      },
    });
    return new Response(stream, {
      headers: { "content-type": "application/x-ndjson", "cache-control": "no-cache, no-transform" },
    });
  });
}

async function* chunksOf(body: ReadableStream<Uint8Array>): AsyncGenerator<Uint8Array> {
  const reader = body.getReader();
  for (;;) {
    const { value, done } = await reader.read();
    if (done) return;
    yield value;
  }
}
