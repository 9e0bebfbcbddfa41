import { expect, test } from "vitest";
import { PLAIN_WEEK } from "../time/day";
import { readHandOver } from "./read-hand-over";

const TEAM = [
  { id: "suki", name: "Suki Aldane", address: "suki@larkmoor.example" },
  { id: "kofi", name: "Kofi Brandt", address: "kofi@larkmoor.example" },
  { id: "anna-b", name: "Anna Berg", address: "anna.b@larkmoor.example" },
  { id: "anna-c", name: "Anna Cole", address: "anna.c@larkmoor.example" },
];
const FROM = { at: Date.parse("2026-11-24T11:20:00Z"), zone: "Europe/London" };
const read = (line: string) => readHandOver(line, TEAM, FROM, PLAIN_WEEK, "dmy");

test("who, then perhaps a day, and the rest is a note", () => {
  const full = read("suki wednesday noon. Council meets at two. Only sheet 3 changed.");
  expect(full.to).toEqual([{ personId: "suki", start: 0, end: 4 }]);
  expect(full.due).toMatchObject({ day: "2026-11-25", time: "12:00" });
  expect(full.note?.text).toBe("Council meets at two. Only sheet 3 changed.");
  expect(read("Kofi")).toMatchObject({ to: [{ personId: "kofi" }], due: null, note: null });
  expect(read("to Kofi Brandt by Friday")).toMatchObject({
    to: [{ personId: "kofi" }],
    due: { day: "2026-11-27" },
    note: null,
  });
  expect(read("kofi you have the model open")).toMatchObject({ note: { text: "you have the model open" }, due: null });
});

test("two people are two, a day further on belongs to the note, and a name that two bear is asked about", () => {
  expect(read("suki and kofi by Friday: both halves").to.map((one) => one.personId)).toEqual(["suki", "kofi"]);
  expect(read("suki, kofi").to).toHaveLength(2);
  expect(read("suki, the council meets on Friday")).toMatchObject({
    due: null,
    note: { text: "the council meets on Friday" },
  });
  expect(read("anna by Friday")).toMatchObject({ to: [], unsure: ["anna-b", "anna-c"] });
  expect(read("anna cole by Friday").to.map((one) => one.personId)).toEqual(["anna-c"]);
  expect(read("nobody known")).toEqual({ to: [], unsure: [], due: null, note: null });
  expect(read("")).toEqual({ to: [], unsure: [], due: null, note: null });
});
