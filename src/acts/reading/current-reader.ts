import { inProcess, type Reader } from "./reader";

// Route handlers are bundles of their own: the reader lives on the process.
const shared = globalThis as typeof globalThis & { jamReader?: Reader };

/** Whoever parses and reads for this process: its thread, where one was started. */
export function currentReader(): Reader {
  return shared.jamReader ?? inProcess;
}

/** Lets another one parse and read from now on; null for this process itself. */
export function setReader(reader: Reader | null): void {
  shared.jamReader = reader ?? undefined;
}
