/** A line of a table: cells with bars or tabs between them. */
const CELLS_IN_LINE = /\S[^\S\t]*[|\t]\s*\S|^\s*\|.*\|\s*$/;

/** Whether a line of a text is one of a table. */
export function isTableLine(line: string): boolean {
  return CELLS_IN_LINE.test(line);
}
