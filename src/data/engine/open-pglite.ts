import crypto from "node:crypto";
import fs from "node:fs";
import os from "node:os";
import path from "node:path";
import { Worker } from "node:worker_threads";
import { lockFolder } from "./folder-lock";

/** A unix socket's path may have about 107 bytes; a longer folder is reached through a short link to it. */
const LONGEST_SOCKET_PATH = 100;

const SOCKET_NAME = ".s.PGSQL.5432";

/** A PGlite that this process owns. `syncs()` counts the fsyncs so far. */
export interface OwnPglite {
  readonly socketFolder: string;
  syncs(): number;
  close(): Promise<void>;
}

/** The folder to name as host when speaking to the database of a data folder. */
export function socketFolderOf(folder: string): string {
  const own = path.resolve(folder);
  if (Buffer.byteLength(path.join(own, SOCKET_NAME)) <= LONGEST_SOCKET_PATH) return own;
  const link = path.join(
    os.tmpdir(),
    `jam-${process.getuid?.() ?? 0}-${crypto.createHash("sha256").update(own).digest("hex").slice(0, 12)}`,
  );
  if (!fs.existsSync(link)) fs.symlinkSync(own, link);
  return link;
}

/** The root of the product's own files: where the worker and the migrations lie. */
export function productRoot(): string {
  return process.env.JAM_ROOT ?? process.cwd();
}

/** Opens the PGlite of a folder in a worker thread, for this process alone. Throws `FolderInUse` where another has it. */
export async function openPglite(folder: string, what: string): Promise<OwnPglite> {
  const unlock = await lockFolder(folder, what);
  try {
    const socketFolder = socketFolderOf(folder);
    const socketPath = path.join(socketFolder, SOCKET_NAME);
    // The lock is ours, so a socket that lies here is left over from a process that was killed.
    fs.rmSync(socketPath, { force: true });
    const syncCount = new SharedArrayBuffer(4);
    const file = path.join(productRoot(), "src/data/engine/pglite-worker.mjs");
    const worker = new Worker(/* turbopackIgnore: true */ file, {
      workerData: { folder: path.join(path.resolve(folder), "db"), socketPath, syncCount },
      execArgv: [],
    });
    await new Promise<void>((resolve, reject) => {
      worker.once("message", () => resolve());
      worker.once("error", reject);
      worker.once("exit", (code) =>
        reject(new Error(`The database thread ended with ${code} while opening ${folder}.`)),
      );
    });
    worker.removeAllListeners("exit");
    return {
      socketFolder,
      syncs: () => Atomics.load(new Int32Array(syncCount), 0),
      async close() {
        const closed = new Promise<void>((resolve) => {
          worker.once("message", () => resolve());
          worker.once("exit", () => resolve());
        });
        worker.postMessage("close");
        await closed;
        await worker.terminate();
        fs.rmSync(socketPath, { force: true });
        unlock();
      },
    };
  } catch (error) {
    unlock();
    throw error;
  }
}
