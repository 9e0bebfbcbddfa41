import { expect, test } from "vitest";
import { automaticKind } from "./automatic";
import { baseSubject } from "./base-subject";
import { safeFileName } from "./file-name";
import { flowText } from "./flow-text";
import { htmlToText } from "./html-text";
import { parseLetter } from "./parse-letter";
import { splitText } from "./split-text";

const bytes = (text: string) => new TextEncoder().encode(text.replaceAll("\n", "\r\n"));

test("base subjects follow RFC 5256 section 2.1", () => {
  // The marks are those of the RFC's grammar (subj-refwd, subj-blob, subj-trailer, subj-fwd-hdr); the words are ours.
  const cases = [
    ["Re: Bolts", "Bolts"],
    ["RE[2]: Fw: Bolts", "Bolts"],
    ["[yard] Re: Bolts (fwd)", "Bolts"],
    ["Re: [yard] Bolts", "Bolts"],
    ["[Fwd: Bolts]", "Bolts"],
    ["Bolts  and\tnuts", "Bolts and nuts"],
    ["[yard]", "[yard]"],
    ["Re:", ""],
    ["AW: WG: Bolts", "Bolts"],
    ["Reply by Friday", "Reply by Friday"],
  ];
  for (const [subject, base] of cases) expect([subject, baseSubject(subject!)]).toEqual([subject, base]);
});

test("machines are known by their headers", () => {
  const kind = (headers: Record<string, string>, subject = "", from = "a@b.example") =>
    automaticKind(
      Object.entries(headers).map(([key, value]) => ({ key, value })),
      subject,
      from,
    );
  expect(kind({ "auto-submitted": "auto-replied" })).toBe("automatic reply"); // RFC 3834 section 5
  expect(kind({ "auto-submitted": "no" })).toBeNull(); // RFC 3834: "no" is a person
  expect(kind({ "content-type": "multipart/report; report-type=delivery-status" })).toBe("bounce"); // RFC 3464
  expect(kind({ "content-type": "multipart/report; report-type=disposition-notification" })).toBe("receipt"); // RFC 3798
  expect(kind({ "list-id": "<x>", "list-post": "<mailto:x>" })).toBe("list"); // RFC 2369, 2919
  expect(kind({ "list-id": "<x>", "list-post": "NO (announcements only)" })).toBe("newsletter"); // RFC 2369 section 3.4
  expect(kind({ "list-unsubscribe": "<mailto:x>" })).toBe("newsletter");
  expect(kind({ "list-id": "<x>", "in-reply-to": "<y@z.example>" })).toBe("list");
  expect(kind({ precedence: "bulk", "x-beenthere": "talk@x.example" })).toBe("list");
  expect(kind({ precedence: "bulk" })).toBe("newsletter");
  expect(kind({}, "", "rssfeeds@out.example")).toBe("newsletter");
  expect(kind({}, "Automatic reply: Bolts")).toBe("automatic reply");
  expect(kind({}, "Undelivered Mail Returned to Sender", "mailer-daemon@x.example")).toBe("bounce");
  expect(kind({}, "Bolts")).toBeNull();
});

test("new text is told from quoted text, signature and forwarded letter, and nothing is left out", () => {
  const kinds = (text: string, isForward = false) =>
    splitText(text, isForward).map((part) => [part.kind, text.slice(part.start, part.end).trim().split("\n")[0]]);
  expect(kinds("Yes, Monday.\n\nOn Tue, 24 Nov 2026 at 08:12, Colm wrote:\n> When?\n> C.\n")).toEqual([
    ["new", "Yes, Monday."],
    ["quoted", "On Tue, 24 Nov 2026 at 08:12, Colm wrote:"],
  ]);
  expect(kinds("> When?\nOn Monday.\n> Who?\nSuki.\n").map(([kind]) => kind)).toEqual([
    "quoted",
    "new",
    "quoted",
    "new",
  ]);
  expect(kinds("Hello\n-- \nInes\nLarkmoor\n").map(([kind]) => kind)).toEqual(["new", "signature"]);
  expect(
    kinds(
      "See below.\n\n---------- Forwarded message ----------\nFrom: A <a@b.example>\nSubject: x\n\nText\n",
      true,
    ).map(([kind]) => kind),
  ).toEqual(["new", "forwarded"]);
  expect(
    kinds("Top answer\n\n-----Original Message-----\nFrom: A\nSent: today\nTo: B\n\nold\n").map(([kind]) => kind),
  ).toEqual(["new", "quoted"]);
  expect(
    kinds("    Suki> When is the slide due,\n    Suki> and who takes it?\nOn Monday.\n").map(([kind]) => kind),
  ).toEqual(["quoted", "new"]);
  // What programs of lists put at the foot, without a rule, and with a rule that has a title.
  const wayOut = "To unsubscribe from this group, send a letter to leave@talk.example\n";
  expect(kinds(`Is it done?\n\n${wayOut}\n`).map(([kind]) => kind)).toEqual(["new", "footer"]);
  expect(
    kinds(`Is it done?\n------- Friends of the swing -------~-->\nBuy a swing\n\n${wayOut}`).map(([kind]) => kind),
  ).toEqual(["new", "footer"]);
  expect(kinds(wayOut).map(([kind]) => kind)).toEqual(["new"]);
  expect(
    kinds(`Dear Ines,\n\nTo unsubscribe people we click each one.\n\nCan you write us a script?\n`).map(
      ([kind]) => kind,
    ),
  ).toEqual(["new"]);
  const whole = "a\n> b\n\n\nc\n-- \nd";
  const parts = splitText(whole, false);
  expect(parts.map((part) => whole.slice(part.start, part.end)).join("")).toBe(whole);
});

