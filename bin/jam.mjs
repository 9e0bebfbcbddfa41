#!/usr/bin/env node
// The `jam` command: runs the bundle of src/cli/main.ts, or, where that is not made or is old, the sources through tsx. Both in
// this very process, so that it needs no build of its own and signals reach it directly.
import path from "node:path";
import { freshBundle } from "./bundle.mjs";

const root = path.resolve(import.meta.dirname, "..");
process.env.JAM_ROOT = root;
process.env.NEXT_TELEMETRY_DISABLED = "1";
const bundle = freshBundle(root);
// The thread that reads is to be of the same making.
process.env.JAM_BUNDLE = bundle ?? "";
if (bundle) await import(path.join(bundle, "main.js"));
else {
  const { register } = await import("tsx/esm/api");
  register({ tsconfig: path.join(root, "tsconfig.json") });
  await import("../src/cli/main.ts");
}
