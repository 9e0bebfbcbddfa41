import type { TakenIn } from "../acts/intake-batch";
import { BATCH, takeInAll } from "../acts/take-in";
import type { Database } from "../data/engine/database";
import type { FoundMessage } from "./mail-files";

/** How an import stands. `notReadable` names each file with its reason; those marked `isKept` are in Sort all the same. */
export interface ImportReport {
  readonly fresh: number;
  readonly here: number;
  readonly notReadable: readonly { readonly source: string; readonly why: string; readonly isKept: boolean }[];
  readonly bytes: number;
}

/** Bytes of raw messages that are held for one batch at the most. */
const MOST_BATCH_BYTES = 16 * 1_048_576;

interface Named {
  readonly source: string;
  readonly raw: Uint8Array;
}

/** Messages of a stream in batches; what cannot be read at all goes to `onFault`. */
async function* inBatches(
  messages: AsyncIterable<FoundMessage>,
  onFault: (message: FoundMessage) => void,
): AsyncGenerator<Named[]> {
  let batch: Named[] = [];
  let bytes = 0;
  for await (const message of messages) {
    const { source, raw } = message;
    if (raw === null) {
      onFault(message);
      continue;
    }
    batch.push({ source, raw });
    bytes += raw.length;
    if (batch.length >= BATCH || bytes >= MOST_BATCH_BYTES) {
      yield batch;
      batch = [];
      bytes = 0;
    }
  }
  if (batch.length > 0) yield batch;
}

/** Takes in every message of a stream, batch by batch, and reports after each; stops at the batch's end when cut off. */
export async function* importMail(
  db: Database,
  messages: AsyncIterable<FoundMessage>,
  wayInId: string,
  now: () => number,
): AsyncGenerator<ImportReport> {
  let report: ImportReport = { fresh: 0, here: 0, notReadable: [], bytes: 0 };
  const batches = inBatches(messages, ({ source, why }) => {
    report = { ...report, notReadable: [...report.notReadable, { source, why: why ?? "", isKept: false }] };
  });
  for await (const { batch, taken } of takeInAll(db, batches, { way: wayInId, now })) {
    report = added(report, taken, batch);
    yield report;
  }
  yield report;
}

function added(report: ImportReport, taken: readonly TakenIn[], batch: readonly Named[]): ImportReport {
  const faults = taken.flatMap((one, i) =>
    one.outcome === "not readable" || one.outcome === "refused"
      ? [{ source: batch[i]!.source, why: one.why, isKept: one.outcome === "not readable" }]
      : [],
  );
  return {
    fresh: report.fresh + taken.filter((one) => one.outcome === "new").length,
    here: report.here + taken.filter((one) => one.outcome === "already here").length,
    notReadable: faults.length > 0 ? [...report.notReadable, ...faults] : report.notReadable,
    bytes: report.bytes + batch.reduce((sum, one) => sum + one.raw.length, 0),
  };
}