test("folded lines flow together, meant ones stay", () => {
  const text =
    "This is a line that a mail program has folded at seventy-two signs or\nso, and here it ends.\n\nInes\nLarkmoor\n";
  const paragraphs = flowText(text, [{ kind: "new", start: 0, end: text.length }]);
  expect(paragraphs.map((paragraph) => [...paragraph.softBreaks].length)).toEqual([1, 0]);
  const table = "1 | Send the as-built drawings to the surveyor of the council | Suki\n2 | Order the net | Kofi\nBye\n";
  const [rows] = flowText(table, [{ kind: "new", start: 0, end: table.length }]);
  expect([...rows!.softBreaks]).toEqual([]);
});

test("names of files cannot leave their folder or hide their ending (RFC 2183 section 5, Unicode TR 36)", () => {
  expect(safeFileName("../../etc/passwd", 0, "text/plain")).toBe("passwd");
  expect(safeFileName("..\\..\\boot.ini", 0, "text/plain")).toBe("boot.ini");
  expect(safeFileName("invoice\u202Efdp.exe", 0, "x/y")).toBe("invoicefdp.exe");
  expect(safeFileName("a\u0000b\r\nc.txt", 0, "x/y")).toBe("abc.txt");
  expect(safeFileName("...", 2, "message/rfc822")).toBe("part-3.eml");
  expect(safeFileName(`${"n".repeat(500)}.pdf`, 0, "x/y")).toMatch(/^n{116}\.pdf$/);
});

test("odd messages are letters all the same", async () => {
  const empty = await parseLetter(bytes("From: a@b.example\nTo: c@d.example\n\n"));
  expect(empty).toMatchObject({ ok: true, letter: { sentAt: null, text: "", subject: "", files: [] } });
  const unknownCharset = await parseLetter(
    bytes('From: a@b.example\nContent-Type: text/plain; charset="klingon-8"\n\nHello bolts\n'),
  );
  expect(unknownCharset).toMatchObject({ ok: true, letter: { text: "Hello bolts" } });
  const old = await parseLetter(
    bytes("From: a@b.example\nDate: Thu, 1 Jan 1970 00:00:00 +0000\nSubject: =?utf-8?q?caf=C3=A9?=\n\nx\n"),
  );
  expect(old).toMatchObject({ ok: true, letter: { sentAt: 0, subject: "café" } });
  const many = await parseLetter(
    bytes(`From: a@b.example\nTo: ${Array.from({ length: 10_000 }, (_, i) => `p${i}@x.example`).join(",\n ")}\n\nx\n`),
  );
  expect(many.ok && many.letter.to.length).toBe(500);
});

test("what is no mail is said to be none", async () => {
  for (const raw of [
    new Uint8Array(0),
    new Uint8Array([0x89, 0x50, 0x4e, 0x47, 0, 0, 0, 13]),
    bytes("Just a note.\nNothing else.\n"),
    bytes('{ "json": true }\n'),
  ]) {
    const result = await parseLetter(raw);
    expect(result.ok).toBe(false);
    expect(!result.ok && result.why.length).toBeGreaterThan(10);
  }
});

test("HTML gives its words, however deep it is nested", () => {
  expect(
    htmlToText("<p>Hello&nbsp;<b>Ines</b></p><script>alert(1)</script><blockquote>old</blockquote>").replace(
      /\s+/g,
      " ",
    ),
  ).toBe("Hello Ines > old");
  expect(htmlToText(`${"<div>".repeat(40_000)}deep`)).toContain("deep");
});
