import { describe, expect, test } from "vitest";
import type { Letter } from "./letter";
import { letterFile } from "./letter-files";
import { parseLetter } from "./parse-letter";

const HEAD =
  "From: Ada Lund <ada@beech.example>\r\nTo: team@house.example\r\nDate: Tue, 24 Nov 2026 09:00:00 +0100\r\n";

async function letterOf(raw: string | Uint8Array): Promise<Letter> {
  const parsed = await parseLetter(typeof raw === "string" ? Buffer.from(raw) : raw);
  if (!parsed.ok) throw new Error(parsed.why);
  return parsed.letter;
}

const withText = (subject: string, text: string) =>
  letterOf(
    `${HEAD}Subject: ${subject}\r\nMessage-ID: <a@beech.example>\r\nContent-Type: text/plain; charset=utf-8\r\n\r\n${text.replaceAll("\n", "\r\n")}`,
  );

const words = (letter: Letter) =>
  letter.passedOn && letter.text.slice(letter.passedOn.start, letter.passedOn.end).trim();

// The blocks are common practice of mail programs, no standard; written from memory of their form.
describe("a letter that is passed on within the text", () => {
  const inner = "The swing is loose again.\nCould you come on Thursday?";
  const blocks: readonly (readonly [string, string, string])[] = [
    [
      "with a dashed mark",
      `FYI\n\n---------- Forwarded message ---------\nFrom: Bo Rask <bo@oak.example>\nDate: Mon, 23 Nov 2026 at 08:05\nSubject: Swing\nTo: Ada Lund <ada@beech.example>\n\n\n${inner}`,
      "2026-11-23T08:05",
    ],
    [
      "with “begin”",
      `See below.\n\nBegin forwarded message:\n\nFrom: Bo Rask <bo@oak.example>\nSubject: Swing\nDate: 23 November 2026 at 08:05:00 CET\nTo: ada@beech.example\n\n${inner}`,
      "2026-11-23T08:05",
    ],
    [
      "with a block of headers alone",
      `Please handle\n\nFrom: Bo Rask [mailto:bo@oak.example]\nSent: Monday, 23 November 2026 08:05\nTo: Ada Lund\nSubject: Swing\n\n${inner}`,
      "2026-11-23T08:05",
    ],
    [
      "in German",
      `Zur Kenntnis\n\n-------- Weitergeleitete Nachricht --------\nBetreff: Swing\nDatum: Mon, 23 Nov 2026 08:05:00 +0100\nVon: Bo Rask <bo@oak.example>\nAn: ada@beech.example\n\n${inner}`,
      "2026-11-23T08:05",
    ],
    [
      "with a Date without a zone, counted in the forwarder's",
      `FYI\n\n-------- Original Message --------\nSubject: Swing\nDate: Mon, 23 Nov 2026 08:05:59\nFrom: Bo Rask <bo@oak.example>\nTo: ada@beech.example\n\n${inner}`,
      "2026-11-23T08:05",
    ],
    [
      "with a time of the evening",
      `FYI\n\nFrom: Bo Rask <bo@oak.example>\nSent: 23 November 2026 8:05 PM\nTo: Ada Lund\nSubject: Swing\n\n${inner}`,
      "2026-11-23T20:05",
    ],
    [
      "in French",
      `---------- Message transféré ---------\nDe : Bo Rask <bo@oak.example>\nDate : 23 novembre 2026 à 08:05\nObjet : Swing\nÀ : ada@beech.example\n\n${inner}`,
      "2026-11-23T08:05",
    ],
  ];
  test.each(blocks)("%s: its writer, day and words are found", async (_, text, at) => {
    const letter = await withText("Fwd: Swing", text);
    expect(letter.passedOn?.from).toEqual({ name: "Bo Rask", address: "bo@oak.example" });
    expect(new Date(letter.passedOn!.sentAt! + 3_600_000).toISOString().slice(0, 16)).toBe(at);
    expect(letter.passedOn?.subject).toBe("Swing");
    expect(words(letter)).toBe(inner);
  });

  test("a letter of one's own passes nothing on", async () => {
    expect((await withText("Swing", "From: here it looks fine.\nDate: any.")).passedOn).toBeNull();
  });
});

