import { describe, expect, it } from "vitest";
import { bodyOf, dot, type Body } from "../src/parts/brake/body";
import { camera, flat } from "../src/parts/brake/camera";
import { Arrangement, paint, visibleShare } from "../src/parts/brake/painter";
import { Picture } from "../src/parts/brake/picture.svelte";
import { Scene, type Part } from "../src/parts/brake/scene";
import { stepShown } from "../src/parts/brake/stepShown";
import type { Schemas } from "../src/api/client";

const circle = (radius: number, corners = 16) =>
  Array.from({ length: corners }, (_, at) => {
    const angle = (2 * Math.PI * (at + 0.5)) / corners;
    return [radius * Math.cos(angle), radius * Math.sin(angle)];
  }).flat();
const disc = (radius: number, from: number, to: number, hole?: number): Schemas["Solid"] => ({
  axis: "x",
  outline: circle(radius),
  from,
  to,
  seams: [],
  ...(hole ? { hole: circle(hole) } : {}),
});
const box = (y: [number, number], z: [number, number], from: number, to: number): Schemas["Solid"] => ({
  axis: "x",
  outline: [y[0], z[0], y[1], z[0], y[1], z[1], y[0], z[1]],
  from,
  to,
  seams: [],
});
const part = (id: string, solids: Schemas["Solid"][], more: Partial<Part> = {}): Part => ({
  id,
  label: id,
  stuff: "plain",
  way: [0, 0, 0],
  carried_by: null,
  off_when: true,
  shown: true,
  fastener: null,
  term: null,
  about: null,
  data: [],
  found: [],
  fields: [],
  known: true,
  solids,
  ...more,
});
// A rotor on a stud that goes through its hat, a pad before and one behind it, a caliper over its rim.
const PARTS = [
  part("rotor", [disc(140, -11, 11, 70), disc(76, 11, 40, 70), disc(76, 40, 47, 27)], { way: [200, 0, 0] }),
  part("stud", [disc(8, -20, 80)]),
  part("outer", [box([-50, 50], [90, 137], 11, 22)], { way: [0, 0, 80] }),
  part("inner", [box([-50, 50], [90, 137], -22, -11)], { way: [0, 0, 80] }),
  part("caliper", [box([-46, 46], [144, 160], -60, 40)], { way: [0, 0, 190] }),
  part("bolt", [disc(5, -90, -60, undefined)], { way: [-60, 0, 0], carried_by: "caliper", fastener: "pin_bolt" }),
];
const everywhere = () => true;
const nowhere = () => 0;

describe("a drawn brake", () => {
  it("paints last what a line of sight meets first", () => {
    for (const turn of [38, 142, -38, -142, 80]) {
      for (const off of [nowhere, (id: string) => (id === "rotor" || id === "caliper" ? 1 : 0)]) {
        const seen = camera(turn, 22);
        const painted = paint(new Arrangement(new Scene(PARTS).placed(off, everywhere)), seen);
        for (let x = -150; x <= 150; x += 23)
          for (let y = -180; y <= 150; y += 23) {
            const hits = painted.flatMap((item) =>
              item.faces.flatMap((face, at) =>
                inside(face.points, [x, y]) && !(face.hole && inside(face.hole, [x, y]))
                  ? [
                      {
                        part: item.placed.body.part,
                        near: nearness(item.placed.body, item.placed.by, at, item.inner, [x, y], turn),
                      },
                    ]
                  : [],
              ),
            );
            if (!hits.length) continue;
            const nearest = Math.max(...hits.map((hit) => hit.near));
            expect(nearest - hits.at(-1)!.near, `${turn}: ${x} ${y} ${hits.at(-1)!.part}`).toBeLessThan(2);
          }
      }
    }
  });

  it("carries what hangs on a part along with it, as far as each has come", () => {
    const scene = new Scene(PARTS);
    expect(scene.offset("bolt", (id) => (id === "caliper" ? 0.5 : 1))).toEqual([-60, 0, 95]);
    expect(scene.offset("rotor", nowhere)).toEqual([0, 0, 0]);
  });

  it("says how much of a part can be seen", () => {
    const share = (turn: number, id: string) =>
      visibleShare(
        paint(new Arrangement(new Scene(PARTS).placed(nowhere, everywhere)), camera(turn, 22)),
        (body) => body.part === id,
      );
    expect(share(38, "outer")).toBeGreaterThan(0.6);
    expect(share(38, "inner")).toBeLessThan(0.3);
    expect(share(142, "bolt")).toBeGreaterThan(share(38, "bolt"));
  });
});

const shown = (more: object) => ({ off: [], out: [], in: [], hidden: [], of: [], ...more });

