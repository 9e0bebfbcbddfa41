import { type ChildProcess, spawn } from "node:child_process";
import fs from "node:fs";
import os from "node:os";
import path from "node:path";
import makeEmptyDatabases, { copyEmpty } from "../empty-databases";

/** Starts the real application on the demo's data, with the clock standing at Tuesday 24 November 2026, 11:20. */
export default async function start(): Promise<() => Promise<void>> {
  const folder = fs.mkdtempSync(path.join(os.tmpdir(), "jam-browser-"));
  await makeEmptyDatabases();
  copyEmpty(folder);
  const server: ChildProcess = spawn(process.execPath, ["bin/jam.mjs", "demo"], {
    env: {
      ...process.env,
      JAM_DATA: folder,
      JAM_NOW: "2026-11-24T11:20:00Z",
      PORT: "3977",
      JAM_SIGN_IN_LIMIT: "off",
      DATABASE_URL: "",
    },
    stdio: ["ignore", "pipe", "inherit"],
  });
  await new Promise<void>((resolve, reject) => {
    server.stdout!.on("data", (chunk: Buffer) => {
      if (chunk.toString().includes("is ready at")) resolve();
    });
    server.once("exit", (code) => reject(new Error(`The server ended with ${code} before it was ready.`)));
  });
  return async () => {
    const ended = new Promise((resolve) => server.once("exit", resolve));
    server.kill("SIGTERM");
    await ended;
    fs.rmSync(folder, { recursive: true, force: true });
  };
}