const multipart = (type: string, ...parts: readonly string[]) =>
  `${HEAD}Subject: Swing\r\nMIME-Version: 1.0\r\nContent-Type: ${type}; boundary=b1\r\n\r\n${parts.map((part) => `--b1\r\n${part}\r\n`).join("")}--b1--\r\n`;

describe("a letter that is attached", () => {
  const attached =
    "From: Bo Rask <bo@oak.example>\r\nTo: ada@beech.example\r\nDate: Mon, 23 Nov 2026 08:05:00 +0000\r\nSubject: Loose swing\r\nMIME-Version: 1.0\r\nContent-Type: multipart/mixed; boundary=b2\r\n\r\n--b2\r\nContent-Type: text/plain\r\n\r\nThe swing is loose.\r\n--b2\r\nContent-Type: text/csv; name=parts.csv\r\nContent-Disposition: attachment; filename=parts.csv\r\n\r\nbolt,4\r\n--b2--\r\n";
  const raw = multipart(
    "multipart/mixed",
    "Content-Type: text/plain\r\n\r\nKofi, can you handle this?",
    `Content-Type: message/rfc822\r\nContent-Disposition: attachment; filename=swing.eml\r\n\r\n${attached}`,
  );

  test("is seen through: writer, date, subject, words and files", async () => {
    const letter = await letterOf(raw);
    expect(letter.passedOn).toMatchObject({
      from: { name: "Bo Rask", address: "bo@oak.example" },
      sentAt: Date.UTC(2026, 10, 23, 8, 5),
      subject: "Loose swing",
    });
    expect(words(letter)).toBe("The swing is loose.");
    expect(letter.parts[0]).toMatchObject({ kind: "new" });
    expect(letter.files.map(({ name, isInner }) => [name, isInner])).toEqual([
      ["swing.eml", false],
      ["parts.csv", true],
    ]);
    expect(
      Buffer.from((await letterFile(Buffer.from(raw), 1))!)
        .toString()
        .trim(),
    ).toBe("bolt,4");
  });
});

describe("machines", () => {
  const kind = async (headers: string, body = "x") => (await letterOf(`${HEAD}${headers}\r\n\r\n${body}`)).automatic;
  const calendar = (method: string) =>
    `Content-Type: text/calendar; method=${method}; charset=utf-8\r\n\r\nBEGIN:VCALENDAR\r\nVERSION:2.0\r\nMETHOD:${method}\r\nEND:VCALENDAR`;

  test.each([
    ["Subject: Out of Office: away", "automatic reply"],
    ["Subject: Abwesenheitsnotiz: Urlaub", "automatic reply"],
    ["Subject: Hello\r\nAuto-Submitted: auto-replied (vacation)", "automatic reply"], // RFC 3834 section 5
    ["Subject: Hello\r\nAuto-Submitted: auto-generated", "notice"],
    ["Subject: Hello\r\nAuto-Submitted: no", null],
    ["Subject: Hello\r\nList-Id: Oaks <oaks.beech.example>\r\nList-Post: <mailto:oaks@beech.example>", "list"], // RFC 2919, 2369
    ["Subject: Hello\r\nContent-Type: multipart/report; report-type=disposition-notification; boundary=x", "receipt"], // RFC 3798
    ["Subject: Hello", null],
  ])("%j is %j", async (headers, expected) => expect(await kind(headers)).toBe(expected));

  test.each(["REQUEST", "REPLY", "CANCEL"])("a calendar program's %s is its notice", async (method) => {
    const raw = multipart("multipart/alternative", "Content-Type: text/plain\r\n\r\nAccepted", calendar(method));
    expect((await letterOf(raw)).automatic).toBe("calendar");
  });
});

