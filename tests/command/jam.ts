import { spawn, spawnSync } from "node:child_process";
import fs from "node:fs";
import os from "node:os";
import path from "node:path";

/** A data folder and the `jam` command on it, as a person at a shell has them. */
export function jamIn(folder: string, env: Record<string, string> = {}) {
  const full = { ...process.env, JAM_DATA: folder, DATABASE_URL: "", npm_command: "", ...env };
  return {
    run(words: readonly string[], input = "") {
      const result = spawnSync(process.execPath, ["bin/jam.mjs", ...words], {
        env: full,
        input,
        encoding: "utf8",
        maxBuffer: 64 * 1024 * 1024,
      });
      return { code: result.status, out: result.stdout, err: result.stderr };
    },
    start(words: readonly string[]) {
      const child = spawn(process.execPath, ["bin/jam.mjs", ...words], {
        env: full,
        stdio: ["ignore", "pipe", "pipe"],
      });
      let out = "";
      let err = "";
      child.stdout.on("data", (chunk: Buffer) => {
        out += chunk.toString();
      });
      child.stderr.on("data", (chunk: Buffer) => {
        err += chunk.toString();
      });
      const ended = new Promise<number | null>((resolve) => child.once("exit", resolve));
      return {
        child,
        ended,
        said: () => ({ out, err }),
        async until(text: string) {
          while (!out.includes(text)) {
            if (child.exitCode !== null) throw new Error(`jam ended with ${child.exitCode}: ${err}`);
            await new Promise((resolve) => setTimeout(resolve, 50));
          }
        },
      };
    },
  };
}

/** A scratch folder that is removed by `remove`. */
export function scratch(): { folder: string; write(name: string, content: string | Buffer): string; remove(): void } {
  const folder = fs.mkdtempSync(path.join(os.tmpdir(), "jam-command-"));
  return {
    folder,
    write(name, content) {
      const file = path.join(folder, name);
      fs.mkdirSync(path.dirname(file), { recursive: true });
      fs.writeFileSync(file, content);
      return file;
    },
    remove: () => fs.rmSync(folder, { recursive: true, force: true }),
  };
}
