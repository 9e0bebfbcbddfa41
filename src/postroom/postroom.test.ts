import fs from "node:fs";
import path from "node:path";
import zlib from "node:zlib";
import { describe, expect, test } from "vitest";
import { letterFile } from "../core/letters/letter-files";
import { parseLetter } from "../core/letters/parse-letter";
import { weekdayOf } from "../core/time/day";
import { dayOf } from "../core/time/moment";
import { compose } from "./compose";
import { fitDays, placed, referenceDay } from "./demo-days";
import { demoFile } from "./demo-files";
import { FIRMS, OUTSIDERS, PROJECTS, TEAM } from "./larkmoor/people";
import { parseScript } from "./parse-script";

const folder = path.join(import.meta.dirname, "larkmoor");
const scripts = fs
  .readdirSync(folder)
  .filter((name) => name.endsWith(".txt") && !["tasks.txt", "handing.txt"].includes(name));
const conversations = scripts.flatMap((name) => parseScript(fs.readFileSync(path.join(folder, name), "utf8")));

describe("the demo's script", () => {
  test("has the people, firms, projects and letters it promises", () => {
    expect(TEAM).toHaveLength(9);
    expect(FIRMS.filter((firm) => firm.kind === "client")).toHaveLength(4);
    expect(FIRMS.filter((firm) => firm.kind === "supplier")).toHaveLength(5);
    expect(PROJECTS).toHaveLength(6);
    const letters = conversations.flatMap((conversation) => conversation.letters);
    expect(letters.length).toBeGreaterThanOrEqual(240);
    const waiting = conversations.filter((conversation) => conversation.outcome === "sort").length;
    expect(waiting).toBeGreaterThanOrEqual(20);
    expect(waiting).toBeLessThanOrEqual(30);
    for (const flag of ["auto", "news", "notice", "bounce", "receipt", "list", "fwd", "html"])
      expect([flag, letters.some((letter) => letter.flags.includes(flag))]).toEqual([flag, true]);
    for (const ending of [".pdf", ".png", ".csv"])
      expect(letters.some((letter) => letter.files.some((file) => file.endsWith(ending)))).toBe(true);
  });

  test("names nobody who could be real: every address lies under .example", () => {
    for (const { address } of OUTSIDERS) expect(address).toMatch(/\.example$/);
    const words = scripts.map((name) => fs.readFileSync(path.join(folder, name), "utf8")).join("\n");
    const addresses = words.match(/[\w.+-]+@[\w.-]+\.\w+/g) ?? [];
    expect(addresses.length).toBeGreaterThan(1);
    for (const address of addresses) expect(address).toMatch(/\.example$/);
  });

  test("a line that cannot be read is a fault, not a gap", () => {
    expect(() => parseScript("# Subject\n+ only | two\n")).toThrow("cannot be read");
    expect(() => parseScript("# Subject without letters\n= nothing ines\n")).toThrow("without letters");
  });
});