test("signed letters are read and marked, encrypted ones are kept and marked", async () => {
  const signed = multipart(
    'multipart/signed; micalg=pgp-sha256; protocol="application/pgp-signature"',
    "Content-Type: text/plain\r\n\r\nThe price stands.",
    "Content-Type: application/pgp-signature; name=signature.asc\r\n\r\n-----BEGIN PGP SIGNATURE-----\r\nx\r\n-----END PGP SIGNATURE-----",
  );
  expect(await letterOf(signed)).toMatchObject({ sealed: "signed", text: "The price stands." });
  expect((await withText("x", "-----BEGIN PGP MESSAGE-----\n\nhQ\n-----END PGP MESSAGE-----")).sealed).toBe(
    "encrypted",
  );
  expect(
    (
      await letterOf(
        `${HEAD}Content-Type: application/pkcs7-mime; smime-type=enveloped-data; name=smime.p7m\r\nContent-Transfer-Encoding: base64\r\n\r\nMIIB`,
      )
    ).sealed,
  ).toBe("encrypted");
  expect((await withText("x", "Hello")).sealed).toBeNull();
});

// "Grüße" and the like in the charsets of the world, as their encodings have them (WHATWG Encoding Standard).
test.each([
  ["windows-1252", [0x80, 0x20, 0xe9], "€ é"],
  ["windows-1251", [0xcf, 0xf0, 0xe8], "При"],
  ["iso-8859-15", [0xa4], "€"],
  ["koi8-r", [0xf0, 0xd2, 0xc9], "При"],
  ["iso-2022-jp", [0x1b, 0x24, 0x42, 0x46, 0x7c, 0x4b, 0x5c, 0x1b, 0x28, 0x42], "日本"],
  ["shift_jis", [0x93, 0xfa, 0x96, 0x7b], "日本"],
  ["euc-kr", [0xc7, 0xd1], "한"],
  ["gb18030", [0xd6, 0xd0], "中"],
  ["big5", [0xa4, 0xa4], "中"],
])("text in %s", async (charset, bytes, text) => {
  const head = Buffer.from(`${HEAD}Subject: x\r\nContent-Type: text/plain; charset=${charset}\r\n\r\n`);
  expect((await letterOf(Buffer.concat([head, Buffer.from(bytes)]))).text).toBe(text);
});

test("UTF-7 is not read as markup, and a charset that nobody knows is said", async () => {
  const letter = await letterOf(`${HEAD}Content-Type: text/plain; charset=utf-7\r\n\r\n+ADw-script+AD4-`);
  expect(letter.text).not.toContain("<script>");
  expect(letter.problems.join(" ")).toContain("“utf-7”");
  expect((await letterOf("From: a@b.example\r\n\r\n")).problems).toEqual([
    "It has no Date.",
    "It has no Message-ID.",
    "It has no text.",
  ]);
});

test("a thousand parts, parts nested two hundred deep and a line of a megabyte are read without a fault", async () => {
  const many = multipart(
    "multipart/mixed",
    ...Array.from(
      { length: 1_000 },
      (_, i) => `Content-Type: text/plain\r\nContent-Disposition: attachment; filename=${i}.txt\r\n\r\n${i}`,
    ),
  );
  expect((await letterOf(many)).files).toHaveLength(1_000);
  let deep = "Content-Type: text/plain\r\n\r\nbottom";
  for (let i = 0; i < 200; i += 1)
    deep = `Content-Type: multipart/mixed; boundary=d${i}\r\n\r\n--d${i}\r\n${deep}\r\n--d${i}--`;
  const parsed = await parseLetter(Buffer.from(`${HEAD}${deep}`));
  expect(parsed.ok || parsed.why).toBeTruthy();
  expect((await withText("x", "a".repeat(1_000_000))).text.length).toBeGreaterThan(100_000);
});
