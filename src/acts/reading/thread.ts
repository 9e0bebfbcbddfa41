import path from "node:path";
import { Worker } from "node:worker_threads";
import type { ParsedLetter } from "../../core/letters/parse-letter";
import { productRoot } from "../../data/engine/open-pglite";
import { currentReader, setReader } from "./current-reader";
import { inProcess, NOTHING_READ, type ParsedBatch, type Reader, type ReadingAsk, type Understood } from "./reader";

/** What the thread is asked: to parse raw messages, or to read what it has parsed. */
export type ThreadAsk =
  | { readonly id: number; readonly do: "parse"; readonly raws: readonly Uint8Array[] }
  | { readonly id: number; readonly do: "read"; readonly batch: number; readonly about: ReadingAsk };

export interface ThreadAnswer {
  readonly id: number;
  readonly result?: readonly ParsedLetter[] | readonly Understood[] | null;
  readonly fault?: string;
}

/** Milliseconds after which a batch, and then a single message, is given up: no text may hold up the others for ever. */
const LONGEST_BATCH_MS = 60_000;
const LONGEST_LETTER_MS = 15_000;

const TOO_SLOW = "It took too long to read. Its bytes are kept as they came.";

interface Waiting {
  resolve(answer: ThreadAnswer): void;
  reject(error: Error): void;
}

/**
 * Parses and reads letters in a thread of its own, so that a long letter never stops the server's pages. A thread that
 * hangs or dies is started anew; the message on which it did is kept unread.
 */
export class ReadingThread implements Reader {
  private worker: Worker | null = null;
  private count = 0;
  private isStopped = false;
  private readonly waiting = new Map<number, Waiting>();

  /** @param longest milliseconds after which a batch, and then a single message, is given up */
  constructor(private readonly longest = { batch: LONGEST_BATCH_MS, letter: LONGEST_LETTER_MS }) {}

  async parse(raws: readonly Uint8Array[]): Promise<ParsedBatch> {
    if (raws.length === 0) return { letters: [], read: async () => [] };
    if (this.isStopped) return inProcess.parse(raws);
    try {
      return await this.parseOnce(raws, this.longest.batch);
    } catch {
      return this.parseOneByOne(raws);
    }
  }

  /** Ends the thread; what it was about is done in this very process instead. */
  async stop(): Promise<void> {
    const { worker } = this;
    this.isStopped = true;
    if (worker) this.giveUp(worker, new Error("The reading thread was stopped."));
    await worker?.terminate();
  }

  /** @param isAlone whether it is one message by itself after a fault: then a second fault gives it up */
  private async parseOnce(raws: readonly Uint8Array[], longest: number, isAlone = false): Promise<ParsedBatch> {
    const id = ++this.count;
    const answer = await this.ask({ id, do: "parse", raws }, longest);
    const letters = answer.result as readonly ParsedLetter[];
    return {
      letters,
      read: async (about) => {
        const read = await this.ask({ id: ++this.count, do: "read", batch: id, about }, longest).catch(() => null);
        if (read?.result) return read.result as readonly Understood[];
        // The thread hung, or was started anew and forgot the batch: again letter by letter, and each only once.
        return isAlone ? [NOTHING_READ] : (await this.parseOneByOne(raws)).read(about);
      },
    };
  }

  /** After a fault: every message by itself, so that only the one that caused it stays unread. */
  private async parseOneByOne(raws: readonly Uint8Array[]): Promise<ParsedBatch> {
    if (this.isStopped) return inProcess.parse(raws);
    const batches: ParsedBatch[] = [];
    for (const raw of raws)
      batches.push(
        await this.parseOnce([raw], this.longest.letter, true).catch(
          (): ParsedBatch => ({ letters: [{ ok: false, why: TOO_SLOW }], read: async () => [NOTHING_READ] }),
        ),
      );
    return {
      letters: batches.flatMap((batch) => batch.letters),
      read: async (about) => {
        const read: Understood[] = [];
        for (const batch of batches) read.push(...(await batch.read(about)));
        return read;
      },
    };
  }

  private ask(ask: ThreadAsk, longest: number): Promise<ThreadAnswer> {
    const worker = this.started();
    return new Promise((resolve, reject) => {
      const timer = setTimeout(() => this.giveUp(worker, new Error(TOO_SLOW)), longest);
      const end = () => {
        clearTimeout(timer);
        this.waiting.delete(ask.id);
        // A thread with nothing to do keeps no process alive.
        if (this.waiting.size === 0) worker.unref();
      };
      this.waiting.set(ask.id, {
        resolve: (answer) => {
          end();
          resolve(answer);
        },
        reject: (error) => {
          end();
          reject(error);
        },
      });
      worker.ref();
      worker.postMessage(ask);
    });
  }

  private started(): Worker {
    if (this.worker) return this.worker;
    const root = productRoot();
    const file = path.join(root, "src/acts/reading/worker.mjs");
    const worker = new Worker(/* turbopackIgnore: true */ file, { workerData: { root }, execArgv: [] });
    worker.on("message", (answer: ThreadAnswer) => {
      const waiting = this.waiting.get(answer.id);
      if (answer.fault === undefined) waiting?.resolve(answer);
      else waiting?.reject(new Error(answer.fault));
    });
    worker.on("error", (error) => this.giveUp(worker, error as Error));
    worker.on("exit", () => this.giveUp(worker, new Error("The reading thread ended.")));
    worker.unref();
    this.worker = worker;
    return worker;
  }

  private giveUp(worker: Worker, error: Error): void {
    if (this.worker !== worker) return;
    this.worker = null;
    void worker.terminate();
    for (const waiting of [...this.waiting.values()]) waiting.reject(error);
  }
}

/** Starts the thread of this process; from then on letters are parsed and read there. Gives back how to stop it. */
export function startReadingThread(): () => Promise<void> {
  const thread = new ReadingThread();
  setReader(thread);
  // Loading takes a moment: it should be over before the first letter comes.
  void thread.parse([Buffer.from("Subject: warm\r\n\r\nwarm")]);
  return async () => {
    if (currentReader() === thread) setReader(null);
    await thread.stop();
  };
}
