import { spawn } from "node:child_process";
import { chromium } from "@playwright/test";
import { BATCH, takeIn } from "../src/acts/take-in";
import { CHROMIUM } from "../tests/browser/chromium";
import { BENCH_SIGN_IN, benchHouse } from "./house";
import { quantile, say } from "./measure";

const PRESSES = 60;
const PORT = 3988;

/** Runs in the page, as text: the loader that runs this file would put helpers into a function that the page does not have. */
const PRESS_AND_WAIT = `(async () => {
  const heading = () => document.querySelector('section[aria-label="The letter"] h2')?.textContent;
  const before = heading();
  const start = performance.now();
  window.dispatchEvent(new KeyboardEvent("keydown", { key: "ArrowRight", bubbles: true, cancelable: true }));
  while (heading() === before || heading() === undefined) {
    await new Promise((resolve) => requestAnimationFrame(resolve));
    if (performance.now() - start > 5000) break;
  }
  // The frame after the change is the one in which it is painted.
  await new Promise((resolve) => requestAnimationFrame(() => setTimeout(resolve, 0)));
  return performance.now() - start;
})()`;

function letter(n: number): Buffer {
  const day = 1 + (n % 24);
  return Buffer.from(
    [
      `From: Writer ${n % 90} <w${n % 90}@out.example>`,
      `To: ${BENCH_SIGN_IN.email}`,
      `Subject: Matter ${n}`,
      `Message-ID: <bench-${n}@out.example>`,
      `Date: ${day} Nov 2026 0${n % 10}:${10 + (n % 50)}:00 +0000`,
      "",
      `Hello Ines,\n\nCould you send us sheet ${n} by Friday? The last one came with a hole in it.\n\nI'll ring you on Monday.\n\nWriter ${n % 90}\n`,
    ].join("\r\n"),
  );
}

/** Serves a folder, opens Sort in a browser and measures from the key press to the frame in which the next letter stands. */
async function measure(folder: string): Promise<number[]> {
  const server = spawn(process.execPath, ["bin/jam.mjs", "serve"], {
    env: { ...process.env, JAM_DATA: folder, PORT: String(PORT), DATABASE_URL: "" },
    stdio: ["ignore", "pipe", "inherit"],
  });
  await new Promise<void>((resolve) =>
    server.stdout.on("data", (chunk: Buffer) => chunk.toString().includes("ready at") && resolve()),
  );
  const browser = await chromium.launch(CHROMIUM);
  try {
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
    await page.goto(`http://localhost:${PORT}/sign-in`);
    await page.getByLabel("E-mail").fill(BENCH_SIGN_IN.email);
    await page.getByLabel("Password").fill(BENCH_SIGN_IN.password);
    await page.getByRole("button", { name: "Sign in", exact: true }).click();
    await page.waitForURL("**/sort**");
    await page.waitForTimeout(2_000);
    const times: number[] = [];
    for (let i = 0; i < PRESSES; i += 1) {
      times.push(await page.evaluate<number>(PRESS_AND_WAIT));
      await page.waitForTimeout(120);
    }
    return times;
  } finally {
    await browser.close();
    const ended = new Promise((resolve) => server.once("exit", resolve));
    server.kill("SIGTERM");
    await ended;
  }
}

/** Key press to next letter painted, with few and with many conversations in Sort. */
export async function benchNextLetter(): Promise<void> {
  const medians: number[] = [];
  for (const count of [200, 10_000]) {
    const house = await benchHouse();
    for (let n = 0; n < count; n += BATCH)
      await takeIn(
        house.open.db,
        Array.from({ length: Math.min(BATCH, count - n) }, (_, i) => ({ raw: letter(n + i) })),
        house.wayInId,
        Date.now(),
      );
    await house.open.close();
    const times = await measure(house.folder);
    medians.push(quantile(times, 0.5));
    say(`Key press to next letter painted, ${count} conversations`, {
      "p50 ms": quantile(times, 0.5),
      "p95 ms": quantile(times, 0.95),
    });
    await house.remove().catch(() => {});
  }
  say("Key press to next letter, 10 000 against 200 conversations", { "p50 times": medians[1]! / medians[0]! });
}
