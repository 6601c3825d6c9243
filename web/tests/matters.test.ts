import { describe, expect, it } from "vitest";
import type { Schemas } from "../src/api/client";
import { matters } from "../src/screens/findings/matters";

const finding = (rule: string, topic: string, axle_id: number | null, side: string | null) =>
  ({ rule, topic, axle_id, side }) as Schemas["Finding"];

describe("matters", () => {
  it("gathers a corner, an axle's pads, its rotors and the vehicle each into one, in the order found", () => {
    const found = matters([
      finding("pads-due", "pads", 1, null),
      finding("inner-thin", "uneven", 1, "left"),
      finding("one-face", "uneven", 1, "left"),
      finding("seen-slide_pins-seized", "seen", 1, "left"),
      finding("corner-thin", "uneven", 1, "right"),
      finding("pad-maybe-below", "pads", 1, "left"),
      finding("pad-maybe-below", "pads", 2, "left"),
      finding("rotor-runout", "rotors", 1, "left"),
      finding("fluid-old", "fluid", null, null),
    ]);
    expect(found.map(({ lead, others }) => [lead.rule, others.length])).toEqual([
      ["pads-due", 1],
      ["inner-thin", 2],
      ["corner-thin", 0],
      ["pad-maybe-below", 0],
      ["rotor-runout", 0],
      ["fluid-old", 0],
    ]);
  });
});
