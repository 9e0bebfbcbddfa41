import { execFile } from "node:child_process";
import os from "node:os";
import path from "node:path";
import { promisify } from "node:util";
import { z } from "zod";
import { say } from "./measure";

/** Parts into which the labelled sets are put, each held back once; to learn anew from the others takes some ten minutes. */
const FOLDS = 6;

const told = z.object({
  of: z.enum(["letters", "marked letters", "conversations"]),
  set: z.string(),
  figures: z.record(z.string(), z.number()),
});
type Told = z.infer<typeof told>;

const run = promisify(execFile);

async function foldOf(fold: number): Promise<Told[]> {
  const script = path.join(import.meta.dirname, "reading-fold.ts");
  const { stdout } = await run(process.execPath, ["--import", "tsx", script, String(fold), String(FOLDS)]);
  return stdout
    .trim()
    .split("\n")
    .map((line) => told.parse(JSON.parse(line)));
}

/** A share of all sets together, each as heavy as what was counted in it. */
function together(all: readonly Told[], share: string, weight: (figures: Told["figures"]) => number): number {
  const sum = all.reduce((total, { figures }) => total + weight(figures), 0);
  return all.reduce((total, { figures }) => total + figures[share]! * weight(figures), 0) / sum;
}

/**
 * Prints how well sets are read and followed by what all others teach: a part of them at a time, on as many cores as there are, and
 * then all together.
 */
export async function sayHeldBack(): Promise<void> {
  const all: Told[][] = [];
  let next = 0;
  const work = async () => {
    while (next < FOLDS) {
      const fold = next++;
      all[fold] = await foldOf(fold);
    }
  };
  await Promise.all(Array.from({ length: os.availableParallelism() }, work));
  for (const { of, set, figures } of all.flat())
    say(`${of === "conversations" ? set : `${of}, set ${set}`}, held back from what is learnt`, figures);
  const letters = all.flat().filter(({ of }) => of === "letters");
  const found = ({ labels, found: slips }: Told["figures"]) => labels! + slips!;
  say("all letters, held back", {
    labels: letters.reduce((sum, { figures }) => sum + figures.labels!, 0),
    finding: together(letters, "finding", found),
    kind: together(letters, "kind", found),
  });
  const conversations = all.flat().filter(({ of }) => of === "conversations");
  say("all conversations, held back", {
    changes: conversations.reduce((sum, { figures }) => sum + figures.changes!, 0),
    opening: together(conversations, "opening", ({ opens }) => opens!),
    change: together(conversations, "change", ({ changes }) => changes!),
  });
}
