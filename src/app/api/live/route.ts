import { onChange } from "@/acts/tell-screens";
import { lastChange } from "@/data/queries/changes";
import { forViewer } from "../../_server/reply";

export const dynamic = "force-dynamic";

/** Milliseconds between two looks for changes by other processes (the command line, another server). */
const LOOK_MS = 1_000;

/** Milliseconds between signs of life, so that proxies keep the stream open. */
const SIGN_OF_LIFE_MS = 20_000;

/**
 * Server-Sent Events (WHATWG HTML, section 9.2): says that something changed, never what, so that nobody learns of things
 * they may not see; the screens then ask for what they show, through the same door as ever.
 */
export async function GET(request: Request): Promise<Response> {
  return forViewer(async ({ db }) => {
    const encoder = new TextEncoder();
    let stop = () => {};
    const stream = new ReadableStream<Uint8Array>({
      async start(controller) {
        let last = await lastChange(db);
        const write = (text: string) => {
          try {
            controller.enqueue(encoder.encode(text));
          } catch {
            stop();
          }
        };
        write(`retry: 1500\nevent: hello\ndata: ${last}\n\n`);
        let isLooking = false;
        const look = async () => {
          if (isLooking) return;
          isLooking = true;
          const current = await lastChange(db).catch(() => last);
          isLooking = false;
          if (current === last) return;
          last = current;
          write(`event: changed\ndata: ${current}\n\n`);
        };
        const off = onChange(() => void look());
        const looking = setInterval(() => void look(), LOOK_MS);
        const alive = setInterval(() => write(": here\n\n"), SIGN_OF_LIFE_MS);
        stop = () => {
          off();
          clearInterval(looking);
          clearInterval(alive);
          try {
            controller.close();
          } catch {
            // The browser has closed it already.
          }
        };
        request.signal.addEventListener("abort", () => stop());
      },
      cancel: () => stop(),
    });
    return new Response(stream, {
      headers: {
        "content-type": "text/event-stream",
        "cache-control": "no-cache, no-transform",
        "x-accel-buffering": "no",
      },
    });
  });
}
