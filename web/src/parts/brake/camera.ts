import { dot, type Point, type Vector } from "./body";

/** Where a brake is looked at from. turn: degrees round the upright from straight outside; tilt: degrees from above. */
export interface Camera {
  right: Vector;
  up: Vector;
  towards: Vector;
}
export const TURN = 38;
export const TILT = 22;
/** Light over the viewer's left shoulder: right, up, towards the viewer. */
const LIGHT: Vector = [-0.42, 0.72, 0.55];

export function camera(turn: number, tilt: number): Camera {
  const [t, v] = [turn, tilt].map((angle) => (angle * Math.PI) / 180) as [number, number];
  return {
    towards: [Math.cos(t) * Math.cos(v), Math.sin(t) * Math.cos(v), Math.sin(v)],
    right: [-Math.sin(t), Math.cos(t), 0],
    up: [-Math.cos(t) * Math.sin(v), -Math.sin(t) * Math.sin(v), Math.cos(v)],
  };
}
/** On the picture, in mm: right and down. */
export const flat = (seen: Camera, point: Vector): Point => [dot(point, seen.right), -dot(point, seen.up)];
/** 0, in the shade, to 1, in the light. */
export const light = (seen: Camera, normal: Vector): number =>
  ((dot(normal, seen.right) * LIGHT[0] + dot(normal, seen.up) * LIGHT[1] + dot(normal, seen.towards) * LIGHT[2]) /
    Math.hypot(...LIGHT) +
    1) /
  2;
