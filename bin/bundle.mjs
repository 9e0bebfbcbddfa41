import fs from "node:fs";
import path from "node:path";

/** The folder of the bundle, seen from the product's root. */
export const BUNDLE = ".jam-command";

/** What the bundle is made of, or made by: a newer file among these makes it old. */
const MADE_OF = ["src", "package-lock.json", "tsconfig.json"];

/** The time of the newest of files and folders; a folder's own tells when something in it was added or taken away. */
function newest(file) {
  const found = fs.statSync(file);
  const inside = found.isDirectory() ? fs.readdirSync(file) : [];
  return Math.max(found.mtimeMs, ...inside.map((name) => newest(path.join(file, name))));
}

/** The folder of the bundle of a product, or null where it is not made, or older than what it is made of. */
export function freshBundle(root) {
  const folder = path.join(root, BUNDLE);
  try {
    const made = fs.statSync(path.join(folder, "main.js")).mtimeMs;
    return made > Math.max(...MADE_OF.map((one) => newest(path.join(root, one)))) ? folder : null;
  } catch {
    return null;
  }
}
