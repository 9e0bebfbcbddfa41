import { spawnSync } from "node:child_process";
import crypto from "node:crypto";
import fs from "node:fs";
import os from "node:os";
import path from "node:path";
import { describe, expect, test } from "vitest";
import { messagesOfMbox } from "@/core/exchange/mbox";
import { parseLetter } from "@/core/letters/parse-letter";
import { corpus } from "./pick";

interface Judged {
  fault?: string;
  at: number | null;
  offset: string | null;
  from: string;
  to: string[];
  subject: string | null;
  text: string | null;
  attachments: number;
  filenames: (string | null)[];
  messageId: string;
}

function python(script: string, input: Buffer | null, ...args: string[]): string {
  const result = spawnSync("/usr/bin/python3", [path.join(import.meta.dirname, script), ...args], {
    input: input ?? undefined,
    maxBuffer: 512 * 1024 * 1024,
  });
  if (result.status !== 0) throw new Error(result.stderr.toString());
  return result.stdout.toString();
}

function judgedByPython(raws: readonly Uint8Array[]): Judged[] {
  const packed = Buffer.concat(
    raws.flatMap((raw) => [Buffer.from(new Uint32Array([raw.length]).buffer).reverse(), Buffer.from(raw)]),
  );
  return python("python_mail.py", packed)
    .trim()
    .split("\n")
    .map((line) => JSON.parse(line) as Judged);
}

/** All letters of real people in the corpus: 4 150 of them. */
const SETS = ["easy-ham-1", "easy-ham-2", "hard-ham-1"] as const;

/** Share of letters on which the two must agree; the rest are headers that break the standard, mended in two ways. */
const AGREE = 0.995;
const SAME_TEXT = 0.99;

const flat = (text: string) => text.replace(/[\s\ufffd]+/g, " ").trim();

describe("against Python's email package, on the public corpus", async () => {
  const files = SETS.flatMap((set) => corpus(Number.POSITIVE_INFINITY, set));
  const judged = judgedByPython(files.map(({ raw }) => raw));
  const parsed = await Promise.all(files.map(async ({ raw }) => parseLetter(raw)));
  const pairs = files
    .map(({ name }, i) => ({ name, python: judged[i]!, ours: parsed[i]! }))
    .filter(({ python: p }) => !p.fault);

  test("every letter is read", () => {
    expect(pairs.length).toBeGreaterThan(4_100);
    expect(parsed.filter((one) => !one.ok)).toEqual([]);
  });

  test("dates are the same instants, with the writer's offset", () => {
    let checked = 0;
    const differ: string[] = [];
    for (const { name, python: p, ours } of pairs) {
      if (!ours.ok || p.at === null) continue;
      // Python gives no zone for "-0000" and unknown names; ours counts them as UTC (RFC 5322 section 3.3, 4.3).
      if (p.offset === "naive") continue;
      if (ours.letter.sentAt! / 1000 !== p.at || ours.letter.offset !== p.offset) differ.push(name);
      checked += 1;
    }
    console.log(`dates: ${checked} compared, ${differ.length} differ: ${differ.slice(0, 8).join(", ")}`);
    expect(checked).toBeGreaterThan(3_400);
    expect(1 - differ.length / checked).toBeGreaterThanOrEqual(AGREE);
  });

  test("writers, recipients, subjects and Message-IDs are the same", () => {
    let same = 0;
    const differ: string[] = [];
    for (const { name, python: p, ours } of pairs) {
      if (!ours.ok) continue;
      const { letter } = ours;
      const isSame =
        (letter.from?.address ?? "") === p.from &&
        (p.subject === null || flat(letter.subject) === flat(p.subject)) &&
        (p.messageId === "" || `<${letter.messageId}>` === p.messageId) &&
        JSON.stringify(letter.to.map((who) => who.address).filter(Boolean)) ===
          JSON.stringify(p.to.filter((address) => address.includes("@")));
      if (isSame) same += 1;
      else differ.push(name);
    }
    console.log(
      `people, subjects, Message-IDs: ${same} same, ${differ.length} differ: ${differ.slice(0, 8).join(", ")}`,
    );
    expect(same / (same + differ.length)).toBeGreaterThanOrEqual(AGREE);
  });

  test("texts are the same words", () => {
    let same = 0;
    let checked = 0;
    for (const { python: p, ours } of pairs) {
      if (!ours.ok || p.text === null || ours.letter.text.length > 190_000) continue;
      checked += 1;
      if (flat(ours.letter.text) === flat(p.text) || flat(ours.letter.text).startsWith(flat(p.text).slice(0, 400)))
        same += 1;
    }
    console.log(`texts: ${checked} compared, ${same} same`);
    expect(checked).toBeGreaterThan(3_400);
    expect(same / checked).toBeGreaterThanOrEqual(SAME_TEXT);
  });

  test("attachments are found, with their names", async () => {
    let checked = 0;
    let found = 0;
    const missed: string[] = [];
    const withFiles = [...corpus(2_500), ...corpus(250, "hard-ham-1")].filter(({ raw }) =>
      /^content-disposition: attachment/im.test(raw.toString("latin1")),
    );
    const judgedFiles = judgedByPython(withFiles.map(({ raw }) => raw));
    for (const [i, { name, raw }] of withFiles.entries()) {
      const [p, ours] = [judgedFiles[i]!, await parseLetter(raw)];
      if (!ours.ok || p.attachments === 0) continue;
      for (const filename of p.filenames) {
        if (!filename || /[\\/\u0000-\u001f]/.test(filename)) continue;
        if (ours.letter.files.some((file) => file.name === filename)) found += 1;
        else missed.push(`${name}: ${filename}`);
        checked += 1;
      }
    }
    // Signatures of broken multipart/signed letters are cut differently by each reader.
    expect(missed.length).toBeLessThanOrEqual(2);
    expect(found).toBe(checked - missed.length);
    expect(checked).toBeGreaterThan(8);
  });

  test("a line quoted with > is never new text, and an unquoted line is never lost", () => {
    let quoted = 0;
    for (const { name, ours } of pairs) {
      if (!ours.ok) continue;
      const { text, parts } = ours.letter;
      expect([name, parts.map((part) => text.slice(part.start, part.end)).join("")]).toEqual([name, text]);
      for (const part of parts) {
        if (part.kind !== "new") continue;
        const wrong = text
          .slice(part.start, part.end)
          .split("\n")
          .filter((line) => /^> ?\S/.test(line));
        expect([name, wrong]).toEqual([name, []]);
      }
      quoted += parts.filter((part) => part.kind === "quoted").length;
    }
    expect(quoted).toBeGreaterThan(250);
  });
});

