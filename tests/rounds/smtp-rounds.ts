import crypto from "node:crypto";
import path from "node:path";
import nodemailer from "nodemailer";
import { jamIn, scratch } from "../command/jam";
import { copyEmpty } from "../empty-databases";
import { pause, seeded } from "./seeded";

/** What came of rounds of killing the server while letters come in. */
export interface RoundsResult {
  readonly rounds: number;
  readonly tried: number;
  readonly acknowledged: number;
  /** Acknowledged letters that are not there byte for byte. */
  readonly lost: readonly string[];
  /** Letters that are there more than once. */
  readonly doubled: readonly string[];
}

const SENDERS = 3;
const LONGEST_LIFE_MS = 1_500;

/** Letters of all sizes, with lines that begin with a dot (RFC 5321 section 4.5.2). */
function letterOf(id: string, random: () => number): string {
  const lines = Array.from(
    { length: Math.ceil(random() * 200) },
    (_, i) => `${i % 7 === 0 ? "." : ""}line ${i} of ${id}`,
  );
  return [
    "From: Ada Lund <ada@beech.example>",
    "To: hello@house.example",
    `Subject: Letter ${id}`,
    `Message-ID: <${id}@beech.example>`,
    "Date: Tue, 24 Nov 2026 09:00:00 +0000",
    "",
    ...lines,
    "",
  ].join("\r\n");
}

/**
 * Starts the server, lets several clients hand letters over by SMTP, kills the server with -9 at a random moment, and begins
 * again; at the end every letter that was answered with 250 is looked for.
 */
export async function smtpRounds(
  rounds: number,
  port: number,
  seed: number,
  tell: (round: number) => void,
): Promise<RoundsResult> {
  const random = seeded(seed);
  const box = scratch();
  const jam = jamIn(path.join(box.folder, "data"), {
    PORT: String(port),
    JAM_SMTP_PORT: String(port + 1),
    JAM_DOMAIN: "house.example",
  });
  copyEmpty(path.join(box.folder, "data"));
  const acknowledged = new Map<string, string>();
  let tried = 0;
  try {
    for (let round = 1; round <= rounds; round += 1) {
      const server = jam.start(["serve"]);
      await server.until("Mail for house.example is taken");
      let isAlive = true;
      const senders = Array.from({ length: SENDERS }, async (_, sender) => {
        const transport = nodemailer.createTransport({
          host: "127.0.0.1",
          port: port + 1,
          pool: true,
          maxConnections: 1,
          ignoreTLS: true,
        });
        for (let n = 0; isAlive; n += 1) {
          const id = `${round}-${sender}-${n}`;
          const raw = letterOf(id, random);
          tried += 1;
          try {
            const sent = await transport.sendMail({
              envelope: { from: "ada@beech.example", to: ["hello@house.example"] },
              raw,
            });
            if (sent.response.startsWith("250"))
              acknowledged.set(id, crypto.createHash("sha256").update(raw).digest("hex"));
          } catch {
            // Not acknowledged: it may be there or not.
          }
        }
        transport.close();
      });
      // Most rounds end among acknowledged letters, every fourth while the first are on their way.
      const before = acknowledged.size;
      const waitMs = 50 + random() * LONGEST_LIFE_MS;
      while (round % 4 !== 0 && acknowledged.size === before && server.child.exitCode === null) await pause(20);
      await pause(waitMs);
      server.child.kill("SIGKILL");
      await server.ended;
      isAlive = false;
      await Promise.all(senders);
      tell(round);
    }
    const listed = jam.run(["letters", "--json"]);
    if (listed.code !== 0) throw new Error(listed.err);
    const kept = listed.out
      .split("\n")
      .filter((line) => line !== "")
      .map((line) => JSON.parse(line) as { sha256: string; messageId: string });
    const sums = new Set(kept.map((one) => one.sha256));
    const counts = new Map<string, number>();
    for (const { messageId } of kept) counts.set(messageId, (counts.get(messageId) ?? 0) + 1);
    return {
      rounds,
      tried,
      acknowledged: acknowledged.size,
      lost: [...acknowledged].filter(([, sum]) => !sums.has(sum)).map(([id]) => id),
      doubled: [...counts].filter(([, count]) => count > 1).map(([id]) => id),
    };
  } finally {
    box.remove();
  }
}
