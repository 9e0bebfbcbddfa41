import path from "node:path";
import { defineConfig } from "vitest/config";

export default defineConfig({
  resolve: { alias: { "@": path.resolve(import.meta.dirname, "src") } },
  test: {
    include: [
      "src/**/*.test.ts",
      "tests/data/**/*.test.ts",
      "tests/reading/**/*.test.ts",
      "tests/outside/**/*.test.ts",
      "tests/command/**/*.test.ts",
      "tests/rounds/**/*.test.ts",
    ],
    globalSetup: "tests/empty-databases.ts",
    pool: "forks",
    maxWorkers: 2,
    testTimeout: 120_000,
    hookTimeout: 120_000,
    // The clocks of servers differ: dates must not.
    env: { TZ: "Pacific/Auckland", JAM_ROOT: import.meta.dirname },
  },
});
