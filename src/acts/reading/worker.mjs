// The thread that parses and reads letters. Plain JavaScript: a worker is started from a file, not a bundle; what it runs
// is loaded through tsx, like everything on the command line.
import path from "node:path";
import { workerData } from "node:worker_threads";
import { register } from "tsx/esm/api";

register({ tsconfig: path.join(workerData.root, "tsconfig.json") });
await import("./worker-part.ts");
