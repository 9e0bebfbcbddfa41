import path from "node:path";
import { defineConfig } from "vitest/config";
import { BaseSequencer, type TestSpecification } from "vitest/node";

/** Files that take longest, the longest first: begun last, one of them would keep the other workers waiting at the end. */
const LONGEST = ["rounds/rounds", "command/command", "data/demo", "data/taught", "data/imap", "data/learnt"];

function rank({ moduleId }: TestSpecification): number {
  const place = LONGEST.findIndex((name) => moduleId.endsWith(`${name}.test.ts`));
  return place === -1 ? LONGEST.length : place;
}

/** Begins with the files that take longest; the others follow in the usual order. */
class LongestFirst extends BaseSequencer {
  override async sort(files: TestSpecification[]): Promise<TestSpecification[]> {
    return (await super.sort(files)).sort((a, b) => rank(a) - rank(b));
  }
}

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
    isolate: false,
    setupFiles: "tests/own-state.ts",
    sequence: { sequencer: LongestFirst },
    testTimeout: 120_000,
    hookTimeout: 120_000,
    // The clocks of servers differ: dates must not.
    env: { TZ: "Pacific/Auckland", JAM_ROOT: import.meta.dirname },
  },
});
