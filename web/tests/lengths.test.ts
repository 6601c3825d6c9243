import { afterEach, describe, expect, it, vi } from "vitest";

/** The formats of a household that chose these units. */
async function formats(units?: Record<string, string>) {
  vi.resetModules();
  vi.doMock("../src/texts/pageData", () => ({ told: (name: string) => (name === "units" ? units : undefined) }));
  return { ...(await import("../src/format/lengths")), ...(await import("../src/format/units")) };
}
afterEach(() => vi.doUnmock("../src/texts/pageData"));

const NBSP = "\u00a0";

describe("lengths", () => {
  it("have no more digits than their error allows", async () => {
    const { thickness, limitLength, withError } = await formats();
    const said = [
      thickness(7.16, "pad"),
      thickness(7.16, "pad", { sd: 0.01 }),
      thickness(23.456, "rotor"),
      thickness(null, "pad"),
    ];
    expect(said.map((each) => each.replace(NBSP, " "))).toEqual(["7.2 mm", "7.16 mm", "23.46 mm", "?"]);
    expect([limitLength(8, "pad"), limitLength(22.4, "rotor")]).toEqual([`8${NBSP}mm`, `22.4${NBSP}mm`]);
    expect(withError(5.6, 0.1, "pad")).toBe(`5.6${NBSP}mm, ±${NBSP}0.2`);
  });

  // By hand: 7/32 in is 5.556 mm, 0.060 in is 1.524 mm; between two 32nds a pad counts as the thinner, a limit as the thicker.
  it("of pads are whole 32nds, on the careful side, where the household reads them so", async () => {
    const { lengthFigure, limitLength, expectedIn, tickLabel, lengthTicks } = await formats({
      pad: "32nd",
      rotor: "in",
    });
    expect([5.556, 5.9, 6.2].map((mm) => lengthFigure(mm, "pad"))).toEqual(["7/32", "7/32", "7/32"]);
    expect([5.556, 5.9, 3].map((mm) => limitLength(mm, "pad"))).toEqual(
      ["7/32", "8/32", "4/32"].map((each) => `${each}${NBSP}in`),
    );
    expect([lengthFigure(28, "rotor"), limitLength(22.86, "rotor")]).toEqual(["1.102", `0.900${NBSP}in`]);
    expect(["in", "32nd", "thou", "mm"].map((unit) => expectedIn(5.556, unit, "pad"))).toEqual([
      "0.219",
      "7.0",
      "219",
      "5.6",
    ]);
    const heights = lengthTicks(() => [0, 4, 8], 8, "pad");
    expect(heights.map((mm) => tickLabel(mm, "pad"))).toEqual(["0/32", "4/32", "8/32"]);
  });

  it("are offered in the household's unit, if something can be read in it", async () => {
    const { usualUnit } = await formats({ pad: "32nd", rotor: "mm", torque: "lbf·ft" });
    expect(usualUnit(["mm", "in", "32nd"], "pad")).toBe("32nd");
    expect(usualUnit(["mm", "in"], "pad")).toBe("in");
    expect(usualUnit(["mm", "in", "32nd"], "rotor")).toBe("mm");
    expect(usualUnit(["N·m", "lbf·ft"])).toBe("lbf·ft");
    expect((await formats()).usualUnit(["mm", "in"], "pad")).toBe("mm");
  });
});
