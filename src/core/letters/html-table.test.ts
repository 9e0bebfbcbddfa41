import { expect, test } from "vitest";
import { htmlToText } from "./html-text";

const text = (html: string) => htmlToText(html).trim();
const lines = (html: string) => text(html).split(/\n+/);

test("a table of words has a line a row and a bar between its cells", () => {
  expect(
    text(
      "<table><thead><tr><th>Action</th><th>Who</th></tr></thead><tbody><tr><td><p>Send the plan</p></td><td><div><b>Odile</b></div></td></tr><tr><td>Order</td><td>&nbsp;</td><td>Friday</td></tr></tbody></table>",
    ),
  ).toBe("Action | Who\nSend the plan | Odile\nOrder | | Friday");
});

test("a table that lays a letter out has a block a cell, and tables in it are read", () => {
  expect(text("<table><tr><td><p>Dear Ada,</p><p>the lift is off.</p></td><td><img src='x'></td></tr></table>")).toBe(
    "Dear Ada,\n\nthe lift is off.",
  );
  expect(
    lines(
      "<table><tr><td>Logo</td><td><table><tr><td>Price</td><td>12</td></tr></table></td></tr><tr><td>Bye</td></tr></table>",
    ),
  ).toEqual(["Logo", "Price | 12", "Bye"]);
});
