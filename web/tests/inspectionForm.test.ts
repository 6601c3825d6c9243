import { beforeEach, describe, expect, it } from "vitest";
import type { Schemas } from "../src/api/client";
import {
  emptyContent,
  emptyEntry,
  inspection,
  type Place,
  type Wheel,
} from "../src/screens/inspection/inspectionContent";
import { FormQuestions } from "../src/screens/inspection/formQuestions.svelte";

class Form extends FormQuestions {
  changes = 0;
  changed = () => void (this.changes += 1);
  note = () => this.remember();
}
const place = (axle: number, side: string, pad: string | null, more: object = {}): Place =>
  ({
    id: `${axle}_${side}_${pad ?? "rotor"}`,
    axle,
    part: pad ? "pad" : "rotor",
    side,
    pad,
    label: `${pad}`,
    method: "caliper",
    unit: "mm",
    instrument: null,
    before: null,
    places: 4,
    expected_mm: 8,
    ...more,
  }) as unknown as Place;
const wheel = (axle: number, side: string, items: string[] = []): Wheel =>
  ({
    axle,
    side,
    label: `${axle} ${side}`,
    items,
    positions: [place(axle, side, "inner"), place(axle, side, "outer"), place(axle, side, null, { places: 12 })],
  }) as unknown as Wheel;
const mark = (id: string, good = false, group: string | null = null) =>
  ({ id, label: id, good, group }) as unknown as Schemas["Mark"];

let form: Form;
const at = (id: string): Place => form.wheels.flatMap((each) => each.positions).find((each) => each.id === id)!;
const question = (index: number, more: object = {}) =>
  ({
    at: index,
    question: { code: "far_below", sentence: "Sure?", answers: [], other: null, ...more },
  }) as unknown as Schemas["PositionRead"];

beforeEach(() => {
  form = new Form(null);
  form.sheet = {
    today: "2026-05-16",
    vehicle: { distance_unit: "km", sample: false },
    wheels: [wheel(1, "left", ["pins", "faces"]), wheel(1, "right"), wheel(2, "left")],
    methods: [
      { id: "caliper", key: "c", parts: ["pad", "rotor"], units: ["mm", "in"] },
      { id: "rule", key: "r", parts: ["pad"], units: ["32nd", "mm"] },
    ],
    events: [{ id: "metal", key: "x" }],
    instruments: [
      { id: 7, method: "rule" },
      { id: 8, method: "caliper" },
      { id: 9, method: "caliper" },
    ],
    items: [
      { id: "pins", faces: [], marks: [mark("free", true), mark("stiff")] },
      { id: "faces", faces: ["inner", "outer"], marks: [mark("smooth", true), mark("scored")] },
    ],
  } as unknown as Schemas["InspectionForm"];
  form.content = emptyContent(form.sheet);
  for (const each of form.wheels.flatMap((one) => one.positions)) form.content.entries[each.id] = emptyEntry(each);
});

describe("a change of tool", () => {
  it("holds for the empty positions of its part still to come, and never for a reading already taken", () => {
    form.entry(at("1_left_outer")).text = "8.1";
    form.entry(at("2_left_inner")).places = ["7.9"];
    form.pick(at("1_left_inner"), "r");
    const methods = form.wheels.flatMap((each) => each.positions).map((each) => [each.id, form.entry(each).method]);
    expect(methods.filter(([, method]) => method === "rule").map(([id]) => id)).toEqual([
      "1_left_inner",
      "1_right_inner",
      "1_right_outer",
      "2_left_outer",
    ]);
    expect(form.entry(at("1_left_outer"))).toMatchObject({ method: "caliper", unit: "mm", text: "8.1" });
  });

  it("changes nothing before the position it was made at", () => {
    form.pick(at("1_right_inner"), "r");
    expect(form.entry(at("1_left_inner")).method).toBe("caliper");
    form.nextUnit(at("1_right_outer"));
    expect([form.entry(at("1_right_inner")).unit, form.entry(at("1_right_outer")).unit]).toEqual(["mm", "32nd"]);
  });

  it("keeps the unit where the tool reads in it, and takes the only tool there is, or the last one used", () => {
    form.pick(at("1_left_inner"), "r");
    expect(form.entry(at("1_left_inner"))).toMatchObject({ unit: "mm", instrument: 7 });
    form.pick(at("1_left_inner"), "c");
    expect(form.entry(at("1_left_inner")).instrument).toBeNull();
    form.nextInstrument(at("1_left_inner"));
    form.pick(at("2_left_inner"), "c");
    expect(form.entry(at("2_left_inner")).instrument).toBe(8);
  });

  it("picks an event for a pad alone, and drops it with the same key", () => {
    expect([form.pick(at("1_left_rotor"), "x"), form.pick(at("1_left_inner"), "x")]).toEqual([false, true]);
    expect(form.entry(at("1_left_inner")).event).toBe("metal");
    form.pick(at("1_left_inner"), "x");
    expect(form.entry(at("1_left_inner")).event).toBe("reading");
  });
});

