import { parentPort } from "node:worker_threads";
import { LightBlob } from "./light-blob";
import { inProcess, type ParsedBatch } from "./reader";
import type { ThreadAnswer, ThreadAsk } from "./thread";

// This thread does nothing else: the parser is given a Blob that costs next to nothing.
globalThis.Blob = LightBlob as unknown as typeof Blob;

/** Batches that were parsed and are still to be read; of too many at once the oldest are forgotten, and then parsed anew. */
const waiting = new Map<number, ParsedBatch>();
const MOST_WAITING = 64;

async function answerTo(ask: ThreadAsk): Promise<ThreadAnswer["result"]> {
  if (ask.do === "parse") {
    const batch = await inProcess.parse(ask.raws);
    waiting.set(ask.id, batch);
    for (const id of [...waiting.keys()].slice(0, Math.max(0, waiting.size - MOST_WAITING))) waiting.delete(id);
    return batch.letters;
  }
  const batch = waiting.get(ask.batch);
  waiting.delete(ask.batch);
  return batch ? batch.read(ask.about) : null;
}

parentPort!.on("message", (ask: ThreadAsk) => {
  answerTo(ask).then(
    (result) => parentPort!.postMessage({ id: ask.id, result } satisfies ThreadAnswer),
    (error) => parentPort!.postMessage({ id: ask.id, fault: String(error) } satisfies ThreadAnswer),
  );
});
parentPort!.postMessage({ id: 0 } satisfies ThreadAnswer);
