#!/usr/bin/env node
// The `jam` command: starts src/cli/main.ts through tsx, so that it needs no build of its own.
import { spawnSync } from "node:child_process";
import { createRequire } from "node:module";
import path from "node:path";

const root = path.resolve(import.meta.dirname, "..");
const tsx = createRequire(import.meta.url).resolve("tsx/cli");
const result = spawnSync(process.execPath, [tsx, "--tsconfig", path.join(root, "tsconfig.json"), path.join(root, "src/cli/main.ts"), ...process.argv.slice(2)], {
  stdio: "inherit",
  env: { ...process.env, JAM_ROOT: root },
});
process.exit(result.status ?? 1);
