import fs from "node:fs";
import net from "node:net";
import path from "node:path";

/** Who has a data folder: written beside the database for the sentence that refuses the second. */
export interface FolderOwner {
  readonly pid: number;
  readonly what: string;
  readonly since: string;
}

/** Thrown when another process has the folder. */
export class FolderInUse extends Error {
  constructor(
    readonly folder: string,
    readonly owner: FolderOwner | null,
  ) {
    const who = owner ? `${owner.what} (process ${owner.pid}, since ${owner.since})` : "another process";
    super(`The data folder ${folder} is in use by ${who}. Stop that one first, or set JAM_DATA to another folder.`);
    this.name = "FolderInUse";
  }
}

function ownerFile(folder: string): string {
  return path.join(folder, "owner.json");
}

export function folderOwner(folder: string): FolderOwner | null {
  try {
    return JSON.parse(fs.readFileSync(ownerFile(folder), "utf8")) as FolderOwner;
  } catch {
    return null;
  }
}

/** Where the lock of a folder is held: an abstract socket on Linux, which the kernel frees with its process, however that ended. */
function lockAddress(folder: string): string {
  const { dev, ino } = fs.statSync(folder);
  return process.platform === "linux" ? `\0jam-kettle-${dev}-${ino}` : path.join(folder, "lock.sock");
}

/**
 * Takes a data folder for this process or throws `FolderInUse`. Binding is one step of the kernel, so two that start at
 * the same moment cannot both win, and a killed process leaves nothing behind that has to be cleared away.
 * @returns a function that gives the folder back
 */
export async function lockFolder(folder: string, what: string): Promise<() => void> {
  fs.mkdirSync(folder, { recursive: true, mode: 0o700 });
  const server = net.createServer((socket) => socket.end());
  await new Promise<void>((resolve, reject) => {
    server.once("error", (error: NodeJS.ErrnoException) =>
      reject(error.code === "EADDRINUSE" ? new FolderInUse(folder, folderOwner(folder)) : error),
    );
    server.listen(lockAddress(folder), resolve);
  });
  server.unref();
  const owner: FolderOwner = { pid: process.pid, what, since: new Date().toISOString().slice(0, 16).replace("T", " ") };
  fs.writeFileSync(ownerFile(folder), JSON.stringify(owner));
  return () => {
    fs.rmSync(ownerFile(folder), { force: true });
    server.close();
  };
}
