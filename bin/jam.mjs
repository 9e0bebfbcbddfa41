#!/usr/bin/env node
// The `jam` command: runs src/cli/main.ts in this very process through tsx, so that it needs no build of its own and
// signals reach it directly.
import path from "node:path";
import { register } from "tsx/esm/api";

const root = path.resolve(import.meta.dirname, "..");
process.env.JAM_ROOT = root;
process.env.NEXT_TELEMETRY_DISABLED = "1";
register({ tsconfig: path.join(root, "tsconfig.json") });
await import("../src/cli/main.ts");
