import { describe, expect, it } from "vitest";
import { drawDrum } from "../src/screens/brakeData/drumDrawing";
import { drawCorner } from "../src/parts/sectionGeometry";
import { horizon, placed, type Mark } from "../src/parts/timelineScale";
import { coursePaths, dateTicks, picture, runs, spaced, staggered } from "../src/screens/wear/wearScale";
import type { Schemas } from "../src/api/client";

const pad = (pad: string, now_mm: number | null, sd_mm: number | null = 0.1) =>
  ({ pad, label: pad, now_mm, sd_mm, new_mm: 11, backing_mm: 5, limit_mm: 3 }) as Schemas["PadNow"];
const corner = (side: "left" | "right", inner: number | null, outer: number | null, rotor: number | null = 24) =>
  ({
    side,
    pads: [pad("inner", inner), pad("outer", outer)],
    rotor: { new_mm: 25, now_mm: rotor, discard_mm: 23 },
    drum: null,
  }) as Schemas["Corner"];

describe("a corner cut through", () => {
  it("is to scale, the left wheel's outer pad on the left", () => {
    const drawn = drawCorner(corner("left", 4, 8));
    expect(drawn.width).toBe(5 + 11 + 25 + 11 + 5);
    expect(drawn.pads.map((each) => each.id)).toEqual(["outer", "inner"]);
    // outer: plate 0 to 5, friction to 13, limit 3 mm from the plate
    expect(drawn.pads[0]).toMatchObject({
      plate: { from: 0, to: 5 },
      limitAt: 8,
      gone: { from: 13, to: 16 },
      facing: 1,
    });
    expect(drawn.pads[1]).toMatchObject({
      plate: { from: 52, to: 57 },
      limitAt: 49,
      gone: { from: 41, to: 48 },
      facing: -1,
    });
    expect(drawn.bodies).toEqual([{ whole: { from: 16, to: 41 }, now: { from: 16.5, to: 40.5 }, limits: [17, 40] }]);
    expect(drawCorner(corner("right", 4, 8)).pads.map((each) => each.id)).toEqual(["inner", "outer"]);
  });

  it("has a soft face as wide as the error, and nothing where nothing is known", () => {
    const [outer] = drawCorner(corner("left", 4, 8)).pads;
    expect(
      [outer!.solid, outer!.soft].map((each) => [each.from, each.to].map((at) => Math.round(at * 10) / 10)),
    ).toEqual([
      [5, 12.8],
      [12.8, 13.2],
    ]);
    const unread = drawCorner(corner("left", null, null, null));
    expect(unread.bodies[0]!.now).toBeNull();
    expect(unread.pads[0]!.solid).toEqual({ from: 5, to: 5 });
  });

  // a drum worn by 1 mm has lost half of it at each wall; the leading shoe points to the front of the vehicle
  it("draws a drum's two walls with half its wear each, leading shoe in front", () => {
    const drum = { new_mm: 200, now_mm: 201, sd_mm: 0.1, maximum_mm: 202 };
    const shoe = (name: string, mm: number) => ({ ...pad(name, mm), new_mm: 5, backing_mm: 2.5, limit_mm: 2 });
    const of = (side: "left" | "right") =>
      drawCorner({ side, rotor: null, drum, pads: [shoe("leading", 3), shoe("trailing", 4)] } as Schemas["Corner"]);
    expect(of("left").pads.map((each) => each.id)).toEqual(["leading", "trailing"]);
    expect(of("right").pads.map((each) => each.id)).toEqual(["trailing", "leading"]);
    expect(of("left").width).toBe(7 + 5 + 2.5 + 10 + 2.5 + 5 + 7);
    expect(of("left").bodies).toEqual([
      { whole: { from: 0, to: 7 }, now: { from: 0, to: 6.5 }, limits: [6] },
      { whole: { from: 32, to: 39 }, now: { from: 32.5, to: 39 }, limits: [33] },
    ]);
    // the lining rubs on the wall: its face is away from the rim
    expect(of("left").pads[0]).toMatchObject({ facing: -1, plate: { from: 12, to: 14.5 }, limitAt: 10 });
    const unread = drawCorner({
      ...({} as Schemas["Corner"]),
      side: "left",
      rotor: null,
      drum: { ...drum, now_mm: null },
      pads: [pad("leading", null), pad("trailing", null)],
    });
    expect(unread.bodies.map((body) => body.now)).toEqual([null, null]);
  });

  it("shows a pad read thicker than new as it was read", () => {
    expect(drawCorner(corner("left", 12.5, 8)).width).toBe(5 + 11 + 25 + 12.5 + 5);
  });
});

describe("marks on the timeline", () => {
  const mark = (id: string, at: number, text = "look again"): Mark => ({ id, at, text, kind: "look" });
  const x = (days: number) => days * 2;

  it("stand in rows where their labels would run into each other", () => {
    expect(placed([mark("b", 20), mark("a", 0), mark("c", 400)], x, 1000).map((each) => [each.id, each.row])).toEqual([
      ["a", 0],
      ["b", 1],
      ["c", 0],
    ]);
  });

  it("go as far as the first band and no life nobody plans for", () => {
    const lane = (high: number) => ({
      id: "1",
      label: "front",
      marks: [],
      bands: [{ id: "pads", label: "pads", low: 0, middle: 0, high, text: "" }],
    });
    expect(horizon([lane(200)])).toBe(365);
    expect(horizon([lane(1000)])).toBe(1250);
    expect(horizon([lane(9000)])).toBe(1825);
  });
});

