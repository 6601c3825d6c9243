/** Where each dimension of an axle's brake lies on the drawing: a cut through pad, rotor and pad, to scale, in px. */
export interface Lane {
  key: string;
  from: number;
  to: number;
  /** drawn as it is entered, or at a typical size */
  known: boolean;
  y: number;
}
export interface BrakeDrawing {
  height: number;
  top: number;
  body: number;
  plates: [number, number][];
  pads: [number, number][];
  padLimits: number[];
  rotor: [number, number];
  discard: number[] | null;
  above: Lane[];
  below: Lane[];
  right: number;
}

export const PAD_KEYS = [
  "pad.overall_limit",
  "pad.backing_plate",
  "pad.service_limit",
  "pad.discard_thickness",
  "pad.new_thickness",
];
export const ROTOR_KEYS = ["rotor.new_thickness", "rotor.machine_to_thickness", "rotor.discard_thickness"];
export const DIAMETER = "rotor.diameter";

/** Default sizes for unknown dimensions, in mm. */
const TYPICAL: Record<string, number> = {
  "pad.backing_plate": 5,
  "pad.new_thickness": 11,
  "pad.service_limit": 3,
  "pad.discard_thickness": 2,
};
const LARGEST_SCALE = 9;
export const BODY = 150;
export const LANE = 36;
export const SHARE = 0.66;

/** Lanes of keys, one under the other from a height on. */
export const lanesFrom =
  (spans: Record<string, [number, number]>, known: (key: string) => number | null) =>
  (keys: string[], from: number): Lane[] =>
    keys.map((key, at) => ({
      key,
      from: spans[key]![0],
      to: spans[key]![1],
      known: known(key) !== null,
      y: from + at * LANE,
    }));

export function drawBrake(known: (key: string) => number | null, width: number): BrakeDrawing {
  const mm = (key: string) => known(key) ?? TYPICAL[key]!;
  const [plate, pad] = [mm("pad.backing_plate"), mm("pad.new_thickness")];
  const discard = known("rotor.discard_thickness");
  const rotor = known("rotor.new_thickness") ?? (discard === null ? 22 : discard + 2);
  const scale = Math.min(LARGEST_SCALE, (width * SHARE) / (2 * (plate + pad) + rotor));
  const face = plate * scale;
  const rotorFrom = face + pad * scale;
  const rotorTo = rotorFrom + rotor * scale;
  const end = rotorTo + (pad + plate) * scale;
  const middle = (rotorFrom + rotorTo) / 2;
  const around = (size: number): [number, number] => [middle - (size * scale) / 2, middle + (size * scale) / 2];
  const overall = known("pad.overall_limit");
  const spans: Record<string, [number, number]> = {
    "pad.overall_limit": [0, (overall ?? plate + mm("pad.discard_thickness")) * scale],
    "pad.backing_plate": [0, face],
    "pad.service_limit": [face, face + mm("pad.service_limit") * scale],
    "pad.discard_thickness": [face, face + mm("pad.discard_thickness") * scale],
    "pad.new_thickness": [face, rotorFrom],
    "rotor.new_thickness": [rotorFrom, rotorTo],
    "rotor.machine_to_thickness": around(known("rotor.machine_to_thickness") ?? rotor * 0.95),
    "rotor.discard_thickness": around(discard ?? rotor * 0.91),
  };
  const lanes = lanesFrom(spans, known);
  const top = PAD_KEYS.length * LANE + 8;
  const limit = Math.max(mm("pad.service_limit"), known("pad.discard_thickness") ?? 0) * scale;
  return {
    top,
    body: BODY,
    height: top + BODY + 8 + (ROTOR_KEYS.length + 1) * LANE,
    plates: [
      [0, face],
      [end - face, end],
    ],
    pads: [
      [face, rotorFrom],
      [rotorTo, end - face],
    ],
    padLimits: [face + limit, end - face - limit],
    rotor: [rotorFrom, rotorTo],
    discard: discard === null ? null : around(discard),
    above: lanes(PAD_KEYS, 0),
    below: lanes(ROTOR_KEYS, top + BODY + 8),
    right: end,
  };
}
