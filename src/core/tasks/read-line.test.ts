import { expect, test } from "vitest";
import { PLAIN_WEEK } from "../time/day";
import { readLine } from "./read-line";
import { fruitOf, readReference } from "./reference";

const team = ["Kofi Brandt", "Suki Aldane"].map((name) => ({
  id: name.split(" ")[0]!.toLowerCase(),
  name,
  address: "x@y.example",
}));
const projects = [{ id: "hg", name: "Harbour Green" }];
const tuesday = { at: Date.parse("2026-11-24T11:20:00Z"), zone: "Europe/London" };
const read = (line: string) => readLine(line, team, projects, tuesday, PLAIN_WEEK, "dmy");

test("one plain line gives title, owner, day, priority and project", () => {
  expect(read("Price for cedar, for Kofi by Wednesday, high")).toEqual({
    title: "Price for cedar",
    ownerId: "kofi",
    due: { day: "2026-11-25", time: null },
    priority: "high",
    estimate: null,
    projectId: null,
  });
  expect(read("Measure the slope, about half a day, for Kofi by friday")).toMatchObject({
    title: "Measure the slope",
    ownerId: "kofi",
    estimate: 240,
    due: { day: "2026-11-27" },
  });
  expect(read("Sand for two hours")).toMatchObject({ title: "Sand for two hours", estimate: null });
  expect(read("Ring Perpetua on 1 December at ten o'clock")).toMatchObject({
    title: "Ring Perpetua",
    due: { day: "2026-12-01", time: "10:00" },
  });
  expect(read("Agenda for the Monday meeting, for Kofi by friday")).toMatchObject({
    title: "Agenda for the Monday meeting",
    ownerId: "kofi",
    due: { day: "2026-11-27" },
  });
  expect(read("Suki: check the fall heights by friday, Harbour Green")).toMatchObject({
    title: "Check the fall heights",
    ownerId: "suki",
    projectId: "hg",
    due: { day: "2026-11-27" },
  });
});

test("what is not understood stays in the title, signs and command words too", () => {
  expect(read("Buy 3.5 m of rope #urgent @kofi !high")).toEqual({
    title: "Buy 3.5 m of rope #urgent @kofi !high",
    ownerId: null,
    due: null,
    priority: "normal",
    estimate: null,
    projectId: null,
  });
  expect(read("Who has the safety file?").title).toBe("Who has the safety file?");
  expect(read("high").title).toBe("High");
});

test("references are read as they are said, and number and fruit belong together", () => {
  for (const said of ["quince 417", "Quince-417", " 417 "]) expect(readReference(said)).toBe(417);
  for (const said of ["quince", "417 quince", "", "4 17"]) expect(readReference(said)).toBeNull();
  const fruits = new Set(Array.from({ length: 20 }, (_, i) => fruitOf(400 + i)));
  expect(fruits.size).toBe(20);
});