const reading = (position: string, date: string, odometer_km: number, mm: number, more = {}) => ({
  position,
  part: position.includes("_") ? "pad" : "rotor",
  set: 1,
  date,
  odometer_km,
  mm,
  low_mm: mm - 0.3,
  high_mm: mm + 0.3,
  method: "caliper",
  entered: `${mm} mm`,
  doubted: false,
  kept: false,
  ...more,
});
const wear = {
  readings: [
    reading("left_inner", "2024-05-16", 20_000, 9),
    reading("left_inner", "2025-05-16", 30_000, 6, { method: "gauge" }),
    reading("left_inner", "2026-05-16", 41_000, 10, { doubted: true }),
  ],
  fits: [
    { part: "pad", date: "2024-01-16", odometer_km: 15_000 },
    { part: "pad", date: "2025-06-16", odometer_km: 31_000 },
  ],
  components: [
    {
      position: "left_inner",
      part: "pad",
      now_mm: 9.6,
      sd_mm: 0.2,
      life: { distance_km: { p10: 10_000, p50: 15_000, p90: 22_000 } },
    },
  ],
  axle: { limit_mm: 3, corners: [corner("left", 9.6, 9.6)] },
  as_of: { date: "2026-05-16", odometer_km: 41_000 },
  km_per_day: 30,
} as unknown as Schemas["Wear"];
const km = (value: number) => value;

describe("the wear chart", () => {
  const drawn = picture(wear, ["left_inner"], km);

  it("has a point a reading, a gauge's as an interval, and one where each set was new", () => {
    expect(drawn.points.map((each) => [each.at, each.mm, each.interval, each.doubted])).toEqual([
      [15_000, 11, false, false],
      [31_000, 11, false, false],
      [20_000, 9, false, false],
      [30_000, 6, true, false],
      [41_000, 10, false, true],
    ]);
    expect(drawn.points[3]!.text).toBe("left inner, 16 May 2025: 6 mm (gauge)");
    expect([drawn.odometer, drawn.top]).toEqual([[15_000, 63_000], 12]);
  });

  it("cuts the line where a new set went on", () => {
    expect(runs(drawn.points, drawn.breaks).map((run) => run.map((each) => each.at))).toEqual([
      [15_000, 20_000, 30_000],
      [31_000, 41_000],
    ]);
  });

  it("runs its band to the limit: the lower edge first, the upper one last", () => {
    const [course] = drawn.courses;
    expect(course).toMatchObject({ limit: 3, from: 41_000, to: [51_000, 56_000, 63_000] });
    const paths = coursePaths(
      course!,
      (at) => at / 1000,
      (mm) => mm * 10,
    );
    expect(paths.middle).toBe("M41,96L56,30");
    expect(paths.band.startsWith("M41,98.56L51,")).toBe(true);
    expect(paths.band).toContain("L63,30L63,30L51,30L41,93.44Z");
    expect(picture({ ...wear, components: [] }, ["left_inner"], km).courses).toEqual([]);
  });

  it("puts years where the odometer stood or will stand", () => {
    const ticks = dateTicks(wear, km, drawn.odometer);
    expect(ticks.map((each) => each.label)).toEqual(["2025", "2026", "2027", "2028"]);
    // between 16 May 2024 (20,000) and 16 May 2025 (30,000), 230 of 365 days on; from today on 30 km a day
    expect(ticks[0]!.at).toBeCloseTo(20_000 + (10_000 * 230) / 365, -2);
    expect(ticks[2]!.at).toBeCloseTo(41_000 + 30 * 230, -2);
  });

  it("leaves labels room", () => {
    const ticks = [0, 10, 60, 65].map((at) => ({ at, label: `${at}` }));
    expect(spaced(ticks, km, 46).map((each) => each.at)).toEqual([0, 60]);
    expect(staggered(ticks, km, 46).map((each) => each.row)).toEqual([0, 1, 0, 1]);
  });
});

describe("a drum's brake data", () => {
  const known: Record<string, number> = {
    "lining.new_thickness": 5,
    "drum.new_diameter": 203,
    "drum.maximum_diameter": 205,
  };
  const drawn = drawDrum((key) => known[key] ?? null, 2000);

  it("is to scale: a drum that may grow by 2 mm has a wall that may lose 1 mm", () => {
    const scale = (drawn.pads[0]![1] - drawn.pads[0]![0]) / 5;
    expect(drawn.rotor[1] / scale).toBeCloseTo(7);
    expect((drawn.rotor[1] - drawn.discard![0]!) / scale).toBeCloseTo(1);
    // 2 mm of lining are left at the usual limit
    expect((drawn.pads[0]![1] - drawn.padLimits[0]!) / scale).toBeCloseTo(2);
  });

  it("marks what is drawn at a typical size, and draws no limit that nobody knows", () => {
    const lanes = [...drawn.above, ...drawn.below];
    expect(lanes.filter((lane) => !lane.known).map((lane) => lane.key)).toEqual([
      "lining.service_limit",
      "lining.discard_thickness",
      "drum.machine_to_diameter",
    ]);
    expect(drawDrum(() => null, 390).discard).toBeNull();
    expect(drawDrum(() => null, 390).right).toBeLessThan(390);
  });
});
