import { expect, test } from "vitest";
import { firstNameOf, isHouseName } from "./first-name";

test("people are addressed by their first name, whatever stands before it; houses by the whole", () => {
  expect(
    [
      "Ines Valdarno",
      "Dr Hal Pemberton",
      "Dame Hester Lowe",
      "Prof. Dr. Anneliese von Brandt",
      "Madonna",
      "",
      "Dr",
    ].map(firstNameOf),
  ).toEqual(["Ines", "Hal", "Hester", "Anneliese", "Madonna", "", "Dr"]);
  for (const house of [
    "The Tool Barn",
    "Claims Desk",
    "Building Control",
    "Beck and Sons",
    "Board of Health",
    "Larch Ltd.",
  ])
    expect([house, isHouseName(house), firstNameOf(house)]).toEqual([house, true, house]);
  expect(["Theo Board", "Anders Ofstad", "Sandy Hall"].map(isHouseName)).toEqual([true, false, false]);
});
