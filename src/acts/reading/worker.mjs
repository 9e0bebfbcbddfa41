// The thread that parses and reads letters. Plain JavaScript: a worker is started from a file; what it runs is loaded as the
// command itself was, from its bundle or through tsx.
import path from "node:path";
import { workerData } from "node:worker_threads";

const bundle = process.env.JAM_BUNDLE;
if (bundle) await import(path.join(bundle, "worker-part.js"));
else {
  const { register } = await import("tsx/esm/api");
  register({ tsconfig: path.join(workerData.root, "tsconfig.json") });
  await import("./worker-part.ts");
}
