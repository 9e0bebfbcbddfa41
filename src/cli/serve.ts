import fs from "node:fs";
import http from "node:http";
import path from "node:path";
import next from "next";
import { productRoot } from "../data/engine/open-pglite";
import { closeSharedDatabase, sharedDatabase } from "../data/engine/shared-database";
import { WrongCall } from "./wrong-call";

const DEFAULT_PORT = 3900;

/** Milliseconds after which a stop no longer waits for anything. */
const LONGEST_STOP_MS = 4_000;

/** Milliseconds between two looks whether npm, which started us, is still there. */
const LAUNCHER_LOOK_MS = 400;

/** npx starts us through a shell that keeps a signal for itself: when it is gone, the server was told to stop. */
function stopWithLauncher(stop: () => void): void {
  if (!process.env.npm_command) return;
  const launcher = process.ppid;
  const timer = setInterval(() => {
    if (process.ppid === launcher) return;
    clearInterval(timer);
    stop();
  }, LAUNCHER_LOOK_MS);
  timer.unref();
}

function portFromEnvironment(): number {
  const port = Number(process.env.PORT ?? DEFAULT_PORT);
  if (!Number.isInteger(port) || port < 0 || port > 65_535)
    throw new WrongCall(`PORT is “${process.env.PORT}”, which is no port.`);
  return port;
}

/** Pages and calls that the first person of the day will want; what stands for an id names nothing. */
const WANTED_FIRST = [
  "/sign-in",
  "/sort",
  "/tasks",
  "/letters/none",
  "/api/counts",
  "/api/sort",
  "/api/tasks",
  "/api/tasks/none",
  "/api/conversations/none",
  "/api/find",
];

/** Asks for them once, without signing in, so that their code is loaded before anybody waits for it. */
async function warm(port: number): Promise<void> {
  for (const path of WANTED_FIRST)
    await fetch(`http://127.0.0.1:${port}${path}`, { redirect: "manual" })
      .then((response) => response.arrayBuffer())
      .catch(() => {});
}

/**
 * Serves the pages until it is told to stop. The database is opened first, so that a second server on the same folder is
 * refused before anything listens; everything is closed in the opposite order.
 */
export async function serve(what: string): Promise<number> {
  const port = portFromEnvironment();
  const dir = productRoot();
  if (!fs.existsSync(path.join(dir, ".next/BUILD_ID")))
    throw new WrongCall("The pages are not built yet. Run npm run build first (npm run demo does it by itself).");
  await sharedDatabase(`${what} at port ${port}`);
  // Next reads this when it starts; a server for real users is never in development mode.
  (process.env as Record<string, string>).NODE_ENV = "production";
  const app = next({ dev: false, dir, hostname: "localhost", port });
  await app.prepare();
  const handle = app.getRequestHandler();
  const server = http.createServer((request, response) => void handle(request, response));
  await new Promise<void>((resolve, reject) => {
    server.once("error", (error: NodeJS.ErrnoException) =>
      reject(
        error.code === "EADDRINUSE"
          ? new WrongCall(`Port ${port} is taken by another program. Set PORT to another one.`)
          : error,
      ),
    );
    server.listen(port, resolve);
  }).catch(async (error) => {
    await closeSharedDatabase();
    throw error;
  });
  const address = server.address();
  process.stdout.write(
    `Jam Kettle is ready at http://localhost:${typeof address === "object" && address ? address.port : port}\n`,
  );
  if (typeof address === "object" && address) void warm(address.port);
  await new Promise<void>((resolve) => {
    stopWithLauncher(resolve);
    for (const signal of ["SIGTERM", "SIGINT", "SIGHUP"] as const) process.once(signal, () => resolve());
  });
  setTimeout(() => process.exit(1), LONGEST_STOP_MS).unref();
  process.stdout.write("Stopping.\n");
  server.close();
  server.closeAllConnections();
  await closeSharedDatabase();
  process.exit(0);
}
