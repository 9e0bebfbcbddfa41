import { expect, test } from "vitest";
import type { OpenItem } from "./item";
import { pastOf } from "./past-of";

test.each([
  ["Count the bottles, please.", "Counted: eleven.", true],
  ["Count the bottles, please.", "They will be counted on Friday.", false],
  ["The loose tiles must be fixed by Friday.", "The tiles were fixed this morning.", true],
  ["The loose tiles must be fixed by Friday.", "The tiles have now been fixed.", true],
  ["The loose tiles must be fixed by Friday.", "Yes, they must be fixed.", false],
  ["I need the printed copy.", "The printed copy is on its way.", false],
])("of “%s”, “%s” says that it was done: %s", (quote, text, is) => {
  expect(pastOf({ quote } as OpenItem, text)).toBe(is);
});
