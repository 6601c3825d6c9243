import { pieces } from "../src/parts/glossary.svelte";
import { describe, expect, it } from "vitest";
import { asRead, day, exact, lowerFirst, month, ofBrake, partAt, rough, roughly, span } from "../src/format/words";
import { figure, inShort, money, readings, stepGroups, stages, torque } from "../src/format/jobs";
import type { Schemas } from "../src/api/client";

const quantiles = (p10: number, p90: number) =>
  ({ p05: p10, p10, p25: p10, p50: (p10 + p90) / 2, p75: p90, p90, p95: p90 }) as Schemas["Quantiles"];

describe("distances", () => {
  it("are said with two figures, small ones to the hundred", () => {
    expect([15_234, 99_499, 999, 151, 49].map(roughly)).toEqual([15_000, 99_000, 1000, 200, 0]);
    expect(rough(15_234, "km")).toBe("15,000\u00a0km");
    // 1 mile = 1.609344 km, by definition
    expect(exact(1609.344, "mi")).toBe("1,000\u00a0mi");
  });

  it("are a range, an upper end, or already there", () => {
    expect(span(quantiles(15_234, 23_800), "km")).toBe("15,000 to 24,000\u00a0km");
    expect(span(quantiles(20, 23_800), "km")).toBe("up to 24,000\u00a0km");
    expect(span(quantiles(0, 20), "km")).toBe("already there");
  });

  it("keep what was entered readable", () => {
    expect(["95240", "95,240", "999", "12a"].map(asRead)).toEqual(["95,240", "95,240", "999", "12a"]);
  });
});

describe("days", () => {
  it("are near days, months, or now", () => {
    expect(["2026-05-16", "2026-05-17", "2026-07-15", "2026-07-16"].map((iso) => month(iso, "2026-05-16"))).toEqual([
      "now",
      "Sun 17 May",
      "Wed 15 Jul",
      "July 2026",
    ]);
    expect(day("2027-03-02")).toBe("2 Mar 2027");
  });
});

describe("words", () => {
  it("keep what is written in capitals", () => {
    expect(["New pads", "DOT 4", "JIS 3"].map(lowerFirst)).toEqual(["new pads", "DOT 4", "JIS 3"]);
  });

  it("put the unit a torque was entered in first", () => {
    const line = {
      newton_metres: 120,
      pound_feet: 88.5,
      pound_inches: 1062,
      entered_unit: "lbf·ft" as const,
      angle_degrees: 90,
    };
    expect(torque({ ...line, entered_unit: "N·m" })).toBe("120\u00a0N·m (88.5\u00a0lbf·ft), then 90°");
    expect(readings({ ...line, entered_unit: "lbf·in" })[0]).toEqual([1062, "lbf·in"]);
    expect(torque({ ...line, angle_degrees: null })).toBe("88.5\u00a0lbf·ft (120\u00a0N·m)");
  });

  it("say money as it is paid", () => {
    expect([money(12.5, "€"), money(12, "€"), money(1234.56, "€"), figure(null)]).toEqual([
      "€\u00a012.50",
      "€\u00a012",
      "€\u00a01,235",
      "?",
    ]);
  });

  it("cut steps where the stage or the place changes", () => {
    const step = (stage: string, place: string | null, joins = false) =>
      ({ key: `${place}${stage}`, stage, place, joins }) as Schemas["JobStep"];
    const cut = stages(
      stepGroups([
        step("Make safe", "front"),
        step("Make safe", "front"),
        step("Make safe", "front", true),
        step("Strip", "front left"),
        step("Strip", "front right"),
        step("Road", null),
      ]),
    );
    expect(cut.map((each) => [each.title, each.stepGroups.length])).toEqual([
      ["Front: make safe", 2],
      ["Front left: strip", 1],
      ["Front right: strip", 1],
      ["Road", 1],
    ]);
  });
});

describe("words of the trade in a sentence", () => {
  const term = (id: string, word: string) => ({ id, term: word, text: "", see: [], also: [], everyday: false });
  const terms = [term("pin", "Slide pin"), term("pinch", "Pin"), term("taper", "Taper")];
  const marked = (sentence: string) =>
    pieces(sentence, terms).map((piece) => (piece.term ? `[${piece.text}|${piece.term.id}]` : piece.text));

  it("are marked once each, the longer before the shorter, in singular and plural", () => {
    expect(marked("Slide pins stick: free the slide pin, then look at taper.")).toEqual([
      "[Slide pins|pin]",
      " stick: free the slide pin, then look at ",
      "[taper|taper]",
      ".",
    ]);
    expect(marked("A tapered pad, spinning")).toEqual(["A tapered pad, spinning"]);
    expect(pieces("Nothing known (yet) + more", [])).toEqual([{ text: "Nothing known (yet) + more" }]);
  });
});

describe("a drum brake's words", () => {
  it("stand for pad and rotor as whole words only, and never where there are discs", () => {
    const text = "Pads to your limit, pad by pad. Rotors at discard; keypad";
    expect(ofBrake(text, "drum")).toBe("Shoes to your limit, shoe by shoe. Drums at discard; keypad");
    expect([ofBrake(text, "disc"), ofBrake(text, undefined)]).toEqual([text, text]);
    expect([partAt("pad", "left_leading"), partAt("pad", "left_inner"), partAt("rotor", "left")]).toEqual([
      "shoe",
      "pad",
      "rotor",
    ]);
  });
});

describe("a step in a few words", () => {
  it("ends at a stop, a comma or a conjunction, never at a word that leads on", () => {
    expect(inShort("Release the parking brake. Leave it off.")).toBe("Release the parking brake");
    expect(inShort("Leave a gap of 0.5 mm: no more.")).toBe("Leave a gap of 0.5 mm");
    expect(inShort("Chock the wheels that stay on the ground, front and back of each, on both sides.")).toBe(
      "Chock the wheels that stay on the ground",
    );
    expect(inShort("Break the lug nuts loose half a turn while the wheels are on the ground.")).toBe(
      "Break the lug nuts loose half a turn",
    );
    expect(inShort("Keep the hammer off the braking faces of every rotor that stays in use")).toBe(
      "Keep the hammer off the braking faces of every rotor that…",
    );
  });
});
