/**
 * The characters of windows-1252 from 0x80 to 0x9F (WHATWG Encoding Standard, index windows-1252), in their order; a space
 * where there is none. "iso-8859-1" means the same table there, since nobody writes the control characters of ISO 6429.
 */
const WINDOWS_1252 = "€ ‚ƒ„…†‡ˆ‰Š‹Œ Ž  ‘’“”•–—˜™š›œ žŸ";

/**
 * Puts the characters of windows-1252 in the place of C1 control characters. Some releases of Node decode windows-1252 as
 * if it were ISO 8859-1, and much mail says the one and means the other: curly quotation marks and "€" would be lost.
 */
export function withoutC1(text: string): string {
  return text.replace(/[\u0080-\u009f]/g, (c) => {
    const meant = WINDOWS_1252[c.charCodeAt(0) - 0x80]!;
    return meant === " " ? c : meant;
  });
}
