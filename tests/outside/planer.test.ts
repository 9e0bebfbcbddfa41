import fs from "node:fs";
import path from "node:path";
import { expect, test } from "vitest";
import { splitText } from "@/core/letters/split-text";

// The cases of npm planer 1.2.0, test/planerText.test.coffee (MIT): replies with what is new in them. Read from the
// package, so that none is forgotten.

const source = fs.readFileSync(path.join(process.cwd(), "node_modules/planer/test/planerText.test.coffee"), "utf8");

/** CoffeeScript's block strings lose the indentation that all their lines share. */
function dedent(block: string): string {
  const [first, ...rest] = block.split("\n");
  const indents = rest.filter((line) => line.trim() !== "").map((line) => /^ */.exec(line)![0].length);
  const least = Math.min(...indents, 99);
  return [first, ...rest.map((line) => line.slice(least))].join("\n");
}

interface Case {
  readonly name: string;
  readonly body: string;
  readonly fresh: string;
}

function cases(): Case[] {
  const found: Case[] = [];
  for (const block of source.split(/^ {2}it /m).slice(1)) {
    const name = /^'([^']+)'/.exec(block)![1]!;
    let body = "";
    let reply = "";
    for (const match of block.matchAll(
      /(msgBody|reply) ?= ?"""([\s\S]*?)"""|msgBody = (["'])((?:(?!\3).)*)\3|\.to\.equal\((?:'([^']*)'|(\w+))\)/g,
    )) {
      const [, target, text, , line, literal, variable] = match;
      if (target === "msgBody") body = dedent(text!);
      else if (target === "reply") reply = dedent(text!);
      else if (line !== undefined) body = line.replaceAll("\\n", "\n");
      else if (literal !== undefined) found.push({ name, body, fresh: literal });
      else if (variable) found.push({ name, body, fresh: variable === "reply" ? reply : body });
    }
  }
  return found;
}

/** Where we differ on purpose: planer takes answers between quoted lines, and forwarded letters, for one text with their ground. */
const OURS: Readonly<Record<string, string>> = {
  "detects inline replies": "Please see my responses inline\nResponse 1\nResponse 2",
  "preserves forwarded messages": "FYI",
  // A lone "From:" is no history: "From: the station, take the bus" is a letter.
  "is not fooled into thinking a link ends a quotation 8.45am-1pm":
    "8.45am-1pm From: somebody@example.com <http://email.example.com/c/dHJhY2tpbmdfY29kZT1mMDdjYzBmNzM1ZjYzMGIxNT Requester:",
};

const flat = (text: string) => text.replace(/\s+/g, " ").trim();

test.each(cases())("$name", ({ name, body, fresh }) => {
  const parts = splitText(body, false);
  const ours = parts.filter((part) => part.kind === "new").map((part) => body.slice(part.start, part.end));
  expect(parts.map((part) => body.slice(part.start, part.end)).join("")).toBe(body);
  expect(flat(ours.join(" "))).toBe(flat(OURS[name] ?? OURS[`${name} ${fresh}`] ?? fresh));
});

test("the list of cases is read whole", () => {
  expect(cases().length).toBeGreaterThanOrEqual(35);
});
