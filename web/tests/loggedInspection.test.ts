import { describe, expect, it } from "vitest";
import {
  conditions,
  differences,
  emptyContent,
  emptyEntry,
  isFilled,
  inspection,
  type Place,
  type Wheel,
} from "../src/screens/inspection/inspectionContent";
import { tokens } from "../src/format/readings";
import type { Schemas } from "../src/api/client";

const place = {
  id: "12_left_inner",
  part: "pad",
  side: "left",
  pad: "inner",
  label: "inner pad",
  method: "gauge",
  unit: "mm",
  instrument: null,
} as unknown as Place;
const wheel = { axle: 12, label: "Front left", positions: [place] } as unknown as Wheel;
const content = emptyContent({ today: "2026-05-16", vehicle: { distance_unit: "mi" } } as Schemas["InspectionForm"]);

describe("what was typed", () => {
  it("is several places, one figure with its unit, or one mixed number", () => {
    expect(tokens("8.4 8.1 7,9")).toEqual(["8.4", "8.1", "7,9"]);
    expect(tokens("7/32 in")).toEqual(["7/32 in"]);
    expect(tokens("1 7/32")).toEqual(["1 7/32"]);
    expect([tokens("  "), tokens("8.4")]).toEqual([[], ["8.4"]]);
  });

  it("is filled by a figure, a place already taken, or an event", () => {
    const entry = emptyEntry(place);
    expect(
      [entry, { ...entry, text: "8" }, { ...entry, places: ["8"] }, { ...entry, event: "metal" as const }].map(
        isFilled,
      ),
    ).toEqual([false, true, true, true]);
  });
});

describe("an inspection as it is sent", () => {
  it("has new parts first, the gauge's next leaf only with a gauge, and says what a simulated device sent", () => {
    const entry = { ...emptyEntry(place), text: "5", upper: " 6 ", simulated: true };
    const sent = inspection(
      {
        ...content,
        odometer: "61200",
        fits: ["12|pad"],
        entries: { [place.id]: entry },
        simulated: { odometer: true },
      },
      [[wheel, place]],
    );
    expect(sent.readings[0]).toEqual({ axle: 12, part: "pad", event: "fit" });
    expect(sent.readings[1]).toMatchObject({
      axle: 12,
      side: "left",
      values: ["5"],
      upper: "6",
      method: "gauge",
      simulated: true,
    });
    expect(sent).toMatchObject({ odometer: { value: "61200", unit: "mi", keep: false, simulated: true }, note: null });
    const caliper = inspection(
      { ...content, entries: { [place.id]: { ...entry, method: "caliper", simulated: false } } },
      [[wheel, place]],
    );
    expect(caliper.readings[0]).toMatchObject({ upper: null });
    expect(caliper.readings[0]).not.toHaveProperty("simulated");
    const event = inspection({ ...content, entries: { [place.id]: { ...entry, event: "squealer" } } }, [
      [wheel, place],
    ]);
    expect(event.readings[0]).toEqual({
      axle: 12,
      part: "pad",
      side: "left",
      pad: "inner",
      flags: [],
      event: "squealer",
    });
  });

  it("has marks where they were seen, of the vehicle too, and figures that were entered", () => {
    const given = conditions({
      ...content,
      marks: { "12|left|inner|pad": ["glazed", "oily"], "|||symptom": ["pulsation"] },
      figures: { fluid_level: " 0.5 ", moisture: " " },
      simulated: { fluid_level: true },
    });
    expect(given).toEqual([
      { item: "pad", mark: "glazed", axle: 12, side: "left", face: "inner" },
      { item: "pad", mark: "oily", axle: 12, side: "left", face: "inner" },
      { item: "symptom", mark: "pulsation", axle: null, side: null, face: null },
      { item: "fluid_level", value: "0.5", simulated: true },
    ]);
  });
});

describe("two versions of one inspection", () => {
  it("are told apart line by line, and say nothing of what is alike", () => {
    const entry = emptyEntry(place);
    const mine = { ...content, odometer: "61200", entries: { [place.id]: { ...entry, text: "5", upper: "6" } } };
    const theirs = {
      ...content,
      odometer: "61300",
      entries: { [place.id]: { ...entry, event: "metal" as const } },
      marks: { "12|left|inner|pad": ["glazed"] },
    };
    expect(differences([wheel], mine, theirs)).toEqual([
      ["Odometer", "61200", "61300"],
      ["Front left inner pad", "5 (6 doesn't fit) mm", "metal"],
      ["Seen: left inner pad", "", "glazed"],
    ]);
    expect(differences([wheel], mine, mine)).toEqual([]);
  });
});
