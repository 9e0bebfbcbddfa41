import { describe, expect, test } from "vitest";
import { calledByRole } from "./roles";

const person = (name: string, role: string) => ({
  id: name,
  name,
  address: `${name.toLowerCase()}@yard.example`,
  role,
});
const team = [
  person("Rosa", "Site manager"),
  person("Piet", "Sail loft and rigging"),
  person("Fenna", "Drawings, accounts"),
  person("Okke", "Assistant site carpenter"),
];
const who = (text: string) => calledByRole(text, team)?.name ?? null;

describe("whose work it is", () => {
  test("names who has to act", () => {
    const said: [string, string][] = [
      ["Whoever does the drawings should send them by Friday.", "Fenna"],
      ["Could whoever looks after our rigging have a look", "Piet"],
      ["Could whoever is responsible for the accounts check the sum?", "Fenna"],
      ["Could the site manager sign for it?", "Rosa"],
      ["The sail loft has to cut it again.", "Piet"],
      ["Accounts, please settle this.", "Fenna"],
      ["Your site manager must come at eight", "Rosa"],
    ];
    for (const [text, name] of said) expect(who(text), text).toBe(name);
  });
  test("names nobody where it is nobody's, that of two, or where they are not the ones who act", () => {
    const said = [
      "Whoever is last out turns off the heating.",
      "Whoever does the roof should bring a ladder.",
      "Whoever is on site should sign.",
      "Please send it to accounts to be paid.",
      "Talk to the site manager, please.",
      "The accounts are wrong.",
      "The drawings must be here by Friday.",
      "The drawings should show the mast.",
      "The drawings have to be with us on Monday.",
    ];
    for (const text of said) expect(who(text), text).toBeNull();
  });
});
