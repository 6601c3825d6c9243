import { AXES, SMALL, TOUCHING, dot, plus, type Body, type Point, type Vector } from "./body";
import { flat, light, type Camera } from "./camera";
import { around, type Placed } from "./scene";

/** What is painted in one go: a body's faces that are seen, or the wall of its hole. */
export interface Item {
  placed: Placed;
  /** Its place among the bodies. */
  index: number;
  inner: boolean;
  faces: { points: Point[]; hole: Point[] | null; light: number }[];
  lines: [Point, Point][];
  box: [left: number, right: number, top: number, bottom: number];
  depth: number;
}

/** Of a body with more sides, the planes along its faces are not tried. */
const MOST_FACES = 8;

/**
 * What two bodies are to each other, wherever they are seen from: parted by a plane, the first on one side of it (-1:
 * behind as seen along the axis), or one around the other; nothing where neither is so.
 */
type Relation = { axis: Vector; side: number } | { around: 1 | 2 } | null;

/** Bodies at their places. What they are to each other is found once, however often they are turned. */
export class Arrangement {
  #known: (Relation | undefined)[];
  /** The order of the last full sort, and where it was looked at from. */
  last: { towards: Vector; rank: Map<number, number> } | null = null;

  constructor(readonly placed: Placed[]) {
    this.#known = new Array<Relation | undefined>(placed.length ** 2);
  }

