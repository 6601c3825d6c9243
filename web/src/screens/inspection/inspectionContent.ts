import { tokens } from "../../format/readings";
import { usualUnit } from "../../format/units";
import * as texts from "../../texts/inspection";
import { say } from "../../texts/say";
import type { Schemas } from "../../api/client";

export type Place = Schemas["WalkPosition"];
export type Wheel = Schemas["Wheel"];
export type Doubt = Schemas["AnsweredFlag"];

/** Answers with which a questioned reading is saved as it was typed. */
export type Settled = NonNullable<Schemas["Reading"]["answer"]>;
export const settles = (id: string): id is Settled => ["affirmed", "keep", "earlier_wrong"].includes(id);
/** The key of an answer; what changes the reading has one in common, as there is one of it at most. */
export const keyOf = (id: string): string => ({ affirmed: "y", keep: "k", earlier_wrong: "b" })[id] ?? "a";

/** Ways of reading that give two bounds. */
export const BOUNDS = ["gauge", "photo"];
/** The entry at one position. */
export interface Entry {
  text: string;
  /** gauge: the smallest leaf that does not go in */
  upper: string;
  /** places already taken */
  places: string[];
  method: string;
  unit: string;
  overall: boolean;
  instrument: number | null;
  event: "reading" | "squealer" | "sensor" | "metal";
  answer: Settled | null;
  flags: Doubt[];
  /** a simulated device sent it, and it was not typed over since */
  simulated?: boolean;
}

/** A half-entered inspection, as it is kept on the server. */
export interface Content {
  date: string;
  odometer: string;
  unit: "km" | "mi";
  keepOdometer: boolean;
  note: string;
  /** "12|pad": new pads went on axle 12 */
  fits: string[];
  entries: Record<string, Entry>;
  /** "12|left|inner|pad": ids of its marks */
  marks: Record<string, string[]>;
  figures: Record<string, string>;
  /** of "odometer" and the figures: what a simulated device sent */
  simulated?: Record<string, boolean>;
  device: string | null;
  large: boolean;
}

export const emptyContent = (form: Schemas["InspectionForm"]): Content => ({
  date: form.today,
  odometer: "",
  unit: form.vehicle.distance_unit,
  keepOdometer: false,
  note: "",
  fits: [],
  entries: {},
  marks: {},
  figures: {},
  device: null,
  large: false,
});

/** Tools that read inches in decimals. */
const FINE = ["caliper", "micrometer", "vernier"];
export const emptyEntry = (place: Place): Entry => ({
  text: "",
  upper: "",
  places: [],
  method: place.method,
  unit: place.before
    ? place.unit
    : usualUnit(FINE.includes(place.method) ? ["mm", "in"] : ["mm", "in", "32nd"], place.part),
  overall: false,
  instrument: place.instrument,
  event: "reading",
  answer: null,
  flags: [],
});

export const valuesOf = (entry: Entry): string[] => [...entry.places, ...tokens(entry.text)];
export const isFilled = (entry: Entry): boolean => entry.event !== "reading" || valuesOf(entry).length > 0;

/** The inspection as the server takes it: new parts first, then what was read, in the order of the walk. */
export function inspection(content: Content, filled: [Wheel, Place][]): Schemas["Inspection"] {
  const fits = content.fits.map((key): Schemas["Reading"] => ({
    axle: Number(key.split("|")[0]),
    part: key.split("|")[1] as "pad",
    event: "fit",
  }));
  const readings = filled.map(([wheel, place]) => reading(content.entries[place.id]!, wheel, place));
  const simulated = content.simulated?.odometer ? { simulated: true } : {};
  return {
    date: content.date,
    odometer: { value: content.odometer, unit: content.unit, keep: content.keepOdometer, ...simulated },
    note: content.note || null,
    readings: [...fits, ...readings],
    conditions: conditions(content),
  };
}

function reading(entry: Entry, wheel: Wheel, place: Place): Schemas["Reading"] {
  const where = { axle: wheel.axle, part: place.part, side: place.side, pad: place.pad, flags: entry.flags };
  if (entry.event !== "reading") return { ...where, event: entry.event };
  return {
    ...where,
    event: "reading",
    method: entry.method,
    values: valuesOf(entry),
    upper: BOUNDS.includes(entry.method) ? entry.upper.trim() || null : null,
    unit: entry.unit,
    overall: entry.overall,
    instrument: entry.instrument,
    answer: entry.answer,
    ...(entry.simulated ? { simulated: true } : {}),
  };
}

export function conditions(content: Content): Schemas["ConditionGiven"][] {
  const marks = Object.entries(content.marks).flatMap(([key, ids]) => {
    const [axle, side, face, item] = key.split("|") as [string, string, string, string];
    return ids.map((mark): Schemas["ConditionGiven"] => ({
      item,
      mark,
      axle: axle ? Number(axle) : null,
      side: (side || null) as "left" | null,
      face: (face || null) as "inner" | null,
    }));
  });
  const figures = Object.entries(content.figures)
    .filter(([, value]) => value.trim())
    .map(([item, value]): Schemas["ConditionGiven"] => ({
      item,
      value: value.trim(),
      ...(content.simulated?.[item] ? { simulated: true } : {}),
    }));
  return [...marks, ...figures];
}

/** Differences of two versions of one inspection, as [where, here, there]. */
export function differences(wheels: Wheel[], mine: Content, theirs: Content): [string, string, string][] {
  const places = wheels.flatMap((wheel) =>
    wheel.positions.map((place): [string, string, string] => [
      `${wheel.label} ${place.label}`,
      shown(mine.entries[place.id]),
      shown(theirs.entries[place.id]),
    ]),
  );
  const marks = [...new Set([...Object.keys(mine.marks), ...Object.keys(theirs.marks)])].map(
    (key): [string, string, string] => [
      `Seen: ${key.split("|").slice(1).filter(Boolean).join(" ").replaceAll("_", " ")}`,
      (mine.marks[key] ?? []).join(", "),
      (theirs.marks[key] ?? []).join(", "),
    ],
  );
  const all: [string, string, string][] = [
    [texts.odometer, mine.odometer, theirs.odometer],
    [texts.day, mine.date, theirs.date],
    [texts.note, mine.note, theirs.note],
    [texts.newParts, mine.fits.length.toString(), theirs.fits.length.toString()],
    ...places,
    ...marks,
  ];
  return all.filter(([, here, there]) => here !== there);
}

const shown = (entry: Entry | undefined): string =>
  !entry
    ? ""
    : entry.event !== "reading"
      ? entry.event
      : [
          ...valuesOf(entry),
          entry.upper && say(texts.doesntFit, { leaf: entry.upper }),
          valuesOf(entry).length ? entry.unit : "",
        ]
          .filter(Boolean)
          .join(" ");