describe("positions", () => {
  it("expect nothing of a part that is being fitted", () => {
    const [first] = form.wheels;
    form.toggleFit(1, "pad");
    expect([form.expected(first!, at("1_left_inner")), form.expected(first!, at("1_left_rotor"))]).toEqual([null, 8]);
    expect(form.expected(form.wheels[2]!, at("2_left_inner"))).toBe(8);
    form.toggleFit(1, "pad");
    expect(form.content!.fits).toEqual([]);
  });

  it("are those of one axle where one is asked for", () => {
    const one = new Form(2);
    [one.sheet, one.content] = [form.sheet, form.content];
    expect(one.wheels.map((each) => each.axle)).toEqual([2]);
  });

  it("are found in order where nothing is marked yet", () => {
    form.content!.marks["1|left||pins"] = ["stiff"];
    expect(form.allInOrder(form.wheels[0]!)).toBe(2);
    expect(form.content!.marks).toEqual({
      "1|left||pins": ["stiff"],
      "1|left|inner|faces": ["smooth"],
      "1|left|outer|faces": ["smooth"],
    });
  });

  it("keep an inch as an inch when the draft is opened again", () => {
    const entry = { ...emptyEntry(at("1_left_inner")), text: "7/32", unit: "in" };
    const again = JSON.parse(
      JSON.stringify({ ...form.content!, entries: { ...form.content!.entries, "1_left_inner": entry } }),
    );
    form.content = again;
    const sent = inspection(form.content!, form.filled);
    expect(sent.readings).toEqual([
      expect.objectContaining({ axle: 1, side: "left", pad: "inner", values: ["7/32"], unit: "in" }),
    ]);
  });
});

describe("questions", () => {
  beforeEach(() => {
    form.entry(at("1_left_inner")).text = "8";
    form.entry(at("1_right_outer")).text = "1.2";
  });

  it("stand at the wheel they are about, new parts counted first", () => {
    form.preview = { positions: [question(1)], faults: [] } as unknown as Schemas["Preview"];
    expect([form.questionAt(at("1_right_outer"))?.code, form.questionAt(at("1_left_inner"))]).toEqual([
      "far_below",
      null,
    ]);
    form.toggleFit(2, "pad");
    expect([form.questionAt(at("1_right_outer")), form.questionAt(at("1_left_inner"))?.code]).toEqual([
      null,
      "far_below",
    ]);
  });

  it("settle one reading, change its unit or plate, and stay on file when another value is typed", () => {
    form.preview = { positions: [question(1)], faults: [] } as unknown as Schemas["Preview"];
    const wrong = at("1_right_outer");
    form.answer(wrong, { id: "affirmed", label: "", unit: null });
    expect([form.entry(wrong).answer, form.entry(at("1_left_inner")).answer]).toEqual(["affirmed", null]);
    form.answer(wrong, { id: "other_unit", label: "", unit: "in" });
    form.answer(wrong, { id: "with_plate", label: "", unit: null });
    expect(form.entry(wrong)).toMatchObject({ unit: "in", overall: true });
    expect(form.entry(wrong).flags.map((flag) => [flag.value, flag.unit, flag.answer])).toEqual([
      ["1.2", "mm", "other_unit"],
      ["1.2", "in", "with_plate"],
    ]);
    form.note();
    form.entry(wrong).text = "3";
    form.retyped(wrong);
    expect(form.entry(wrong).answer).toBeNull();
  });

  it("do not count as answered while half a number is typed", () => {
    form.preview = { positions: [question(1)], faults: [] } as unknown as Schemas["Preview"];
    form.note();
    form.entry(at("1_right_outer")).text = "1.25";
    form.retyped(at("1_right_outer"));
    expect(form.entry(at("1_right_outer")).flags).toEqual([]);
    form.entry(at("1_right_outer")).text = "9";
    form.retyped(at("1_right_outer"));
    expect(form.entry(at("1_right_outer")).flags).toEqual([expect.objectContaining({ value: "1.2", answer: "again" })]);
  });

  it("swap two readings and nothing else of them", () => {
    form.entry(at("1_left_inner")).method = "rule";
    form.preview = {
      positions: [question(1, { code: "swapped", other: 0 })],
      faults: [],
    } as unknown as Schemas["Preview"];
    form.answer(at("1_right_outer"), { id: "swap", label: "", unit: null });
    expect([form.entry(at("1_left_inner")).text, form.entry(at("1_right_outer")).text]).toEqual(["1.2", "8"]);
    expect([form.entry(at("1_left_inner")).method, form.entry(at("1_right_outer")).method]).toEqual([
      "rule",
      "caliper",
    ]);
  });

  it("take several places, as many as there are", () => {
    const rotor = at("1_left_inner");
    for (const text of ["8.4", "8.3", "8.2", "8.1"]) {
      form.entry(rotor).text = text;
      form.takePlace(rotor);
    }
    expect([form.entry(rotor).places, form.entry(rotor).text]).toEqual([["8.4", "8.3", "8.2"], "8.1"]);
    form.dropPlace(rotor, 1);
    expect(form.values(rotor)).toEqual(["8.4", "8.2", "8.1"]);
  });
});
