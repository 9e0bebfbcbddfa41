import { defineConfig } from "@playwright/test";
import { CHROMIUM } from "./tests/browser/chromium";

export default defineConfig({
  testDir: "tests/browser",
  // Long enough for the slowest test on a busy two-core machine: it ends what hangs, it does not measure.
  timeout: 180_000,
  expect: { timeout: 20_000 },
  workers: 1,
  retries: 0,
  fullyParallel: false,
  reporter: [["list"], ["json"]],
  globalSetup: "./tests/browser/global-setup.ts",
  use: {
    baseURL: "http://localhost:3977",
    viewport: { width: 1280, height: 800 },
    timezoneId: "Europe/London",
    locale: "en-GB",
    launchOptions: CHROMIUM,
  },
});
