import { describe, expect, it } from "vitest";
import cases from "./photoMeasures.json";
import { measured } from "../src/screens/inspection/photoMeasure";
import { PhotoMarks } from "../src/screens/inspection/photoMarks.svelte";
import type { Schemas } from "../src/api/client";

const rules: Schemas["PhotoRules"] = {
  known: ["rule", "coin", "nut", "rotor"].map((id) => ({
    id,
    label: id,
    ask: id,
    length: id === "rule" ? "10 mm" : null,
    standard_uncertainty_mm: { rule: 0.15, coin: 0.1, nut: 0.15, rotor: 0.1 }[id]!,
  })),
  away: [
    { id: "beside", label: "beside", mm: 5 },
    { id: "near", label: "near", mm: 30 },
    { id: "far", label: "far", mm: 90 },
  ],
  shortest_px: 12,
  slant_degrees: 35,
  focal_share: 0.6,
  mark_standard_uncertainty_px: 2,
};

describe("a pad measured in a photo", () => {
  it("comes to the same here as on the server", () => {
    for (const { given, measured: server } of cases) expect(measured(rules, given, "mm")).toEqual(server);
  });

  it("is not measured without a length, or by marks that are too close", () => {
    const { given } = cases[0]!;
    expect(measured(rules, { ...given, length: "a bit" }, "mm")).toBeNull();
    expect(measured(rules, { ...given, edges: [5, 5, 9, 9] }, "mm")).toBeNull();
  });

  it("moves a mark as far as the view is zoomed, within the photo, and waits for all four", () => {
    const marks = new PhotoMarks(rules, "23.8 mm");
    marks.photo = { address: "", width: 4000, height: 3000 };
    marks.width = 400;
    marks.spots = [
      [100, 100],
      [200, 100],
      [100, 200],
      [200, 200],
    ];
    marks.move(0, 3, 0);
    expect(marks.spots[0]).toEqual([130, 100]);
    marks.zoomBy(1);
    marks.move(0, 3, -9000);
    expect(marks.spots[0]).toEqual([145, 0]);
    expect(marks.complete).toBe(false);
    [1, 2, 3].forEach((at) => marks.move(at, 0, 1));
    expect(marks.complete).toBe(true);
    expect(marks.given).toMatchObject({ pixel: 5, ends: [145, 0, 200, 105], length: "10 mm" });
    marks.pick("rotor");
    expect(marks.length).toBe("23.8 mm");
    marks.end();
  });
});
