/** What a row of a table of actions says beside what is to be done. */
export interface TableRow {
  /** Who is to do it, as the table has it: a name, initials, several, or nothing. */
  readonly who: string;
  /** By when, in the words of the table. */
  readonly by: string;
}

/** Which columns of a table say what is to be done, who does it, by when, and how far it is; -1 where none does. */
export interface Columns {
  readonly what: number;
  readonly who: number;
  readonly by: number;
  readonly state: number;
  /** Whether its lines begin with a bar, before the first cell. */
  readonly isEdged: boolean;
}

interface Cell {
  readonly start: number;
  readonly end: number;
  readonly words: string;
}

/** "|---|:---|" below the names of the columns. */
const RULED_LINE = /^[\s|:+=-]+$/;

const WHO = /^(?:who|owner|by whom|responsible|responsibility|assigned(?: to)?|action (?:by|on)|for whom|whose)\b/i;
/** What says who only beside a column of actions: there are many lists of names. */
const WHO_BESIDE_ACTIONS = /^(?:person|name|lead)\b/i;
const BY = /^(?:by(?: when)?|when|due(?: date| by| on)?|deadline|date|until|target(?: date)?)\b/i;
const STATE = /^(?:status|state|done|progress|open\/closed)\b/i;
const WHAT = /^(?:agreed |open |next )?(?:actions?|tasks?|to[- ]?dos?|steps?|measures?)\b/i;
/** What may be the heading of what is to be done, where another column says who. */
const WHAT_OF_SOMEBODY = /^(?:what|items?|points?|description|agreed|work)\b/i;

/** A row that is settled. */
const SETTLED = /^(?:done|closed|complete|completed|finished|yes|ok|settled|cancelled|dropped|n\/a|x|✓|✔)\b|^[✓✔]/i;

const EDGE = /^\s*\|/;

/** The cells of a line of a table with their places, from the place at which the line begins. */
function cellsOf(line: string, from: number, isEdged: boolean): Cell[] {
  const bare = isEdged ? line.replace(EDGE, (edge) => " ".repeat(edge.length)).replace(/\|\s*$/, "") : line;
  let at = 0;
  return bare.split(/[|\t]/).map((cell) => {
    const start = from + at + (cell.length - cell.trimStart().length);
    at += cell.length + 1;
    const words = cell.trim();
    return { start, end: start + words.length, words };
  });
}

/** The columns that a line names; null where it is not the head of a table of actions. */
export function columnsIn(line: string): Columns | null {
  const isEdged = EDGE.test(line);
  const heads = cellsOf(line, 0, isEdged).map(({ words }) => words);
  const hasActions = heads.some((head) => WHAT.test(head) && !WHO.test(head));
  const who = heads.findIndex((head) => WHO.test(head) || (hasActions && WHO_BESIDE_ACTIONS.test(head)));
  const state = heads.findIndex((head) => STATE.test(head));
  const by = heads.findIndex((head, i) => i !== who && BY.test(head));
  const isWhat = (pattern: RegExp) => heads.findIndex((head, i) => i !== who && i !== by && pattern.test(head));
  const plain = isWhat(WHAT);
  const what = plain >= 0 || who < 0 ? plain : isWhat(WHAT_OF_SOMEBODY);
  return what >= 0 && (who >= 0 || by >= 0) ? { what, who, by, state, isEdged } : null;
}

/** What is to be done by a row of a table, and what the row says beside it. Null where it asks nothing: ruled, empty or settled. */
export function rowIn(line: string, from: number, columns: Columns): { what: Cell; row: TableRow } | null {
  if (RULED_LINE.test(line)) return null;
  const cells = cellsOf(line, from, columns.isEdged);
  const words = (column: number) => (column < 0 ? "" : (cells[column]?.words ?? ""));
  const what = cells[columns.what];
  if (!what || !/\p{L}{2}/u.test(what.words) || SETTLED.test(words(columns.state))) return null;
  return { what, row: { who: words(columns.who), by: words(columns.by) } };
}
