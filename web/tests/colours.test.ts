import { readFileSync } from "node:fs";
import { describe, expect, it } from "vitest";

/** Colours that lie beside each other in a picture, or tell states apart (which have a word and a shape as well). */
const PAIRS = [
  ["friction", "plate"],
  ["friction", "rotor"],
  ["plate", "rotor"],
  ["pad-limit", "friction"],
  ["pad-limit", "rotor-limit"],
  ["rotor-limit", "rotor"],
  ["stop", "watch"],
  ["stop", "good"],
  ["plan", "watch"],
  ["doubt", "plan"],
] as const;
/** A difference of colour (CIE 1976) that is seen at a glance. */
const SEEN = 15;

/** How colours look to who lacks one kind of cone, on linear RGB: Machado, Oliveira and Fernandes 2009, from memory. */
const EYES: Record<string, number[][]> = {
  usual: [
    [1, 0, 0],
    [0, 1, 0],
    [0, 0, 1],
  ],
  "without red cones": [
    [0.152286, 1.052583, -0.204868],
    [0.114503, 0.786281, 0.099216],
    [-0.003882, -0.048116, 1.051998],
  ],
  "without green cones": [
    [0.367322, 0.860646, -0.227968],
    [0.280085, 0.672501, 0.047413],
    [-0.01182, 0.04294, 0.968881],
  ],
  "without blue cones": [
    [1.255528, -0.076749, -0.178779],
    [-0.078411, 0.930809, 0.147602],
    [0.004733, 0.691367, 0.3039],
  ],
};

type Colours = Record<string, string>;
const css = (file: string) => readFileSync(new URL(`../src/${file}`, import.meta.url), "utf8");
const block = (text: string, selector: string): Colours => {
  const body = text.split(`${selector} {`)[1]!.split("}")[0]!;
  return Object.fromEntries([...body.matchAll(/--([\w-]+): (#[0-9a-f]{3,6});/g)].map(([, name, hex]) => [name!, hex!]));
};
const light = block(css("app.css"), ":root");
const THEMES: Record<string, Colours> = {
  light,
  dark: { ...light, ...block(css("app.css"), ':root[theme="g100"]') },
  "high contrast": { ...light, ...block(css("parts/contrast.css"), ":root[data-contrast][theme]") },
};

const linear = (hex: string): number[] => {
  const full = hex.length === 4 ? [...hex.slice(1)].map((one) => one + one).join("") : hex.slice(1);
  return [0, 2, 4].map((at) => {
    const value = parseInt(full.slice(at, at + 2), 16) / 255;
    return value <= 0.04045 ? value / 12.92 : ((value + 0.055) / 1.055) ** 2.4;
  });
};
const times = (matrix: number[][], by: number[]) =>
  matrix.map((row) => row.reduce((sum, factor, at) => sum + factor * by[at]!, 0));
/** CIE L*a*b* under D65 (the standard's own constants). */
const lab = (rgb: number[]): number[] => {
  const xyz = times(
    [
      [0.4124564, 0.3575761, 0.1804375],
      [0.2126729, 0.7151522, 0.072175],
      [0.0193339, 0.119192, 0.9503041],
    ],
    rgb.map((value) => Math.min(Math.max(value, 0), 1)),
  );
  const [x, y, z] = [xyz[0]! / 0.95047, xyz[1]!, xyz[2]! / 1.08883].map((value) =>
    value > 216 / 24389 ? Math.cbrt(value) : (24389 / 27 / 116) * value + 16 / 116,
  );
  return [116 * y! - 16, 500 * (x! - y!), 200 * (y! - z!)];
};
const apart = (one: string, other: string, eye: number[][]) => {
  const [a, b] = [one, other].map((hex) => lab(times(eye, linear(hex))));
  return Math.hypot(...a!.map((value, at) => value - b![at]!));
};

describe("colours that mean something", () => {
  it("are measured as the standard has it: black and white are 100 apart", () => {
    expect(apart("#000", "#ffffff", EYES.usual!)).toBeCloseTo(100, 3);
    expect(apart("#ff0000", "#00ff00", EYES["without green cones"]!)).toBeLessThan(
      apart("#ff0000", "#00ff00", EYES.usual!) / 2,
    );
  });

  for (const [theme, colours] of Object.entries(THEMES))
    for (const [eye, matrix] of Object.entries(EYES))
      it(`are told apart in ${theme} by eyes ${eye}`, () => {
        const close = PAIRS.map(([one, other]) => [
          `${one} and ${other}`,
          Math.round(apart(colours[one]!, colours[other]!, matrix)),
        ]).filter(([, difference]) => Number(difference) < SEEN);
        expect(close).toEqual([]);
      });
});
