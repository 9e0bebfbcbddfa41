import type { DomNode, FormatCallback, RecursiveCallback } from "html-to-text";

type Builder = Parameters<FormatCallback>[2];

/** Elements that begin on a line of their own: a cell that holds one of them is laid out, and no word or two of a table. */
const ON_A_LINE =
  /^(?:address|article|blockquote|br|center|dd|div|dl|dt|figure|footer|form|h[1-6]|header|hr|li|ol|p|pre|section|table|ul)$/;

/** Elements around the words of a cell that programs put there, whatever it holds. */
const WRAPPER = /^(?:p|div|span|font|b|strong|i|em|center)$/;

const isCell = ({ name }: DomNode) => name === "td" || name === "th";

function hasWords({ data, children = [] }: DomNode): boolean {
  return /[^\s\u00a0\u200b]/.test(data ?? "") || children.some(hasWords);
}

function standsOnLines({ name = "", children = [] }: DomNode): boolean {
  return ON_A_LINE.test(name) || children.some(standsOnLines);
}

/** What stands in a cell, without what is only put around it. */
function wordsOf(cell: DomNode): DomNode[] {
  const inside = (cell.children ?? []).filter((child) => child.name !== undefined || hasWords(child));
  const [only] = inside;
  return inside.length === 1 && WRAPPER.test(only!.name ?? "") ? wordsOf(only!) : inside;
}

/**
 * A row of a table as a line, with " | " between its cells. Where a cell holds paragraphs, lists or tables of its own, or only one
 * holds any words, the table lays the letter out: then each cell is a block.
 */
export const tableRow: FormatCallback = (row: DomNode, walk: RecursiveCallback, builder: Builder) => {
  const cells = (row.children ?? []).filter(isCell);
  const words = cells.map(wordsOf);
  const isData = words.filter((one) => one.some(hasWords)).length > 1 && !words.flat().some(standsOnLines);
  builder.openBlock({ leadingLineBreaks: 1 });
  for (const [i, cell] of cells.entries())
    if (isData) {
      if (i > 0) builder.addInline(" | ");
      walk(words[i]!, builder);
    } else {
      builder.openBlock({ leadingLineBreaks: 1 });
      walk(cell.children ?? [], builder);
      builder.closeBlock({ trailingLineBreaks: 1 });
    }
  builder.closeBlock({ trailingLineBreaks: 1 });
};
