import nodemailer from "nodemailer";
import { onChange } from "../src/acts/tell-screens";
import { sortPage } from "../src/data/queries/sort";
import { uncheckedSender } from "../src/post/check-sender";
import { openSmtpDoor } from "../src/post/smtp-in";
import { benchHouse } from "./house";
import { quantile, say } from "./measure";

const LETTERS = 40;

/** The time a person may wait for a letter that was handed over, in milliseconds. */
const PATIENCE_MS = 2_000;

/** From the moment a client begins to hand a letter over by SMTP until the list of Sort has it, as an open screen asks for it. */
export async function benchSmtpToList(): Promise<void> {
  const house = await benchHouse();
  const { db } = house.open;
  const door = await openSmtpDoor(
    db,
    { port: 0, domains: ["bench.example"], tls: null, check: uncheckedSender, trustedPeers: [] },
    () => Date.now(),
  );
  const transport = nodemailer.createTransport({ host: "127.0.0.1", port: door.port, ignoreTLS: true });
  const times: number[] = [];
  for (let n = 0; n < LETTERS; n += 1) {
    const subject = `Letter ${n}`;
    const began = performance.now();
    const shown = new Promise<void>((resolve) => {
      const off = onChange(async () => {
        const page = await sortPage(db, { personId: house.personId }, "sort", null);
        if (!page.rows.some((row) => row.subject === subject)) return;
        off();
        resolve();
      });
    });
    const to = "hello@bench.example";
    await transport.sendMail({ from: "Ada <ada@out.example>", to, subject, text: "Could you ring me by Friday?" });
    await shown;
    times.push(performance.now() - began);
  }
  const p95 = quantile(times, 0.95);
  say("from SMTP to the list", {
    "p50 ms": quantile(times, 0.5),
    "p95 ms": p95,
    "p95 of the patience of 2 s": p95 / PATIENCE_MS,
  });
  transport.close();
  await door.close();
  await house.remove();
}