  relation(one: number, two: number): Relation {
    const at = one * this.placed.length + two;
    const known = this.#known[at];
    if (known !== undefined) return known;
    return (this.#known[at] = relationOf(this.placed[one]!, this.placed[two]!));
  }
}

function relationOf(one: Placed, two: Placed): Relation {
  const plane = separated(one, two);
  if (plane) return plane;
  if (around(one, two)) return { around: 1 };
  return around(two, one) ? { around: 2 } : null;
}

/** So little a turn changes next to nothing of the order. */
const NEARLY = Math.cos((7 * Math.PI) / 180);
const rankKey = (item: Item): number => item.index * 2 + (item.inner ? 1 : 0);

/**
 * Bodies one behind the other, the furthest first. Where a plane parts two, the viewer's side of it is in front.
 * rough: in the order of the last view, if it was nearly this one.
 */
export function paint(arranged: Arrangement, seen: Camera, rough = false): Item[] {
  const all = arranged.placed.flatMap((each, index) => items(each, index, seen, rough));
  const { last } = arranged;
  if (rough && last && dot(last.towards, seen.towards) > NEARLY) {
    const rank = (item: Item) => last.rank.get(rankKey(item)) ?? 0;
    return all.sort((one, two) => rank(one) - rank(two));
  }
  const done = sorted(all, arranged, seen);
  arranged.last = { towards: seen.towards, rank: new Map(done.map((item, at) => [rankKey(item), at])) };
  return done;
}

/** rough: without the edges of small bodies. */
function items(placed: Placed, index: number, seen: Camera, rough: boolean): Item[] {
  const { body, by } = placed;
  const spots = body.vertices.map((vertex) => flat(seen, plus(vertex, by)));
  for (const face of body.faces) face.seen = dot(face.normal, seen.towards) > 1e-9;
  const depth = dot(plus(body.centre, by), seen.towards);
  const plain = rough && body.size < SMALL;
  return [true, false].flatMap((inner) => {
    const faces = body.faces.filter((face) => face.inner === inner && face.seen);
    if (!faces.length) return [];
    const drawn = faces.map((face) => ({
      points: face.points.map((at) => spots[at]!),
      hole: face.hole && face.hole.map((at) => spots[at]!),
      light: light(seen, face.normal),
    }));
    const lines = plain ? [] : body.edges.filter((edge) => isDrawn(edge, inner));
    return [
      {
        placed,
        index,
        inner,
        faces: drawn,
        lines: lines.map(({ one, two }): [Point, Point] => [spots[one]!, spots[two]!]),
        box: boxOf(drawn),
        depth,
      },
    ];
  });
}

function boxOf(faces: Item["faces"]): Item["box"] {
  const box: [number, number, number, number] = [Infinity, -Infinity, Infinity, -Infinity];
  for (const { points } of faces)
    for (const [x, y] of points) {
      if (x < box[0]) box[0] = x;
      if (x > box[1]) box[1] = x;
      if (y < box[2]) box[2] = y;
      if (y > box[3]) box[3] = y;
    }
  return box;
}

/** Outlines, and edges where faces meet sharply; a hole's rim with the end it is in. */
function isDrawn({ first, second, sharp }: Body["edges"][number], inner: boolean): boolean {
  if (first.inner !== second.inner) return !inner && (first.inner ? second : first).seen;
  return first.inner === inner && (first.seen !== second.seen || (first.seen && sharp));
}

function sorted(all: Item[], arranged: Arrangement, seen: Camera): Item[] {
  const before: number[][] = all.map(() => []);
  const waits = all.map(() => 0);
  for (let one = 0; one < all.length; one++)
    for (let two = one + 1; two < all.length; two++) {
      if (!overlap(all[one]!.box, all[two]!.box)) continue;
      const order = compare(all[one]!, all[two]!, arranged, seen);
      if (order === 0) continue;
      const [back, front] = order < 0 ? [one, two] : [two, one];
      before[back]!.push(front);
      waits[front]!++;
    }
  const left = new Set(all.keys());
  const done: Item[] = [];
  while (left.size) {
    const free = [...left].filter((at) => waits[at] === 0);
    // Bodies that hide each other in a ring are begun at the one that waits for fewest.
    const next = free.length
      ? least(free, (at) => all[at]!.depth)
      : least([...left], (at) => waits[at]! * FAR + all[at]!.depth);
    left.delete(next);
    done.push(all[next]!);
    for (const each of before[next]!) waits[each]!--;
  }
  return done;
}

/** More than any depth, in mm. */
const FAR = 1e5;
const least = (list: number[], of: (each: number) => number): number =>
  list.reduce((one, two) => (of(two) < of(one) ? two : one));

const overlap = (one: Item["box"], two: Item["box"]): boolean =>
  one[0] < two[1] && two[0] < one[1] && one[2] < two[3] && two[2] < one[3];

/** Negative: the first is behind the second; 0: neither hides the other. */
function compare(one: Item, two: Item, arranged: Arrangement, seen: Camera): number {
  if (one.index === two.index) return one.inner ? -1 : 1;
  const found = arranged.relation(one.index, two.index);
  if (found === null) return one.depth - two.depth;
  if ("around" in found) return found.around === 1 ? (one.inner ? -1 : 1) : two.inner ? 1 : -1;
  const along = dot(found.axis, seen.towards);
  return Math.abs(along) < 1e-9 ? 0 : along > 0 ? found.side : -found.side;
}

/** A plane between two bodies; null where none of those tried is. */
function separated(one: Placed, two: Placed): { axis: Vector; side: number } | null {
  for (const [at, axis] of AXES.entries()) {
    const shift = dot(one.by, axis) - dot(two.by, axis);
    const [low, high] = one.body.spans[at]!;
    const [otherLow, otherHigh] = two.body.spans[at]!;
    const side = high + shift <= otherLow + TOUCHING ? -1 : otherHigh <= low + shift + TOUCHING ? 1 : 0;
    if (side) return { axis, side };
  }
  const first = byFaces(one, two);
  if (first) return { axis: first, side: -1 };
  const second = byFaces(two, one);
  return second && { axis: second, side: 1 };
}

/** The outward way of one of the first body's own faces beyond which all of the second is. */
function byFaces(one: Placed, two: Placed): Vector | null {
  const { body } = one;
  if (body.solid.outline.length > 2 * MOST_FACES || body.solid.hole) return null;
  for (const face of body.faces) {
    const shift = dot(two.by, face.normal) - dot(one.by, face.normal);
    const level = dot(body.vertices[face.points[0]!]!, face.normal) - TOUCHING - shift;
    if (two.body.vertices.every((vertex) => dot(vertex, face.normal) >= level)) return face.normal;
  }
  return null;
}

/** The share of some parts' outlines on the picture that nothing hides, by trying points. 0 where there are none. */
export function visibleShare(painted: Item[], of: (body: Body) => boolean): number {
  const boxes = painted.filter((item) => of(item.placed.body)).map((item) => item.box);
  let [all, free] = [0, 0];
  for (const [left, right, top, bottom] of boxes)
    for (let x = 0.5; x < TRIED; x++)
      for (let y = 0.5; y < TRIED; y++) {
        const point: Point = [left + ((right - left) * x) / TRIED, top + ((bottom - top) * y) / TRIED];
        const hits = painted.filter((item) => inside(item, point));
        if (!hits.some((item) => of(item.placed.body))) continue;
        all++;
        if (of(hits.at(-1)!.placed.body)) free++;
      }
  return all && free / all;
}
const TRIED = 6;

const inside = (item: Item, point: Point): boolean =>
  point[0] >= item.box[0] &&
  point[0] <= item.box[1] &&
  point[1] >= item.box[2] &&
  point[1] <= item.box[3] &&
  item.faces.some((face) => within(face.points, point) && !(face.hole && within(face.hole, point)));

function within(loop: Point[], [x, y]: Point): boolean {
  let found = false;
  loop.forEach(([ax, ay], at) => {
    const [bx, by] = loop[(at + 1) % loop.length]!;
    if (ay > y !== by > y && x < ((bx - ax) * (y - ay)) / (by - ay) + ax) found = !found;
  });
  return found;
}
