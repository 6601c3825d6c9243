import { afterEach, describe, expect, it, vi } from "vitest";
import { api, Refusal, type Schemas } from "../src/api/client";
import { speed } from "../src/format/words";
import { Loader } from "../src/parts/loader.svelte";
import { undo } from "../src/parts/undo.svelte";
import { corners } from "../src/screens/loggedInspection/corners";
import { asItWas, Correction } from "../src/screens/loggedInspection/correction.svelte";

type Logged = Schemas["LoggedInspection"];
const reading = (id: number, more: object = {}) =>
  ({
    id,
    axle: "front",
    part: "pad",
    side: "left",
    pad: "inner",
    value: "7/32",
    upper: null,
    unit: "in",
    void: false,
    ...more,
  }) as unknown as Schemas["LoggedReading"];
const logged = (more: object = {}) =>
  ({
    id: 4,
    date: "2026-05-02",
    odometer: { value: "61000", unit: "mi" },
    void: false,
    readings: [reading(1), reading(2, { part: "rotor", pad: null, value: "24.1", unit: "mm" })],
    marks: [],
    ...more,
  }) as unknown as Logged;
const opened = (of = logged()) => {
  const loaded = new Loader<Logged>();
  loaded.value = of;
  return new Correction(() => 4, loaded);
};

afterEach(() => vi.restoreAllMocks());

describe("a correction", () => {
  it("opens an inch as an inch, a fraction as it was typed, and sends only what was changed", async () => {
    const correction = opened();
    const sent = vi.spyOn(api, "correct").mockResolvedValue(logged());
    correction.openReading(reading(1));
    expect([correction.value, correction.unit, correction.upper]).toEqual(["7/32", "in", ""]);
    correction.value = " 1/4 ";
    correction.reason = "Misread";
    await correction.saveReading(reading(1));
    expect(sent.mock.calls[0]).toEqual([4, { reason: "Misread", reading: 1, value: "1/4" }]);
    correction.openReading(reading(1));
    correction.unit = "mm";
    await correction.saveReading(reading(1));
    expect(sent.mock.calls[1]![1]).toEqual({ reason: "", reading: 1, unit: "mm" });
    expect(correction.reading).toBeNull();
  });

  it("keeps the inspection's own unit for its odometer, and stays open where it is refused", async () => {
    const correction = opened();
    const sent = vi.spyOn(api, "correct").mockRejectedValue(
      new Refusal(422, "no", [
        { field: "odometer.value", code: "order", message: "Runs back" },
        { field: "state", code: "x", message: "Else" },
      ]),
    );
    correction.openItself(logged());
    correction.odometer = "6100";
    expect(await correction.saveItself(logged())).toBe(false);
    expect(sent.mock.calls[0]![1]).toEqual({ reason: "", odometer: { value: "6100", unit: "mi" } });
    expect([correction.itself, correction.fault("odometer.value"), correction.other]).toEqual([
      true,
      "Runs back",
      "Else",
    ]);
  });

  it("can be taken back to what was there", async () => {
    expect(asItWas(logged(), { reading: 1, value: "1/4", unit: "mm" })).toEqual({
      reading: 1,
      value: "7/32",
      unit: "in",
    });
    expect(asItWas(logged(), { odometer: { value: "6", unit: "mi" }, date: "2026-05-03" })).toEqual({
      odometer: { value: "61000", unit: "mi" },
      date: "2026-05-02",
    });
    expect(asItWas(logged(), { reading: 2, void: true })).toEqual({ reading: 2, void: false });
    const marks = [
      { id: 9, mark_id: "stiff", entered: "stiff", void: false },
      { id: 10, mark_id: null, entered: "0.5", void: false },
    ];
    expect(asItWas(logged({ marks }), { condition: 9, mark: "free" })).toEqual({ condition: 9, mark: "stiff" });
    expect(asItWas(logged({ marks }), { condition: 10, value: "0.7" })).toEqual({ condition: 10, value: "0.5" });
  });

  it("is undone by the correction the other way", async () => {
    const offered = vi.spyOn(undo, "offer").mockImplementation(() => undefined);
    const sent = vi.spyOn(api, "correct").mockResolvedValue(logged());
    const correction = opened();
    await correction.send({ reading: 1, void: true });
    await offered.mock.calls[0]![1]();
    expect(sent.mock.calls.map(([, change]) => change)).toEqual([
      { reason: "", reading: 1, void: true },
      { reason: expect.any(String), reading: 1, void: false },
    ]);
  });
});

describe("a logged inspection", () => {
  it("is sorted by corner, pads apart from rotors, and what has no corner is not lost", () => {
    const of = logged({
      readings: [...logged().readings, reading(3, { part: "shoe", pad: null }), reading(4, { axle: null })],
      marks: [
        { axle: "front", side: "left" },
        { axle: null, side: null },
      ],
    });
    const found = corners(of);
    expect(
      found.corners.map((each) => [
        each.name,
        each.first.length,
        each.rotor.length,
        each.more.length,
        each.marks.length,
      ]),
    ).toEqual([["front left", 1, 1, 1, 1]]);
    expect([found.readings.map((each) => each.id), found.marks.length]).toEqual([[4], 1]);
  });
});

describe("a speed of the trade", () => {
  it("is in the owner's unit, rounded to five", () => {
    const said = (kmh: number) => [speed(kmh, "km"), speed(kmh, "mi")].map((each) => each.replace("\u00a0", " "));
    // 1 mile is 1.609344 km
    expect([said(50), said(100), said(0)]).toEqual([
      ["50 km/h", "30 mph"],
      ["100 km/h", "60 mph"],
      ["0 km/h", "5 mph"],
    ]);
  });
});
