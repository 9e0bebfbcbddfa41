import fs from "node:fs";
import path from "node:path";
import { afterEach, beforeEach, expect, test } from "vitest";
import { freshBundle } from "../../bin/bundle.mjs";
import { scratch } from "./jam";

const EARLIER = new Date("2026-11-23T09:00:00Z");
const LATER = new Date("2026-11-24T09:00:00Z");

let box: ReturnType<typeof scratch>;
beforeEach(() => {
  box = scratch();
});
afterEach(() => box.remove());

/** Gives a file or a folder the time at which it was last written. */
function written(at: Date, ...names: readonly string[]) {
  for (const name of names) fs.utimesSync(path.join(box.folder, name), at, at);
}

/** A product of one source, with its bundle. */
function product({ made, source, folders }: { made: Date; source: Date; folders: Date }) {
  for (const name of ["src/core/read.ts", "package-lock.json", "tsconfig.json", ".jam-command/main.js"])
    box.write(name, "");
  written(made, ".jam-command/main.js");
  written(source, "src/core/read.ts");
  written(EARLIER, "package-lock.json", "tsconfig.json");
  written(folders, "src/core", "src");
  return box.folder;
}

test("a bundle that is newer than every source is run", () => {
  const folder = product({ made: LATER, source: EARLIER, folders: EARLIER });
  expect(freshBundle(folder)).toBe(path.join(folder, ".jam-command"));
});

test("a bundle older than a source is not run", () => {
  expect(freshBundle(product({ made: EARLIER, source: LATER, folders: EARLIER }))).toBeNull();
});

test("a bundle older than a folder in which a source was taken away is not run", () => {
  expect(freshBundle(product({ made: EARLIER, source: EARLIER, folders: LATER }))).toBeNull();
});

test("where none was made, there is none", () => {
  expect(freshBundle(box.folder)).toBeNull();
});