test("an mbox is cut as Python's mailbox package cuts it, byte for byte", async () => {
  const folder = fs.mkdtempSync(path.join(os.tmpdir(), "jam-mbox-"));
  const file = path.join(folder, "box");
  const letters = corpus(300).map(({ raw }) =>
    raw
      .toString("latin1")
      .replaceAll(/^(>*From )/gm, ">$1")
      .replace(/\n*$/, "\n"),
  );
  fs.writeFileSync(
    file,
    letters.map((letter) => `From someone@x.example Mon Sep  2 14:00:00 2002\n${letter}\n`).join(""),
    "latin1",
  );
  const expected = python("python_mbox.py", null, file).trim().split("\n");
  const ours: string[] = [];
  // Odd chunk sizes, so that separators fall across the ends of chunks.
  for await (const message of messagesOfMbox(fs.createReadStream(file, { highWaterMark: 1_777 }), 50_000_000))
    ours.push(crypto.createHash("sha256").update(message.raw).digest("hex"));
  fs.rmSync(folder, { recursive: true });
  expect(ours).toHaveLength(300);
  expect(ours).toEqual(expected);
});

test("a message beyond the limit is counted, not held, and the next one is read", async () => {
  async function* chunks() {
    yield Buffer.from("From a@b Mon Sep  2 14:00:00 2002\nSubject: big\n\n");
    for (let i = 0; i < 64; i += 1) yield Buffer.alloc(1_000_000, "x\n");
    yield Buffer.from("\n\nFrom a@b Mon Sep  2 14:00:00 2002\nSubject: small\n\nhi\n");
  }
  const found = [];
  for await (const message of messagesOfMbox(chunks(), 50_000_000))
    found.push([message.tooLarge, Buffer.from(message.raw).toString()]);
  expect(found).toEqual([
    [64_000_016, ""],
    [null, "Subject: small\n\nhi\n"],
  ]);
});
