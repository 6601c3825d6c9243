import { describe, expect, it } from "vitest";
import { told } from "../src/screens/atTheCar/aloud";
import type { StepGroup } from "../src/format/jobs";

const line = (more: object) => ({
  label: "Bracket bolts",
  newton_metres: 108.5,
  pound_feet: 80,
  pound_inches: 960,
  entered_unit: "lbf·ft",
  angle_degrees: null,
  ...more,
});
const group = (steps: object[]) => ({ key: "a", steps }) as unknown as StepGroup;

describe("a step read aloud", () => {
  it("says what can hurt first, then what to do, then how tight, in the unit it was entered in", () => {
    const step = {
      text: "Fit the bracket, then torque its bolts",
      cautions: [{ severity: "danger", text: "Hold the bracket." }],
      tighten: [line({})],
    };
    expect(told(group([step, { ...step, text: "Wipe it." }]))).toBe(
      "Danger. Hold the bracket. Fit the bracket, then torque its bolts. Wipe it. Bracket bolts: 80 pound-feet.",
    );
  });

  it("says an angle, and that a torque is missing", () => {
    const said = told(
      group([
        { text: "Torque.", cautions: [], tighten: [line({ angle_degrees: 90, entered_unit: "N·m" })] },
        { text: "Next.", cautions: [], tighten: [line({ label: "Pin bolts", newton_metres: null })] },
      ]),
    );
    expect(said).toContain("Bracket bolts: 108.5 newton meters, then 90 degrees.");
    expect(said).toContain("Pin bolts: no torque on file.");
  });
});
