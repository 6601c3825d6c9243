import type { Schemas } from "../../api/client";

export type Vector = readonly [number, number, number];
export type Point = readonly [number, number];
export interface Face {
  /** Numbers of its vertices, in order; the same of a hole in it. */
  points: number[];
  hole: number[] | null;
  normal: Vector;
  /** The wall of a hole. */
  inner: boolean;
  /** Is it seen from where it is looked at? Set anew for each view. */
  seen: boolean;
}
/** A solid as corners and faces, at its place on the brake. */
export interface Body {
  part: string;
  stuff: string;
  solid: Solid;
  vertices: Vector[];
  faces: Face[];
  /** Pairs of vertices where faces meet, with those faces. An edge of one face alone is a seam, and not among them. */
  edges: { one: number; two: number; first: Face; second: Face; sharp: boolean }[];
  outline: Point[];
  /** Its extent across its axis. */
  size: number;
  /** The middle of its outline; how far its hole's wall is from it at least, or null. */
  middle: Point;
  holeRadius: number | null;
  spans: [low: number, high: number][];
  centre: Vector;
}
type Solid = Schemas["Solid"];
type Axis = Solid["axis"];

const ACROSS: Record<Axis, [number, number]> = { x: [1, 2], y: [0, 2], z: [0, 1] };
export const ALONG: Record<Axis, number> = { x: 0, y: 1, z: 2 };
/** Across its axis, in mm: two fingers wide. */
export const SMALL = 70;
/** Lengths below this, in mm, are touching. */
export const TOUCHING = 0.6;
/** Directions across which bodies may be apart: along the axle, and every 22.5° round it. */
export const AXES: Vector[] = [
  [1, 0, 0],
  ...Array.from({ length: 8 }, (_, at): Vector => {
    const angle = (22.5 * at * Math.PI) / 180;
    return [0, Math.cos(angle), Math.sin(angle)];
  }),
];

export const dot = (one: Vector, two: Vector): number => one[0] * two[0] + one[1] * two[1] + one[2] * two[2];
export const plus = (one: Vector, two: Vector): Vector => [one[0] + two[0], one[1] + two[1], one[2] + two[2]];
export const times = (one: Vector, by: number): Vector => [one[0] * by, one[1] * by, one[2] * by];
export const across = (axis: Axis, vector: Vector): Point => [vector[ACROSS[axis][0]]!, vector[ACROSS[axis][1]]!];
const pairs = (flat: number[]): Point[] =>
  flat.flatMap((value, at) => (at % 2 ? [] : [[value, flat[at + 1]!] as const]));

const extent = (values: number[]): number => Math.max(...values) - Math.min(...values);

function placed(axis: Axis, outline: Point[], along: number): Vector[] {
  return outline.map((point) => {
    const spot: [number, number, number] = [along, along, along];
    spot[ACROSS[axis][0]] = point[0];
    spot[ACROSS[axis][1]] = point[1];
    return spot;
  });
}

/** `ends`: whether its lower and its upper end are drawn; a cut one has none there. */
export function bodyOf(part: string, stuff: string, solid: Solid, ends: [boolean, boolean] = [true, true]): Body {
  const outline = pairs(solid.outline);
  const hole = solid.hole ? pairs(solid.hole) : null;
  const middle: Point = [
    outline.reduce((sum, point) => sum + point[0], 0) / outline.length,
    outline.reduce((sum, point) => sum + point[1], 0) / outline.length,
  ];
  const vertices = [solid.from, solid.to].flatMap((along) => placed(solid.axis, outline, along));
  if (hole) vertices.push(...[solid.from, solid.to].flatMap((along) => placed(solid.axis, hole, along)));
  const rim = outline.length;
  const faces: Face[] = [0, 1]
    .filter((end) => ends[end])
    .map((end) => {
      const normal: [number, number, number] = [0, 0, 0];
      normal[ALONG[solid.axis]] = end ? 1 : -1;
      return {
        points: outline.map((_, at) => end * rim + at),
        hole: hole && hole.map((_, at) => 2 * rim + end * hole.length + at),
        normal,
        inner: false,
        seen: false,
      };
    });
  faces.push(...walls(solid, vertices, middle, 0, rim, solid.seams, false));
  if (hole) faces.push(...walls(solid, vertices, middle, 2 * rim, hole.length, [], true));
  return {
    part,
    stuff: solid.stuff ?? stuff,
    solid,
    vertices,
    faces,
    edges: edgesOf(faces),
    outline,
    size: extent(outline.map((point) => point[0])) + extent(outline.map((point) => point[1])),
    middle,
    holeRadius: hole && Math.min(...hole.map((point) => Math.hypot(point[0] - middle[0], point[1] - middle[1]))),
    spans: AXES.map((axis) => {
      const at = vertices.map((vertex) => dot(vertex, axis));
      return [Math.min(...at), Math.max(...at)];
    }),
    centre: times(vertices.reduce(plus), 1 / vertices.length),
  };
}

function walls(
  solid: Solid,
  vertices: Vector[],
  middle: Point,
  first: number,
  count: number,
  seams: number[],
  inner: boolean,
): Face[] {
  return Array.from({ length: count }, (_, at) => at)
    .filter((at) => !seams.includes(at))
    .map((at) => {
      const [one, two] = [first + at, first + ((at + 1) % count)];
      const [from, to] = [across(solid.axis, vertices[one]!), across(solid.axis, vertices[two]!)];
      const out: Point = [to[1] - from[1], from[0] - to[0]];
      const away = out[0] * (from[0] - middle[0]) + out[1] * (from[1] - middle[1]);
      const by = ((away < 0 ? -1 : 1) * (inner ? -1 : 1)) / (Math.hypot(...out) || 1);
      const normal: [number, number, number] = [0, 0, 0];
      normal[ACROSS[solid.axis][0]] = out[0] * by;
      normal[ACROSS[solid.axis][1]] = out[1] * by;
      return { points: [one, two, two + count, one + count], hole: null, normal, inner, seen: false };
    });
}

/** An edge between faces that meet at less than this is round. */
const CREASE = Math.cos((36 * Math.PI) / 180);

function edgesOf(faces: Face[]): Body["edges"] {
  const found = new Map<string, { one: number; two: number; first: Face; second: Face | null }>();
  for (const face of faces)
    for (const loop of face.hole ? [face.points, face.hole] : [face.points])
      loop.forEach((one, at) => {
        const two = loop[(at + 1) % loop.length]!;
        const key = one < two ? `${one} ${two}` : `${two} ${one}`;
        const known = found.get(key);
        if (known) known.second = face;
        else found.set(key, { one, two, first: face, second: null });
      });
  return [...found.values()].flatMap(({ second, ...edge }) =>
    second ? [{ ...edge, second, sharp: dot(edge.first.normal, second.normal) < CREASE }] : [],
  );
}

/** A body cut across its axis where something goes through its hole, or it through another's. */
export function cut(body: Body, at: number): Body[] {
  const { solid } = body;
  if (!(solid.from < at - TOUCHING && at + TOUCHING < solid.to)) return [body];
  return [
    bodyOf(body.part, body.stuff, { ...solid, to: at }, [true, false]),
    bodyOf(body.part, body.stuff, { ...solid, from: at }, [false, true]),
  ];
}
