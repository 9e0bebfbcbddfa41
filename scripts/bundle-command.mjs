// Makes one bundle of the command and of the thread that reads, so that neither loads its hundreds of modules one by one
// when it starts. bin/jam.mjs runs it as long as no source is newer.
import path from "node:path";
import { build } from "esbuild";
import { BUNDLE } from "../bin/bundle.mjs";

const root = path.resolve(import.meta.dirname, "..");
await build({
  absWorkingDir: root,
  entryPoints: { main: "src/cli/main.ts", "worker-part": "src/acts/reading/worker-part.ts" },
  outdir: path.join(root, BUNDLE),
  bundle: true,
  splitting: true,
  format: "esm",
  platform: "node",
  target: "node20",
  packages: "external",
  logLevel: "warning",
});
