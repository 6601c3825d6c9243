import type { Schemas } from "../../api/client";

type Reading = Schemas["LoggedReading"];
type Mark = Schemas["LoggedMark"];

/** One corner of the vehicle: what was read of each pad or shoe and of its rotor or drum, and what was seen. */
export interface Corner {
  name: string;
  /** the inner pad, or the leading shoe */
  first: Reading[];
  /** the outer pad, or the trailing shoe */
  second: Reading[];
  /** rotor or drum */
  rotor: Reading[];
  /** shoes, runout */
  more: Reading[];
  marks: Mark[];
}

const FIRST = ["inner", "leading"];
const TURNS = ["rotor", "drum"];
function column(reading: Reading): "first" | "second" | "rotor" | "more" {
  if (reading.part === "pad" && reading.pad) return FIRST.includes(reading.pad) ? "first" : "second";
  return TURNS.includes(reading.part) ? "rotor" : "more";
}

/** Readings and marks by corner, in the order they were logged; what has no corner is given back apart. */
export function corners(of: Schemas["LoggedInspection"]): { corners: Corner[]; readings: Reading[]; marks: Mark[] } {
  const found = new Map<string, Corner>();
  const at = (each: { axle: string | null; side: string | null }): Corner | null => {
    if (!each.axle || !each.side) return null;
    const name = `${each.axle} ${each.side}`;
    if (!found.has(name)) found.set(name, { name, first: [], second: [], rotor: [], more: [], marks: [] });
    return found.get(name)!;
  };
  const [readings, marks]: [Reading[], Mark[]] = [[], []];
  for (const reading of of.readings) {
    const corner = at(reading);
    if (!corner) readings.push(reading);
    else corner[column(reading)].push(reading);
  }
  for (const mark of of.marks) (at(mark)?.marks ?? marks).push(mark);
  return { corners: [...found.values()], readings, marks };
}
