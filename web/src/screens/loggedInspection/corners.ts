import type { Schemas } from "../../api/client";

type Reading = Schemas["LoggedReading"];
type Mark = Schemas["LoggedMark"];

/** One corner of the vehicle: what was read of each pad and of the rotor, and what was seen. */
export interface Corner {
  name: string;
  inner: Reading[];
  outer: Reading[];
  rotor: Reading[];
  /** shoes, runout */
  more: Reading[];
  marks: Mark[];
}

/** Readings and marks by corner, in the order they were logged; what has no corner is given back apart. */
export function corners(of: Schemas["LoggedInspection"]): { corners: Corner[]; readings: Reading[]; marks: Mark[] } {
  const found = new Map<string, Corner>();
  const at = (each: { axle: string | null; side: string | null }): Corner | null => {
    if (!each.axle || !each.side) return null;
    const name = `${each.axle} ${each.side}`;
    if (!found.has(name)) found.set(name, { name, inner: [], outer: [], rotor: [], more: [], marks: [] });
    return found.get(name)!;
  };
  const [readings, marks]: [Reading[], Mark[]] = [[], []];
  for (const reading of of.readings) {
    const corner = at(reading);
    if (!corner) readings.push(reading);
    else if (reading.part === "pad" && reading.pad) corner[reading.pad as "inner" | "outer"].push(reading);
    else (reading.part === "rotor" ? corner.rotor : corner.more).push(reading);
  }
  for (const mark of of.marks) (at(mark)?.marks ?? marks).push(mark);
  return { corners: [...found.values()], readings, marks };
}
