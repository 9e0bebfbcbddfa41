/** Where marked words stand in the text of a letter. */
export interface MarkedWords {
  readonly letterId: string;
  readonly start: number;
  readonly end: number;
  readonly words: string;
}

function placeOf(node: Node, offset: number): { letterId: string; at: number } | null {
  const element = node instanceof Element ? node : node.parentElement;
  const holder = element?.closest<HTMLElement>("[data-offset]");
  const letter = element?.closest<HTMLElement>("[data-letter]");
  if (!holder || !letter?.dataset.letter) return null;
  const range = document.createRange();
  range.setStart(holder, 0);
  range.setEnd(node, offset);
  return { letterId: letter.dataset.letter, at: Number(holder.dataset.offset) + range.toString().length };
}

/** The words marked in a letter, as characters of its text; null where nothing is marked, or not within one letter. */
export function markedWords(): MarkedWords | null {
  const selection = document.getSelection();
  if (!selection || selection.isCollapsed || selection.rangeCount === 0) return null;
  const range = selection.getRangeAt(0);
  const start = placeOf(range.startContainer, range.startOffset);
  const end = placeOf(range.endContainer, range.endOffset);
  const words = selection.toString().replace(/\s+/g, " ").trim();
  if (!start || !end || start.letterId !== end.letterId || end.at <= start.at || words.length < 2) return null;
  return { letterId: start.letterId, start: start.at, end: end.at, words };
}
