import { readFileSync } from "node:fs";
import { describe, expect, it } from "vitest";

/** WCAG 2.x relative luminance of a colour written #rrggbb. */
function luminance(hex: string): number {
  const [r, g, b] = [1, 3, 5]
    .map((at) => parseInt(hex.slice(at, at + 2), 16) / 255)
    .map((c) => (c <= 0.04045 ? c / 12.92 : ((c + 0.055) / 1.055) ** 2.4)) as [number, number, number];
  return 0.2126 * r + 0.7152 * g + 0.0722 * b;
}

function contrast(a: string, b: string): number {
  const [low, high] = [luminance(a), luminance(b)].sort((x, y) => x - y) as [number, number];
  return (high + 0.05) / (low + 0.05);
}

const css = readFileSync("src/styles.css", "utf8");

function tokens(block: string): Record<string, string> {
  const body = css.slice(css.indexOf(block + " {")).split("}")[0]!;
  return Object.fromEntries([...body.matchAll(/--([a-z]+): (#[0-9a-f]{6})/gi)].map((m) => [m[1]!, m[2]!]));
}

describe.each([
  ["light", tokens(":root")],
  ["dark", tokens('[data-theme="dark"]')],
])("%s", (_, t) => {
  it.each([
    ["ink", "ground"],
    ["ink", "lane"],
    ["quiet", "ground"],
    ["quiet", "lane"],
    ["rust", "ground"],
    ["ground", "ink"],
    ["ground", "green"],
  ])("%s on %s can be read", (text, ground) => {
    expect(contrast(t[text]!, t[ground]!)).toBeGreaterThanOrEqual(4.5);
  });

  it.each([
    ["green", "lane"],
    ["rust", "lane"],
    ["edge", "ground"],
  ])("%s against %s can be seen", (mark, ground) => {
    expect(contrast(t[mark]!, t[ground]!)).toBeGreaterThanOrEqual(3);
  });
});

describe("signal yellow", () => {
  it("carries ink", () => {
    expect(contrast(tokens(":root").signal!, "#10201d")).toBeGreaterThanOrEqual(4.5);
    expect(contrast(tokens('[data-theme="dark"]').signal!, "#10201d")).toBeGreaterThanOrEqual(4.5);
  });
});