describe("the demo's days", () => {
  const moments = [
    "2026-11-24T11:20:00Z",
    "2026-11-24T08:00:00Z",
    "2026-11-28T12:00:00Z",
    "2026-11-30T07:00:00Z",
    "2027-03-28T09:30:00Z",
    "2026-12-31T23:59:00Z",
  ];

  test("the newest letters lie on a working day on which they can have come", () => {
    expect(moments.map((moment) => referenceDay(Date.parse(moment)))).toEqual([
      "2026-11-24",
      "2026-11-23",
      "2026-11-27",
      "2026-11-27",
      "2027-03-26",
      "2026-12-31",
    ]);
  });

  test("weekdays in the script stay true, and nothing lies ahead", () => {
    const names = ["mon", "tue", "wed", "thu", "fri", "sat", "sun"];
    let checked = 0;
    for (const moment of moments) {
      const reference = referenceDay(Date.parse(moment));
      for (const { when } of conversations.flatMap((conversation) => conversation.letters)) {
        const { day, at } = placed(when, reference, "Europe/London");
        expect(day).toBe(dayOf({ at, zone: "Europe/London" }));
        expect([when, at <= Date.parse(moment)]).toEqual([when, true]);
        if (when.startsWith("w")) expect(names[weekdayOf(day) - 1]).toBe(when.split(" ")[1]);
        checked += 1;
      }
    }
    expect(checked).toBeGreaterThan(1_400);
  });

  test("days in words are made to fit, and never fall on a weekend", () => {
    expect(fitDays("by {wd+3}, on {w+2}, in week {week+3}", "2026-11-24")).toBe(
      "by Friday 27 November, on Thursday, in week 51",
    );
    expect(fitDays("{wd+4}", "2026-11-24")).toBe("Monday 30 November");
    expect(fitDays("{w+1}", "2026-11-27")).toBe("Monday");
    const left = conversations
      .flatMap((conversation) => conversation.letters)
      .filter((letter) => /\{/.test(fitDays(letter.body, "2026-11-24")));
    expect(left).toEqual([]);
  });
});

describe("the demo's letters", () => {
  test("are real messages, the same every time, and each answers the one before", async () => {
    let letters = 0;
    for (const [number, conversation] of conversations.entries()) {
      const composed = await compose(conversation, number, "2026-11-24");
      const again = await compose(conversation, number, "2026-11-24");
      let previous: string | null = null;
      for (const [i, { raw, at }] of composed.entries()) {
        expect(Buffer.compare(raw, again[i]!.raw)).toBe(0);
        const parsed = await parseLetter(raw);
        if (!parsed.ok) throw new Error(parsed.why);
        expect(parsed.letter.sentAt).toBe(at);
        expect(parsed.letter.files.map((file) => file.name)).toEqual(conversation.letters[i]!.files);
        if (previous) expect(parsed.letter.references).toContain(previous);
        previous = parsed.letter.messageId;
        letters += 1;
      }
    }
    expect(letters).toBeGreaterThanOrEqual(240);
  });

  test("machines' letters are known as such, people's are not", async () => {
    let machines = 0;
    for (const [number, conversation] of conversations.entries()) {
      for (const [i, { raw }] of (await compose(conversation, number, "2026-11-24")).entries()) {
        const parsed = await parseLetter(raw);
        const isMachine = conversation.letters[i]!.flags.some((flag) =>
          ["auto", "news", "notice", "bounce", "receipt", "list"].includes(flag),
        );
        expect([conversation.subject, parsed.ok && parsed.letter.automatic !== null]).toEqual([
          conversation.subject,
          isMachine,
        ]);
        machines += Number(isMachine);
      }
    }
    expect(machines).toBeGreaterThanOrEqual(16);
  });

  test("files are what their names say", async () => {
    const pdf = demoFile("plan.pdf").content.toString("latin1");
    expect(pdf.startsWith("%PDF-1.4")).toBe(true);
    // ISO 32000-1, 7.5.5: the last number says where the table of objects begins.
    const at = Number(/startxref\n(\d+)\n%%EOF/.exec(pdf)?.[1]);
    expect(pdf.slice(at, at + 4)).toBe("xref");
    const png = demoFile("hole.png").content;
    expect([...png.subarray(0, 8)]).toEqual([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a]);
    const data = png.subarray(png.indexOf("IDAT") + 4, png.indexOf("IEND") - 8);
    // PNG (RFC 2083): a filter byte and 160 pixels a row, 100 rows.
    expect(zlib.inflateSync(data)).toHaveLength(161 * 100);
    const csv = demoFile("levels.csv").content.toString();
    expect(csv.split("\r\n").every((line) => line === "" || line.split(",").length === 4)).toBe(true);
    const [conversation] = parseScript("# S\nmair > ines @ d-0 09:00 | files: a.png\nHello\n= sort\n");
    const [letter] = await compose(conversation!, 0, "2026-11-24");
    expect(
      Buffer.compare(Buffer.from((await letterFile(new Uint8Array(letter!.raw), 0))!), demoFile("a.png").content),
    ).toBe(0);
    expect(await letterFile(new Uint8Array(letter!.raw), 7)).toBeNull();
  });
});
