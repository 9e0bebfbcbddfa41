import { spawn } from "node:child_process";
import fs from "node:fs";
import type net from "node:net";
import os from "node:os";
import path from "node:path";
import { sql } from "drizzle-orm";
import { build } from "esbuild";
import { SMTPServer } from "smtp-server";
import { addPerson, makeOrganisation } from "@/acts/set-up";
import { openDatabase } from "@/data/engine/database";
import { newId } from "@/data/ids";
import { rowsOf } from "@/data/rows";
import { outgoing } from "@/data/schema-post";
import { copyEmpty } from "../empty-databases";
import { pause, seeded } from "./seeded";

/** What came of rounds of killing the sender, against a server that loses answers. */
export interface OutboxResult {
  readonly letters: number;
  readonly lostAnswers: number;
  readonly kills: number;
  /** Letters that neither arrived nor were given up loudly. */
  readonly missing: readonly string[];
  /** Letters that arrived more than twice. */
  readonly tooOften: readonly string[];
  /** Letters that arrived twice without being marked. */
  readonly unmarked: readonly string[];
}

/** How often the next server takes a letter and then breaks off before it answers. */
const LOSES = 0.4;

/** So many it loses first of all: on a slow machine few letters get through before the sender is killed. */
const LOSES_FIRST = 2;

/** Milliseconds without a letter after which no more are coming. */
const QUIET_MS = 15_000;

/** A next server that counts what it takes, and sometimes ends the connection where its answer should come. */
async function forgetfulServer(random: () => number) {
  const taken = new Map<string, number>();
  const sockets = new Map<number, net.Socket>();
  const state = { lostAnswers: 0, isHonest: false, lastTaken: Date.now() };
  const server = new SMTPServer({
    authOptional: true,
    disabledCommands: ["AUTH", "STARTTLS"],
    logger: false,
    onData(stream, session, done) {
      let text = "";
      stream.on("data", (piece: Buffer) => {
        text += piece.toString("latin1");
      });
      stream.on("end", () => {
        const id = /^message-id:\s*<([^>]+)>/im.exec(text)?.[1] ?? "";
        taken.set(id, (taken.get(id) ?? 0) + 1);
        state.lastTaken = Date.now();
        const loses = state.lostAnswers < LOSES_FIRST || random() < LOSES;
        if (state.isHonest || !loses) return done(null, "2.0.0 Taken");
        state.lostAnswers += 1;
        sockets.get(session.remotePort)?.destroy();
      });
    },
  });
  server.on("error", () => {});
  const inner = await new Promise<net.Server>((resolve) => {
    const listening = server.listen(0, "127.0.0.1", () => resolve(listening));
  });
  inner.on("connection", (socket: net.Socket) => sockets.set(socket.remotePort ?? 0, socket));
  return {
    taken,
    state,
    lastTaken: () => state.lastTaken,
    port: (inner.address() as net.AddressInfo).port,
    close: () => server.close(),
  };
}

/** Where the sender stands as one file: it is started again and again, and by its sources that takes most of each round. */
const SENDER = path.resolve(import.meta.dirname, "../../node_modules/.cache/jam-kettle/outbox-child.mjs");

async function bundleSender(): Promise<void> {
  await build({
    entryPoints: [path.join(import.meta.dirname, "outbox-child.ts")],
    outfile: SENDER,
    bundle: true,
    format: "esm",
    platform: "node",
    target: "node20",
    packages: "external",
    logLevel: "warning",
  });
}

/** Lets a sender work through letters, kills it with -9 at random moments, and looks at what the next server got. */
export async function outboxRounds(rounds: number, seed: number): Promise<OutboxResult> {
  const random = seeded(seed);
  const folder = fs.mkdtempSync(path.join(os.tmpdir(), "jam-outbox-"));
  copyEmpty(folder);
  await bundleSender();
  const server = await forgetfulServer(random);
  const letters = rounds * 6;
  try {
    const first = await openDatabase({ url: null, folder, what: "a test", mayShare: false });
    await makeOrganisation(first.db, { name: "Test", zone: "Europe/London", isDemo: false }, Date.now());
    const personId = (await addPerson(first.db, { name: "Ines", address: "ines@house.example" }))!;
    const at = new Date(Date.now() - 60_000);
    await first.db.insert(outgoing).values(
      Array.from({ length: letters }, (_, i) => ({
        id: newId(),
        messageId: `out-${i}@house.example`,
        personId,
        fromName: "Ines",
        fromAddress: "ines@house.example",
        to: [{ name: "", address: "ada@beech.example" }],
        cc: [],
        subject: `Letter ${i}`,
        text: "Hello.",
        references: [],
        createdAt: at,
        state: "waiting" as const,
        tries: 0,
        nextTry: at,
        maybeTwice: false,
      })),
    );
    await first.close();
    const start = async () => {
      const child = spawn(process.execPath, [SENDER, folder, `smtp://127.0.0.1:${server.port}`], {
        stdio: ["ignore", "pipe", "ignore"],
      });
      const ended = new Promise((resolve) => child.once("exit", resolve));
      await new Promise<void>((resolve) => {
        child.stdout.once("data", () => resolve());
        child.once("exit", () => resolve());
      });
      return { child, ended };
    };
    for (let round = 0; round < rounds; round += 1) {
      const { child, ended } = await start();
      await pause(50 + random() * 600);
      child.kill("SIGKILL");
      await ended;
    }
    server.state.isHonest = true;
    const lastTaken = server.lastTaken;
    const last = await start();
    server.state.lastTaken = Date.now();
    for (;;) {
      await pause(200);
      if (server.taken.size === letters || Date.now() - lastTaken() > QUIET_MS) break;
    }
    await pause(500);
    last.child.kill("SIGKILL");
    await last.ended;
    const open = await openDatabase({ url: null, folder, what: "a test", mayShare: false });
    const marked = new Set(
      (await rowsOf<{ id: string }>(open.db, sql`select message_id as id from outgoing where maybe_twice`)).map(
        (row) => row.id,
      ),
    );
    const givenUp = new Set(
      (await rowsOf<{ id: string }>(open.db, sql`select message_id as id from outgoing where state = 'given up'`)).map(
        (row) => row.id,
      ),
    );
    await open.close();
    const ids = Array.from({ length: letters }, (_, i) => `out-${i}@house.example`);
    return {
      letters,
      lostAnswers: server.state.lostAnswers,
      kills: rounds,
      missing: ids.filter((id) => !server.taken.has(id) && !givenUp.has(id)),
      tooOften: ids.filter((id) => (server.taken.get(id) ?? 0) > 2),
      unmarked: ids.filter((id) => (server.taken.get(id) ?? 0) > 1 && !marked.has(id)),
    };
  } finally {
    server.close();
    fs.rmSync(folder, { recursive: true, force: true });
  }
}
