import { expect, test } from "vitest";
import { passedTo } from "./passed-to";

const NORA = { id: "nora@works.example", name: "Nora Beck", address: "nora@works.example" };
const people = { team: [NORA], outside: [] };
const given = (text: string) => passedTo(text, people, "sam@works.example", new Set(["lena@parish.example"]));

test.each([
  "Please ask Nora about this.",
  "I've passed it on to Nora.",
  "Nora will let you know.",
  "Nora is in charge of the yard.",
  "I've asked Nora to send it.",
  "I'm not the right person for this, Nora is.",
  "Sanna's out; Nora does the prices, I've asked her.",
])("it is plainly handed on: %s", (text) => {
  expect(given(text)).toEqual({ person: NORA, isPlain: true });
});

test("somebody may be named by what they do, or not at all", () => {
  expect(given("The caretaker will call you.")).toEqual({ person: null, isPlain: true });
  expect(given("The letter will reach you tomorrow.")).toBeNull();
});

test.each(["I had to speak to Nora first.", "I'll ask Nora and tell you.", "I've asked Nora for the file."])(
  "the writer keeps it, or may: %s",
  (text) => {
    expect(given(text)?.isPlain ?? false).toBe(false);
  },
);
