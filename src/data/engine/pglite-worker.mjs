// Runs PGlite in a thread of its own behind a private unix socket, so that a slow query never stops the event loop and
// PGlite and PostgreSQL are spoken to in the same way. Plain JavaScript: a worker is started from a file, not a bundle.
import fs from "node:fs";
import { parentPort, workerData } from "node:worker_threads";
import { PGlite } from "@electric-sql/pglite";
import { unaccent } from "@electric-sql/pglite/contrib/unaccent";
import { servePglite } from "./pglite-server.mjs";

/**
 * PGlite's file system has no fsync of its own: the WAL would be written, but not forced to the disk. Its streams share
 * one table of operations; an fsync put there reaches every file, and PostgreSQL calls it for the WAL at each commit.
 * Leans on an inner part of PGlite: the test `synced-to-disk` counts the calls.
 */
function syncToDisk(db, counter) {
  const stream = db.Module.FS.streams.find((candidate) => candidate && candidate.nfd !== undefined);
  if (!stream)
    throw new Error(
      "PGlite's file system has changed: no stream with a file descriptor, so commits could not be synced to disk.",
    );
  stream.stream_ops.fsync = (target) => {
    fs.fsyncSync(target.nfd);
    Atomics.add(counter, 0, 1);
    return 0;
  };
}

const { folder, socketPath, syncCount } = workerData;
const db = await PGlite.create({
  dataDir: folder,
  extensions: { unaccent },
  startParams: [...PGlite.defaultStartParams, "-c", "fsync=on", "-c", "wal_sync_method=fsync"],
});
syncToDisk(db, new Int32Array(syncCount));
const server = await servePglite(db, socketPath);
fs.chmodSync(socketPath, 0o600);
parentPort.on("message", async (message) => {
  if (message !== "close") return;
  await server.close();
  await db.close();
  parentPort.postMessage("closed");
});
parentPort.postMessage("open");
