import sanitize from "sanitize-html";
import { DEEPEST_HTML, htmlDepth } from "./html-text";

/** Characters of HTML that are shown laid out; longer letters are shown as text. */
const LONGEST_HTML = 1_500_000;

const COLOUR = [/^#[0-9a-f]{3,8}$/i, /^rgba?\([\d\s,.%]{1,40}\)$/i, /^[a-z]{3,20}$/i];
const LENGTH = [
  /^-?\d{1,4}(?:\.\d{1,3})?(?:px|pt|em|rem|%)?(?:\s+-?\d{1,4}(?:\.\d{1,3})?(?:px|pt|em|rem|%)?){0,3}$/i,
  /^auto$/i,
];
const WORD = [/^[a-z-]{2,20}$/i];

/** No position, no z-index, no transform, no url(): a letter's style may colour and space its own box and nothing else. */
const STYLES = {
  "*": {
    color: COLOUR,
    "background-color": COLOUR,
    "text-align": WORD,
    "font-weight": [/^(?:[a-z]{4,7}|\d{3})$/i],
    "font-style": WORD,
    "font-size": LENGTH,
    "font-family": [/^[\w\s,'"-]{1,120}$/],
    "text-decoration": [/^[a-z\s-]{2,40}$/i],
    "line-height": LENGTH,
    padding: LENGTH,
    "padding-left": LENGTH,
    "padding-right": LENGTH,
    "padding-top": LENGTH,
    "padding-bottom": LENGTH,
    margin: LENGTH,
    "margin-left": LENGTH,
    "margin-right": LENGTH,
    "margin-top": LENGTH,
    "margin-bottom": LENGTH,
    border: [/^[\w\s#.(),%-]{1,60}$/],
    width: LENGTH,
    "max-width": LENGTH,
    "vertical-align": WORD,
    "border-collapse": WORD,
    "white-space": WORD,
  },
};

/** Outcome of making foreign HTML safe: the HTML, and how many pictures from elsewhere were left out. */
export interface SafeHtml {
  readonly html: string;
  readonly blockedPictures: number;
}

/**
 * Foreign HTML with everything taken out that could run, fetch, send or cover: scripts, forms, frames, styles beyond an
 * allow-list, and every address but http(s), mailto and tel. Pictures stay only where `pictureFor` knows their Content-ID
 * (a part of the same message). Null where it is too long or too deeply nested to be shown laid out.
 */
export function safeHtml(html: string, pictureFor: (contentId: string) => string | null): SafeHtml | null {
  if (html.length > LONGEST_HTML || htmlDepth(html) > DEEPEST_HTML) return null;
  let blockedPictures = 0;
  const clean = sanitize(html, {
    allowedTags: [
      "a",
      "abbr",
      "address",
      "article",
      "b",
      "bdi",
      "bdo",
      "big",
      "blockquote",
      "br",
      "caption",
      "center",
      "cite",
      "code",
      "col",
      "colgroup",
      "dd",
      "del",
      "dfn",
      "div",
      "dl",
      "dt",
      "em",
      "figcaption",
      "figure",
      "font",
      "footer",
      "h1",
      "h2",
      "h3",
      "h4",
      "h5",
      "h6",
      "header",
      "hr",
      "i",
      "img",
      "ins",
      "kbd",
      "li",
      "main",
      "mark",
      "ol",
      "p",
      "pre",
      "q",
      "s",
      "samp",
      "section",
      "small",
      "span",
      "strike",
      "strong",
      "sub",
      "sup",
      "table",
      "tbody",
      "td",
      "tfoot",
      "th",
      "thead",
      "time",
      "tr",
      "tt",
      "u",
      "ul",
      "var",
      "wbr",
    ],
    nonTextTags: ["script", "style", "textarea", "option", "noscript", "title", "template", "svg", "math"],
    allowedAttributes: {
      a: ["href", "title", "rel", "target"],
      img: ["src", "alt", "title", "width", "height"],
      td: ["colspan", "rowspan", "align", "valign", "bgcolor", "width", "height"],
      th: ["colspan", "rowspan", "align", "valign", "bgcolor", "width", "height"],
      table: ["border", "cellpadding", "cellspacing", "align", "width", "bgcolor"],
      font: ["color", "size", "face"],
      "*": ["style", "dir", "lang", "align"],
    },
    allowedSchemes: ["http", "https", "mailto", "tel"],
    allowedSchemesByTag: { img: ["data"] },
    allowProtocolRelative: false,
    allowedStyles: STYLES,
    nestingLimit: DEEPEST_HTML,
    transformTags: {
      // A link without a scheme would lead into our own house.
      a: (tagName, { href = "", ...attribs }) => ({
        tagName,
        attribs: {
          ...attribs,
          ...(/^\s*(?:https?|mailto|tel):/i.test(href) ? { href } : {}),
          rel: "noopener noreferrer nofollow",
          target: "_blank",
        },
      }),
      img: (_tag, attribs): sanitize.Tag => {
        const source = attribs.src?.trim() ?? "";
        const url = /^cid:/i.test(source) ? pictureFor(decodeContentId(source.slice(4))) : null;
        if (url) return { tagName: "img", attribs: { ...attribs, src: url } };
        if (source !== "") blockedPictures += 1;
        return { tagName: "span", attribs: { style: "color:#55607f" }, text: attribs.alt ? `[${attribs.alt}]` : "" };
      },
    },
  });
  return { html: clean, blockedPictures };
}

function decodeContentId(text: string): string {
  try {
    return decodeURIComponent(text);
  } catch {
    return text;
  }
}
