import type { Schemas } from "../api/client";

type Corner = Schemas["Corner"];
type Pad = Schemas["PadNow"];

export interface Span {
  from: number;
  to: number;
}

export interface PadDrawing {
  id: Pad["pad"];
  plate: Span;
  /** friction that is there, up to where it is sure */
  solid: Span;
  /** the face, as wide as the reading's error */
  soft: Span;
  gone: Span;
  limitAt: number;
  /** +1 when the friction faces right */
  facing: 1 | -1;
  middle: number;
}

/** What the friction rubs on: a rotor, or one wall of a drum. */
export interface BodyDrawing {
  whole: Span;
  now: Span | null;
  limits: number[];
}

export interface CornerDrawing {
  width: number;
  pads: PadDrawing[];
  bodies: BodyDrawing[];
  /** where its figure is written */
  figureAt: number;
}

/** Rotors of unknown thickness are drawn this thick, dashed. */
const UNKNOWN_ROTOR_MM = 20;
/** Of a drum, its wall and what lies between the two shoes are drawn so wide. */
const WALL_MM = 7;
const BETWEEN_MM = 10;

const ordered = (a: number, b: number): Span => ({ from: Math.min(a, b), to: Math.max(a, b) });

/** One corner cut through its brake, in mm from the left edge. The left wheel's outer pad is on the left. */
export const drawCorner = (corner: Corner): CornerDrawing =>
  corner.drum ? drawDrum(corner, corner.drum) : drawDisc(corner, corner.rotor!);

function drawDisc(corner: Corner, rotor: Schemas["RotorNow"]): CornerDrawing {
  const [first, second] = inPicture(corner.pads, corner.side === "right");
  const rotorMm = Math.max(rotor.new_mm ?? 0, rotor.now_mm ?? 0) || UNKNOWN_ROTOR_MM;
  const rotorFrom = first.backing_mm + whole(first);
  const rotorTo = rotorFrom + rotorMm;
  const width = rotorTo + whole(second) + second.backing_mm;
  const middle = (rotorFrom + rotorTo) / 2;
  const now = rotor.now_mm === null ? null : around(middle, rotor.now_mm);
  const limits = rotor.discard_mm === null ? [] : [-1, 1].map((side) => middle + (side * rotor.discard_mm!) / 2);
  return {
    width,
    pads: [drawPad(first, first.backing_mm, 1), drawPad(second, width - second.backing_mm, -1)],
    bodies: [{ whole: { from: rotorFrom, to: rotorTo }, now, limits }],
    figureAt: middle,
  };
}

/** Cut level through the drum, seen from outside the wheel: the leading shoe points to the front of the vehicle. */
function drawDrum(corner: Corner, drum: Schemas["DrumNow"]): CornerDrawing {
  const [first, second] = inPicture(corner.pads, corner.side === "left");
  const width = 2 * WALL_MM + BETWEEN_MM + [first, second].reduce((sum, pad) => sum + whole(pad) + pad.backing_mm, 0);
  return {
    width,
    pads: [drawPad(first, WALL_MM + whole(first), -1), drawPad(second, width - WALL_MM - whole(second), 1)],
    bodies: [drawWall(drum, 0, 1), drawWall(drum, width, -1)],
    figureAt: width / 2,
  };
}

/** Half of what a drum has worn comes off each wall. */
function drawWall(drum: Schemas["DrumNow"], edge: number, facing: 1 | -1): BodyDrawing {
  const at = (mm: number) => edge + facing * mm;
  const beyond = (mm: number | null) => (mm === null || drum.new_mm === null ? 0 : Math.max((mm - drum.new_mm) / 2, 0));
  return {
    whole: ordered(edge, at(WALL_MM)),
    now: drum.now_mm === null ? null : ordered(edge, at(WALL_MM - beyond(drum.now_mm))),
    limits: drum.maximum_mm === null || drum.new_mm === null ? [] : [at(WALL_MM - beyond(drum.maximum_mm))],
  };
}

const inPicture = (pads: Pad[], straight: boolean): [Pad, Pad] => (straight ? pads : [...pads].reverse()) as [Pad, Pad];
/** A pad thicker than new (a questioned reading) is drawn as it was read. */
const whole = (pad: Pad): number => Math.max(pad.new_mm, pad.now_mm ?? 0);
const around = (middle: number, width: number): Span => ({ from: middle - width / 2, to: middle + width / 2 });

function drawPad(pad: Pad, face: number, facing: 1 | -1): PadDrawing {
  const at = (mm: number) => face + facing * mm;
  const now = pad.now_mm ?? 0;
  const error = Math.min(2 * (pad.sd_mm ?? 0), now);
  return {
    id: pad.pad,
    facing,
    plate: ordered(at(-pad.backing_mm), face),
    solid: ordered(face, at(now - error)),
    soft: ordered(at(now - error), at(Math.min(now + error, whole(pad)))),
    gone: ordered(at(now), at(whole(pad))),
    limitAt: at(pad.limit_mm),
    middle: at(whole(pad) / 2),
  };
}