describe("a picture of a step", () => {
  it("begins on the side from which its part can be seen, and turns with the keys", () => {
    expect(new Picture(PARTS, shown({ of: ["outer"] }), [], 1).behind).toBe(false);
    const picture = new Picture(PARTS, shown({ of: ["bolt"] }), [], 1);
    expect(picture.behind).toBe(true);
    picture.turnRound();
    expect(picture.behind).toBe(false);
    const whole = picture.markup.length;
    picture.turnBy(10, 500);
    expect(picture.tilt).toBe(70);
    // plainly while it turns
    expect(picture.coarse).toBe(true);
    expect(picture.markup.length).toBeLessThan(whole);
  });

  it("moves what comes off out, what goes on in, and takes all apart", () => {
    const picture = new Picture(PARTS, shown({ off: ["caliper"], out: ["outer"], in: ["rotor"] }), [], 1);
    expect(["caliper", "outer", "rotor", "inner"].map(picture.off)).toEqual([1, 0.6, 0.4, 0]);
    picture.apart = true;
    expect(["outer", "inner", "nothing"].map(picture.off)).toEqual([1, 1, 0]);
    expect(picture.arrow).toBeNull();
  });

  it("keeps its labels inside, each with a line to its part, and leaves room for them", () => {
    const labels = [
      { part: "bolt", lines: ["2 × bolts", "hex 13 mm"] },
      { part: "gone", lines: ["?"] },
    ];
    const picture = new Picture(PARTS, shown({ of: ["bolt"], out: ["bolt"] }), labels, 0.8);
    picture.width = 390;
    expect(picture.written.map((each) => each.lines[0])).toEqual(["2 × bolts"]);
    expect(picture.written[0]!.y).toBeLessThan(30);
    expect(picture.arrow).toMatch(/^M/);
    const ys = [...picture.markup.matchAll(/[ML](-?\d+) (-?\d+)/g)].map((each) => Number(each[2]) / 10);
    expect(Math.min(...ys)).toBeGreaterThan(40);
    expect(Math.max(...ys)).toBeLessThanOrEqual(picture.height);
  });

  it("sees through what its part is inside of", () => {
    const inside = part("piston", [disc(30, -9, 9)]);
    const closed = [part("housing", [disc(60, -40, 40)]), { ...inside }];
    expect(new Picture(closed, shown({ of: ["piston"] }), [], 1).inside).toBe(true);
    expect(new Picture(PARTS, shown({ of: ["outer"] }), [], 1).inside).toBe(false);
  });
});

describe("what steps done in one go show", () => {
  const step = (key: string, more: object = {}) =>
    ({ key, tighten: [], undo: [], text: key, ...more }) as unknown as Schemas["JobStep"];
  const drawing = {
    corners: [{ key: "front.left", axle: "front", side: "left", parts: PARTS }],
    steps: [
      { key: "a", corner: "front.left", off: [], out: ["caliper"], in: [], hidden: ["hook"], of: ["caliper"] },
      { key: "b", corner: "front.left", off: ["caliper"], out: ["outer"], in: [], hidden: [], of: ["outer", "bolt"] },
    ],
  } as Schemas["JobDrawing"];

  it("is what they are about together, from before the first", () => {
    const found = stepShown(drawing, [step("a"), step("b")])!;
    expect(found.shown).toEqual({
      off: [],
      out: ["caliper", "outer"],
      in: [],
      hidden: [],
      of: ["caliper", "outer", "bolt"],
    });
    expect(found.labels.map((label) => label.part)).toEqual(["outer", "caliper"]);
    expect(stepShown(drawing, [step("c")])).toBeNull();
  });

  it("has size and torque at the bolt itself", () => {
    const line = {
      axle: "front",
      fastener: "pin_bolt",
      label: "Pin bolts",
      count: 2,
      drive: "hex 13 mm",
      newton_metres: 28,
      pound_feet: 20.7,
      pound_inches: 248,
      angle_degrees: null,
      entered_unit: "N·m",
    };
    const tight = stepShown(drawing, [step("b", { tighten: [line] })])!;
    expect(tight.labels).toEqual([
      { part: "bolt", lines: ["2 × pin bolts", "hex 13 mm, 28\u00a0N·m (20.7\u00a0lbf·ft)"] },
    ]);
    const undone = stepShown(drawing, [
      step("b", { undo: [{ fastener: "pin_bolt", label: "Pin bolts", drive: "hex 13 mm" }] }),
    ])!;
    expect(undone.labels[0]!.lines).toEqual(["bolt", "hex 13 mm"]);
  });
});

function inside(loop: (readonly [number, number])[], [x, y]: [number, number]): boolean {
  let odd = false;
  loop.forEach(([ax, ay], at) => {
    const [bx, by] = loop[(at + 1) % loop.length]!;
    if (ay > y !== by > y && x < ((bx - ax) * (y - ay)) / (by - ay) + ax) odd = !odd;
  });
  return odd;
}

/** Where the line of sight through a point meets the plane of a body's nth visible face. */
function nearness(
  body: Body,
  by: readonly number[],
  nth: number,
  inner: boolean,
  [x, y]: [number, number],
  turn: number,
): number {
  const seen = camera(turn, 22);
  const face = body.faces.filter((each) => each.inner === inner && dot(each.normal, seen.towards) > 1e-9)[nth]!;
  const corner = body.vertices[face.points[0]!]!.map((value, at) => value + by[at]!);
  const start = seen.right.map((value, at) => value * x - seen.up[at]! * y);
  const between = corner.map((value, at) => value - start[at]!) as [number, number, number];
  return dot(face.normal, between) / dot(face.normal, seen.towards);
}

it("projects as the core does", () => {
  const [right, down] = flat(camera(45, (Math.atan(1 / Math.SQRT2) * 180) / Math.PI), [0, 0, 1]);
  expect([right, down].map((value) => Math.round(value * 1000) / 1000)).toEqual([0, -0.816]);
  expect(bodyOf("a", "plain", disc(5, 0, 1, 3)).holeRadius).toBeCloseTo(3);
});
