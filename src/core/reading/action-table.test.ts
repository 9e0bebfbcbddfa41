import { describe, expect, test } from "vitest";
import { isTableLine } from "../letters/table-line";
import { columnsIn, rowIn } from "./action-table";

const rows = (head: string, ...lines: string[]) => {
  const columns = columnsIn(head);
  return columns && lines.map((line) => rowIn(line, 0, columns));
};

describe("a table of actions", () => {
  test("says what, who and by when, in any order of its columns, with places in the text", () => {
    const line = "1 | Send the plan | Odile | 29 January";
    const [row] = rows("No. | Action | Who | By", line)!;
    expect(row).toMatchObject({ what: { words: "Send the plan" }, row: { who: "Odile", by: "29 January" } });
    expect(line.slice(row!.what.start, row!.what.end)).toBe("Send the plan");
    expect(rows("Deadline\tResponsible\tItem", "Friday\tLev\tPaint the door")![0]).toMatchObject({
      what: { words: "Paint the door" },
      row: { who: "Lev", by: "Friday" },
    });
    expect(rows("| Task | Due |", "| Ring the council | |")![0]).toMatchObject({
      what: { words: "Ring the council" },
      row: { who: "", by: "" },
    });
  });
  test("asks nothing by lines that are ruled, empty or settled", () => {
    expect(
      rows("Action | Owner | Status", "--- | --- | ---", " | Lev | open", "Paint | Lev | done", "Paint | Lev | open"),
    ).toMatchObject([null, null, null, { what: { words: "Paint" } }]);
  });
  test("is none where nothing is to be done by anybody, or by any day", () => {
    expect(
      [
        "Item | Price",
        "Day | Room | Speaker",
        "Item | Date",
        "Action | Cost",
        "Ada Beck | Beck & Sons",
        "Name | Item | Price",
        "Topic | Who | When",
      ].flatMap((line) => columnsIn(line) ?? []),
    ).toEqual([]);
    expect(columnsIn("Name | Task | Due")).toMatchObject({ what: 1, who: 0, by: 2 });
    expect(["a | b", "a\tb", "no table", "|"].map(isTableLine)).toEqual([true, true, false, false]);
    // It ends in no time: each tab is tried once.
    expect(isTableLine(`a${"\t".repeat(200_000)}`)).toBe(false);
  });
});
