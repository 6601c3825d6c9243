import type { Schemas } from "../api/client";

type Corner = Schemas["Corner"];

export interface Span {
  from: number;
  to: number;
}

export interface PadDrawing {
  id: "inner" | "outer";
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

export interface CornerDrawing {
  width: number;
  pads: PadDrawing[];
  rotor: { whole: Span; now: Span | null; limits: [number, number] | null; middle: number };
}

/** Rotors of unknown thickness are drawn this thick, dashed. */
const UNKNOWN_ROTOR_MM = 20;

const ordered = (a: number, b: number): Span => ({ from: Math.min(a, b), to: Math.max(a, b) });

/** One corner cut through its brake, in mm from the left edge. The left wheel's outer pad is on the left. */
export function drawCorner(corner: Corner): CornerDrawing {
  const leftFirst = corner.side === "left" ? (["outer", "inner"] as const) : (["inner", "outer"] as const);
  const rotorMm = Math.max(corner.rotor.new_mm ?? 0, corner.rotor.now_mm ?? 0) || UNKNOWN_ROTOR_MM;
  const [first, second] = [corner[leftFirst[0]], corner[leftFirst[1]]];
  const rotorFrom = first.backing_mm + whole(first);
  const rotorTo = rotorFrom + rotorMm;
  const width = rotorTo + whole(second) + second.backing_mm;
  const middle = (rotorFrom + rotorTo) / 2;
  return {
    width,
    pads: [
      drawPad(leftFirst[0], first, first.backing_mm, 1),
      drawPad(leftFirst[1], second, width - second.backing_mm, -1),
    ],
    rotor: {
      whole: { from: rotorFrom, to: rotorTo },
      now: corner.rotor.now_mm === null ? null : around(middle, corner.rotor.now_mm),
      limits:
        corner.rotor.discard_mm === null
          ? null
          : [middle - corner.rotor.discard_mm / 2, middle + corner.rotor.discard_mm / 2],
      middle,
    },
  };
}

/** A pad thicker than new (a questioned reading) is drawn as it was read. */
const whole = (pad: Schemas["PadNow"]): number => Math.max(pad.new_mm, pad.now_mm ?? 0);
const around = (middle: number, width: number): Span => ({ from: middle - width / 2, to: middle + width / 2 });

function drawPad(id: "inner" | "outer", pad: Schemas["PadNow"], face: number, facing: 1 | -1): PadDrawing {
  const at = (mm: number) => face + facing * mm;
  const now = pad.now_mm ?? 0;
  const error = Math.min(2 * (pad.sd_mm ?? 0), now);
  return {
    id,
    facing,
    plate: ordered(at(-pad.backing_mm), face),
    solid: ordered(face, at(now - error)),
    soft: ordered(at(now - error), at(Math.min(now + error, whole(pad)))),
    gone: ordered(at(now), at(whole(pad))),
    limitAt: at(pad.limit_mm),
    middle: at(whole(pad) / 2),
  };
}
