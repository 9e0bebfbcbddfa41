/** The words of a text in small letters, numbers among them, in their order. */
export function wordsOf(text: string): string[] {
  return text.toLowerCase().match(/[\p{L}\d'’]+/gu) ?? [];
}
