import { sql } from "drizzle-orm";
import { afterAll, beforeAll, expect, test } from "vitest";
import { takeIn } from "@/acts/take-in";
import { wayInNamed } from "@/acts/ways-in";
import { lettersWith } from "@/data/queries/letters-with";
import { rowsOf } from "@/data/rows";
import { NOW, type TestHouse, testHouse } from "./test-house";

let house: TestHouse;
beforeAll(async () => {
  house = await testHouse("PGlite");
});
afterAll(() => house.close());

const raw = (id: string, from: string, to: string, subject: string) => ({
  raw: Buffer.from(
    `From: ${from}\r\nTo: ${to}\r\nSubject: ${subject}\r\nMessage-ID: <${id}@t.example>\r\nDate: Mon, 23 Nov 2026 09:0${id.length}:00 +0000\r\n\r\nHello.\r\n`,
  ),
});

test("letters to and from somebody stand together across ways in, each for whoever may see it", async () => {
  const own = await wayInNamed(house.db, "suki's", "mailbox", house.suki);
  await takeIn(house.db, [raw("a", "Ada <ada@beech.example>", "ines@house.example", "From her")], house.shared, NOW);
  await takeIn(house.db, [raw("bb", "ines@house.example", "ada@beech.example", "To her")], house.shared, NOW);
  await takeIn(house.db, [raw("ccc", "Ada <ada@beech.example>", "suki@house.example", "To Suki alone")], own, NOW);
  await takeIn(house.db, [raw("dddd", "bo@oak.example", "ines@house.example", "Another")], house.shared, NOW);
  const [ada] = await rowsOf<{ id: string }>(
    house.db,
    sql`select id from correspondent where address = 'ada@beech.example'`,
  );
  const subjects = async (personId: string) =>
    (await lettersWith(house.db, { personId }, ada!.id))?.letters.map((letter) => letter.subject);
  expect(await subjects(house.suki)).toEqual(["To Suki alone", "To her", "From her"]);
  expect(await subjects(house.ines)).toEqual(["To her", "From her"]);
  expect(await lettersWith(house.db, { personId: house.ines }, house.ines)).toBeNull();
});
