import type { Schemas } from "../../api/client";
import { ALONG, TOUCHING, across, bodyOf, cut, plus, times, type Body, type Point, type Vector } from "./body";

export type Part = Schemas["DrawnPart"];
export interface Placed {
  body: Body;
  by: Vector;
}

const NOWHERE: Vector = [0, 0, 0];

/** A corner's parts as bodies, made once. */
export class Scene {
  readonly parts: Map<string, Part>;
  readonly bodies: Body[];
  #pieces = new Map<string, Body[]>();

  constructor(parts: Part[]) {
    this.parts = new Map(parts.map((part) => [part.id, part]));
    this.bodies = parts.flatMap((part) => part.solids.map((solid) => bodyOf(part.id, part.stuff, solid)));
  }

  /** How far a part is off its place. off: 0 (in place) to 1 by part. */
  offset(id: string, off: (part: string) => number): Vector {
    const part = this.parts.get(id);
    if (!part) return NOWHERE;
    const own = times(part.way as unknown as Vector, off(id));
    return part.carried_by ? plus(own, this.offset(part.carried_by, off)) : own;
  }

  /** Every body where it is, cut where one goes through another's hole, so that they can be put one behind the other. */
  placed(off: (part: string) => number, drawn: (part: string) => boolean): Placed[] {
    const offsets = new Map([...this.parts.keys()].map((id) => [id, this.offset(id, off)]));
    const whole = this.bodies.filter((body) => drawn(body.part)).map((body) => ({ body, by: offsets.get(body.part)! }));
    return whole.flatMap((one) => {
      const alike = whole.filter((other) => other !== one && other.body.solid.axis === one.body.solid.axis);
      const passed = alike.filter((other) => through(other, one));
      const along = ALONG[one.body.solid.axis];
      const cuts = [...passed, ...alike.filter((other) => around(other, one))]
        .flatMap((other) =>
          [other.body.solid.from, other.body.solid.to].map((at) => at + other.by[along]! - one.by[along]!),
        )
        .map((at) => Math.round(at * 10) / 10);
      if (!cuts.length) return [one];
      return this.#cut(one.body, cuts)
        .map((body) => ({ body, by: one.by }))
        .filter((piece) => !passed.some((other) => buries(other, piece)));
    });
  }

  #cut(body: Body, cuts: number[]): Body[] {
    const key = `${this.bodies.indexOf(body)} ${cuts.join(" ")}`;
    if (!this.#pieces.has(key))
      this.#pieces.set(
        key,
        cuts.reduce((pieces, at) => pieces.flatMap((piece) => cut(piece, at)), [body]),
      );
    return this.#pieces.get(key)!;
  }
}

/** Does a body of the same axis go through another's material, seen along that axis? Of two alike, neither does. */
function through(block: Placed, one: Placed): boolean {
  const [solid, other] = [block.body.solid, one.body.solid];
  const along = ALONG[solid.axis];
  const shift = one.by[along]! - block.by[along]!;
  if (one.body.size >= block.body.size) return false;
  if (other.from + shift >= solid.to - TOUCHING || solid.from >= other.to + shift - TOUCHING) return false;
  const [x, y] = across(solid.axis, plus(one.by, times(block.by, -1)));
  const points = one.body.outline.map((point): Point => [point[0] + x, point[1] + y]);
  const [a, b] = block.body.middle;
  const hole = block.body.holeRadius;
  if (hole !== null && points.some((point) => Math.hypot(point[0] - a, point[1] - b) < hole)) return false;
  return points.every((point) => within(block.body.outline, point));
}

/** Is a piece of such a body inside its material? */
function buries(block: Placed, piece: Placed): boolean {
  const along = ALONG[block.body.solid.axis];
  const shift = piece.by[along]! - block.by[along]!;
  const [solid, inside] = [block.body.solid, piece.body.solid];
  return inside.from + shift >= solid.from - TOUCHING && inside.to + shift <= solid.to + TOUCHING;
}

/** Is a point inside a convex outline? */
function within(outline: Point[], [x, y]: Point): boolean {
  const turns = outline.map(([ax, ay], at) => {
    const [bx, by] = outline[(at + 1) % outline.length]!;
    return (bx - ax) * (y - ay) - (by - ay) * (x - ax);
  });
  return turns.every((turn) => turn >= -TOUCHING) || turns.every((turn) => turn <= TOUCHING);
}

/** Does a body lie within the hole of another, seen along its axis? */
export function around(ring: Placed, one: Placed): boolean {
  if (ring.body.holeRadius === null) return false;
  const axis = ring.body.solid.axis;
  const shift = across(axis, plus(one.by, times(ring.by, -1)));
  const [a, b] = ring.body.middle;
  const most = ring.body.holeRadius + TOUCHING;
  return one.body.vertices.every((vertex) => {
    const [x, y] = across(axis, vertex);
    return Math.hypot(x + shift[0] - a, y + shift[1] - b) <= most;
  });
}
