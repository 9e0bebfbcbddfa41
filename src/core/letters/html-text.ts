import { compile } from "html-to-text";
import { tableRow } from "./html-table";

/** Bytes of HTML that are turned into text; what lies beyond can be seen in the letter as it was laid out. */
const LONGEST_HTML = 600_000;

/** Open tags deeper than this are not followed: every library tried takes seconds for ten thousands of them. */
export const DEEPEST_HTML = 300;

const convert = compile({
  wordwrap: false,
  limits: { maxInputLength: LONGEST_HTML, maxDepth: 120, ellipsis: "…" },
  formatters: { tableRow },
  selectors: [
    { selector: "tr", format: "tableRow" },
    { selector: "a", options: { ignoreHref: true } },
    { selector: "img", format: "skip" },
    { selector: "style", format: "skip" },
    { selector: "script", format: "skip" },
    { selector: "head", format: "skip" },
    { selector: "h1", options: { uppercase: false } },
    { selector: "h2", options: { uppercase: false } },
    { selector: "h3", options: { uppercase: false } },
    { selector: "h4", options: { uppercase: false } },
    { selector: "table", options: { uppercaseHeaderCells: false } },
    { selector: "blockquote", options: { leadingLineBreaks: 2, trailingLineBreaks: 2 } },
  ],
});

const VOID = /^(?:br|hr|img|input|meta|link|col|area|base|embed|source|track|wbr|p|li|td|tr|th|dt|dd|option)$/i;

/** How deep tags that must be closed lie in one another, counted in one pass without building a tree. */
export function htmlDepth(html: string): number {
  let depth = 0;
  let deepest = 0;
  for (const tag of html.matchAll(/<(\/?)([a-z][a-z0-9]*)[^<>]{0,2000}?(\/?)>/gi)) {
    if (VOID.test(tag[2]!) || tag[3]) continue;
    depth = tag[1] ? Math.max(0, depth - 1) : depth + 1;
    if (depth > deepest) deepest = depth;
  }
  return deepest;
}

/** The words of an HTML letter, blockquotes marked with "> " as in a text letter. Too deeply nested HTML gives its bare words. */
export function htmlToText(html: string): string {
  if (htmlDepth(html.slice(0, LONGEST_HTML)) > DEEPEST_HTML) {
    return html
      .slice(0, LONGEST_HTML)
      .replace(/<(style|script)[\s\S]*?<\/\1>/gi, " ")
      .replace(/<[^<>]*>/g, " ")
      .replace(/[ \t]+/g, " ")
      .trim();
  }
  return convert(html).replace(/\u00a0/g, " ");
}
