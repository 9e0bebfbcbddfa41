import fs from "node:fs";
import http from "node:http";
import path from "node:path";
import next from "next";
import { startReadingThread } from "../acts/reading/thread";
import { now } from "../data/clock";
import { databaseSettings } from "../data/engine/database";
import { productRoot } from "../data/engine/open-pglite";
import { closeSharedDatabase, sharedDatabase } from "../data/engine/shared-database";
import { smtpCarrier } from "../post/carrier";
import { startMailboxes } from "../post/imap/mailboxes";
import { mailboxKey } from "../post/imap/secret";
import { openSmtpDoor } from "../post/smtp-in";
import { startOutbox, startReturns } from "../post/worker";
import { outgoingServer, ownCertificate, ownDomains, portNamed, senderCheck, trustedPeers } from "./settings";
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

/** A port that another program has is a wrong call, in a sentence. */
function sayTaken(error: unknown, setting: string, port: number): unknown {
  return (error as NodeJS.ErrnoException).code === "EADDRINUSE"
    ? new WrongCall(`Port ${port} is taken by another program. Set ${setting} to another one.`)
    : error;
}

async function openPages(dir: string, port: number): Promise<http.Server> {
  // Next reads this when it starts; a server for real users is never in development mode.
  (process.env as Record<string, string>).NODE_ENV = "production";
  const app = next({ dev: false, dir, hostname: "localhost", port });
  await app.prepare();
  const handle = app.getRequestHandler();
  const server = http.createServer((request, response) => void handle(request, response));
  await new Promise<void>((resolve, reject) => {
    server.once("error", reject);
    server.listen(port, resolve);
  });
  return server;
}

/**
 * Serves the pages until it is told to stop. The database is opened first, so that a second server on the same folder is
 * refused before anything listens; everything is closed in the opposite order.
 */
export async function serve(what: string, { onDoor }: { onDoor?: (port: number) => void } = {}): Promise<number> {
  const port = portNamed("PORT") ?? DEFAULT_PORT;
  const domains = ownDomains();
  const certificate = ownCertificate();
  const smtpOut = outgoingServer();
  const smtpPort = portNamed("JAM_SMTP_PORT");
  if (smtpPort !== null && domains.length === 0)
    throw new WrongCall("JAM_SMTP_PORT is set, but JAM_DOMAIN is not: say whose mail is ours, like in.firm.example.");
  const dir = productRoot();
  if (!fs.existsSync(path.join(dir, ".next/BUILD_ID")))
    throw new WrongCall("The pages are not built yet. Run npm run build first (npm run demo does it by itself).");
  const { db, pglite } = await sharedDatabase(`${what} at port ${port}`);
  const closers: (() => Promise<unknown>)[] = [closeSharedDatabase, startReadingThread()];
  const closeAll = async () => {
    for (const close of [...closers].reverse()) await close();
  };
  const server = await (async () => {
    if (smtpPort !== null) {
      const settings = {
        port: smtpPort,
        domains,
        tls: certificate,
        trustedPeers: trustedPeers(),
        check: senderCheck(domains),
      };
      const smtp = await openSmtpDoor(db, settings, now).catch((error) => {
        throw sayTaken(error, "JAM_SMTP_PORT", smtpPort);
      });
      closers.push(smtp.close);
      onDoor?.(smtp.port);
      // Mail is taken before the pages are ready: whoever hands it over should not have to come again.
      process.stdout.write(`Mail for ${domains.join(", ")} is taken at port ${smtp.port}.\n`);
    }
    if (smtpOut) {
      const outbox = await startOutbox(db, smtpCarrier(smtpOut), now, pglite !== null);
      closers.push(outbox.stop);
    }
    closers.push(
      startReturns(db, now, smtpOut ? (process.env.JAM_URL?.replace(/\/+$/, "") ?? `http://localhost:${port}`) : null)
        .stop,
    );
    const key = () => mailboxKey(databaseSettings(what, false).folder);
    const mailboxes = startMailboxes(db, key, now, pglite !== null);
    closers.push(mailboxes.stop);
    const pages = await openPages(dir, port).catch((error) => {
      throw sayTaken(error, "PORT", port);
    });
    closers.push(async () => {
      pages.close();
      pages.closeAllConnections();
    });
    return pages;
  })().catch(async (error) => {
    await closeAll();
    throw error;
  });
  // Listened for before it says that it is ready: whoever waits for that may stop it at once.
  const toldToStop = new Promise<void>((resolve) => {
    stopWithLauncher(resolve);
    for (const signal of ["SIGTERM", "SIGINT", "SIGHUP"] as const) process.once(signal, () => resolve());
  });
  const address = server.address();
  process.stdout.write(
    `Jam Kettle is ready at http://localhost:${typeof address === "object" && address ? address.port : port}\n`,
  );
  if (typeof address === "object" && address) void warm(address.port);
  await toldToStop;
  setTimeout(() => process.exit(1), LONGEST_STOP_MS).unref();
  process.stdout.write("Stopping.\n");
  await closeAll();
  process.exit(0);
}
