import fs from "node:fs";
import path from "node:path";
import { expect, test } from "vitest";

// WCAG 2.2: relative luminance and contrast ratio as defined there; 1.4.3 asks 4.5 of text, 1.4.11 asks 3 of shapes.

const css = fs.readFileSync(path.join(import.meta.dirname, "tokens.css"), "utf8");

function luminance(hex: string): number {
  const [r, g, b] = [1, 3, 5]
    .map((at) => Number.parseInt(hex.slice(at, at + 2), 16) / 255)
    .map((c) => (c <= 0.04045 ? c / 12.92 : ((c + 0.055) / 1.055) ** 2.4)) as [number, number, number];
  return 0.2126 * r + 0.7152 * g + 0.0722 * b;
}

function contrast(a: string, b: string): number {
  const [light, dark] = [luminance(a), luminance(b)].sort((x, y) => y - x) as [number, number];
  return (light + 0.05) / (dark + 0.05);
}

/** The tokens of a theme with what their comments promise: on which grounds they stand, as text or as shape. */
function promises(block: string) {
  const values = new Map([...block.matchAll(/--([\w-]+): (#[0-9a-f]{6});/g)].map((match) => [match[1]!, match[2]!]));
  const claims = [...block.matchAll(/--([\w-]+): #[0-9a-f]{6}; \/\*[^*]*?(text|shape) on: ([^*]+?)\*\//g)].flatMap(
    ([, name, use, grounds]) =>
      [...grounds!.matchAll(/([\d.]+) ([\w-]+)/g)].map(([, figure, ground]) => ({
        name: name!,
        use: use!,
        figure: Number(figure),
        ground: ground!,
      })),
  );
  return { values, claims };
}

const enamel = css.slice(css.indexOf("/* enamel"), css.indexOf("/* cast iron"));
const castIron = css.slice(css.indexOf("/* cast iron"), css.indexOf("/* paper"));

test.each([
  ["enamel", enamel],
  ["cast iron", castIron],
])("every token of %s keeps its contrast", (_name, block) => {
  const { values, claims } = promises(block);
  expect(claims.length).toBeGreaterThan(60);
  for (const { name, use, figure, ground } of claims) {
    const ratio = contrast(values.get(name)!, values.get(ground)!);
    expect([name, ground, ratio >= (use === "text" ? 4.5 : 3)]).toEqual([name, ground, true]);
    expect(Math.abs(ratio - figure)).toBeLessThan(0.011);
  }
});
