import { BODY, LANE, lanesFrom, SHARE, type BrakeDrawing } from "./brakeDrawing";

/** A drum brake cut level: the drum's wall, a lining and its shoe, to scale. The diameter runs on past the right edge. */
export const LINING_KEYS = ["lining.service_limit", "lining.discard_thickness", "lining.new_thickness"];
export const DRUM_KEYS = ["drum.new_diameter", "drum.machine_to_diameter", "drum.maximum_diameter"];

/** Default sizes for unknown dimensions, in mm; of the drum, how far its diameter has grown. */
const TYPICAL = { lining: 5, limit: 2, discard: 1.6, machined: 1, maximum: 2 };
const WALL = 7;
/** Above the first lane, so that its text is whole where it stands over its line. */
const FIRST = 8;
const RIM = 2.5;
const LARGEST_SCALE = 26;

export function drawDrum(known: (key: string) => number | null, width: number): BrakeDrawing {
  const lining = known("lining.new_thickness") ?? TYPICAL.lining;
  const scale = Math.min(LARGEST_SCALE, (width * SHARE) / (WALL + lining + RIM));
  const face = WALL * scale;
  const table = face + lining * scale;
  const end = table + RIM * scale;
  const newDiameter = known("drum.new_diameter");
  /** Where the wall's face is at a diameter: each side grows by half of it. */
  const faceAt = (key: string, typical: number): number => {
    const diameter = known(key);
    return face - ((diameter !== null && newDiameter !== null ? diameter - newDiameter : typical) / 2) * scale;
  };
  const thick = (mm: number): [number, number] => [table - mm * scale, table];
  const limit = known("lining.service_limit") ?? TYPICAL.limit;
  const discard = known("lining.discard_thickness") ?? TYPICAL.discard;
  const maximum = faceAt("drum.maximum_diameter", TYPICAL.maximum);
  const spans: Record<string, [number, number]> = {
    "lining.service_limit": thick(limit),
    "lining.discard_thickness": thick(discard),
    "lining.new_thickness": [face, table],
    "drum.new_diameter": [face, end],
    "drum.machine_to_diameter": [faceAt("drum.machine_to_diameter", TYPICAL.machined), end],
    "drum.maximum_diameter": [maximum, end],
  };
  const lanes = lanesFrom(spans, known);
  const top = FIRST + LINING_KEYS.length * LANE + 8;
  return {
    top,
    body: BODY,
    height: top + BODY + 8 + DRUM_KEYS.length * LANE,
    plates: [[table, end]],
    pads: [[face, table]],
    padLimits: [table - Math.max(limit, known("lining.discard_thickness") ?? 0) * scale],
    rotor: [0, face],
    discard: known("drum.maximum_diameter") === null ? null : [maximum],
    above: lanes(LINING_KEYS, FIRST),
    below: lanes(DRUM_KEYS, top + BODY + 8),
    right: end,
  };
}
