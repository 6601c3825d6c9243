import * as texts from "../../texts/wear";
import { say } from "../../texts/say";
import { scaleLinear } from "d3-scale";
import { area, line } from "d3-shape";
import type { Schemas } from "../../api/client";
import { limitLength } from "../../format/lengths";
import { day, position as positionName, listed, partAt } from "../../format/words";

/** A reading as it is drawn: a point with its error, or the interval a gauge leaves open. */
export interface Point {
  id: string;
  position: string;
  at: number;
  mm: number;
  low: number;
  high: number;
  interval: boolean;
  doubted: boolean;
  text: string;
}

/** From today to the limit: the middle, and the earliest and latest of 8 in 10. */
export interface Course {
  position: string;
  limit: number;
  from: number;
  now: [low: number, middle: number, high: number];
  to: [early: number, middle: number, late: number];
}

export interface Tick {
  at: number;
  label: string;
}

export interface WearPicture {
  points: Point[];
  courses: Course[];
  /** Where a new set went on. */
  breaks: Tick[];
  limits: { mm: number; label: string; part: string }[];
  odometer: [number, number];
  top: number;
}

type Wear = Schemas["Wear"];
const partOf = (position: string): string => (position.includes("_") ? "pad" : "rotor");
/** One standard deviation to the ends of 8 in 10. */
const EIGHT_IN_TEN = 1.28;

/** All that is drawn of some positions, distances in the owner's unit. */
export function picture(wear: Wear, positions: string[], inUnit: (km: number) => number): WearPicture {
  const read = wear.readings
    .filter((reading) => positions.includes(reading.position))
    .map((reading, at) => point(reading, at, inUnit));
  const points = [...positions.flatMap((position) => whenNew(wear, position, inUnit)), ...read];
  const courses = positions.flatMap((position) => course(wear, position, inUnit));
  const parts = [...new Set(positions.map(partOf))];
  const breaks = wear.fits
    .filter((fit) => parts.includes(fit.part))
    .map((fit) => ({
      at: inUnit(fit.odometer_km),
      label: say(texts.newParts, { part: partAt(fit.part, positions[0] ?? ""), day: day(fit.date) }),
    }));
  const limits = parts.flatMap((part) => limit(wear, part));
  const places = [
    ...points.map((each) => each.at),
    ...breaks.map((each) => each.at),
    inUnit(wear.as_of.odometer_km),
    ...courses.map((each) => each.to[2]),
  ];
  const tops = [
    ...points.map((each) => each.high),
    ...courses.map((each) => each.now[2]),
    ...limits.map((each) => each.mm),
  ];
  return {
    points,
    courses,
    breaks,
    limits,
    odometer: [Math.min(...places), Math.max(...places)],
    top: Math.ceil(Math.max(...tops) + 0.2),
  };
}

function point(reading: Wear["readings"][number], at: number, inUnit: (km: number) => number): Point {
  const doubted = reading.doubted || reading.kept;
  const text = listed(
    say(texts.readingPoint, {
      position: positionName(reading.position),
      day: day(reading.date),
      entered: reading.entered,
      method: reading.method,
    }),
    doubted && texts.doubtedAfter,
  );
  return {
    id: `${reading.position} ${at}`,
    position: reading.position,
    at: inUnit(reading.odometer_km),
    mm: reading.mm,
    low: reading.low_mm,
    high: reading.high_mm,
    interval: ["gauge", "photo"].includes(reading.method),
    doubted,
    text,
  };
}

/** A new part's thickness where it went on, as far as it is known. */
function whenNew(wear: Wear, position: string, inUnit: (km: number) => number): Point[] {
  const part = partOf(position);
  const corner = wear.axle.corners[0];
  const mm = part === "pad" ? corner?.pads[0]?.new_mm : corner?.rotor?.new_mm;
  if (!mm) return [];
  const fits = wear.fits.filter((fit) => fit.part === part);
  return fits.map((fit, at) => ({
    id: `${position} new ${at}`,
    position,
    at: inUnit(fit.odometer_km),
    mm,
    low: mm,
    high: mm,
    interval: false,
    doubted: false,
    text: say(texts.newPoint, {
      position: positionName(position),
      day: day(fit.date),
      thickness: limitLength(mm, part),
    }),
  }));
}

function limit(wear: Wear, part: string): WearPicture["limits"] {
  const mm = part === "pad" ? wear.axle.limit_mm : wear.axle.corners[0]?.rotor?.discard_mm;
  return mm
    ? [{ mm, part, label: say(part === "pad" ? texts.yourLimit : texts.discard, { limit: limitLength(mm, part) }) }]
    : [];
}

function course(wear: Wear, position: string, inUnit: (km: number) => number): Course[] {
  const component = wear.components.find((each) => each.position === position);
  const mm = component && limit(wear, component.part)[0]?.mm;
  if (!component?.life || mm === undefined || component.life.distance_km.p90 <= 0) return [];
  const from = wear.as_of.odometer_km;
  const { p10, p50, p90 } = component.life.distance_km;
  const now = [-EIGHT_IN_TEN, 0, EIGHT_IN_TEN].map((z) =>
    Math.max(component.now_mm + z * component.sd_mm, mm),
  ) as Course["now"];
  return [
    {
      position,
      limit: mm,
      from: inUnit(from),
      now,
      to: [p10, p50, p90].map((km) => inUnit(from + Math.max(km, 0))) as Course["to"],
    },
  ];
}

/** Readings of one position, cut where a new set went on. */
export function runs(points: Point[], breaks: Tick[]): Point[][] {
  const ends = breaks.map((each) => each.at).sort((one, other) => one - other);
  const set = (at: number) => ends.filter((end) => end <= at).length;
  const groups = new Map<string, Point[]>();
  for (const each of [...points].sort((one, other) => one.at - other.at)) {
    const key = `${each.position} ${set(each.at)}`;
    groups.set(key, [...(groups.get(key) ?? []), each]);
  }
  return [...groups.values()].filter((run) => run.length > 1);
}

const DAY_MS = 86_400_000;

/** Years, or quarters within some years, at the odometer they fell or will fall at. */
export function dateTicks(wear: Wear, inUnit: (km: number) => number, [low, high]: [number, number]): Tick[] {
  const known = [...wear.readings, ...wear.fits].map((each) => ({
    time: Date.parse(each.date),
    at: inUnit(each.odometer_km),
  }));
  known.push({ time: Date.parse(wear.as_of.date), at: inUnit(wear.as_of.odometer_km) });
  known.sort((one, other) => one.time - other.time || one.at - other.at);
  const last = known.at(-1)!;
  const perMs = Math.max(inUnit(wear.km_per_day), 0.01) / DAY_MS;
  known.push({ time: last.time + Math.max(high - last.at, 0) / perMs, at: Math.max(high, last.at) });
  const scale = scaleLinear(
    known.map((each) => each.time),
    known.map((each) => each.at),
  ).clamp(true);
  const years = (known.at(-1)!.time - known[0]!.time) / (365.25 * DAY_MS);
  const months = years > 2.5 ? 12 : years > 1.2 ? 6 : 3;
  const ticks: Tick[] = [];
  const first = new Date(known[0]!.time);
  for (
    let at = new Date(Date.UTC(first.getUTCFullYear(), 0, 1));
    at.getTime() <= known.at(-1)!.time;
    at = new Date(Date.UTC(at.getUTCFullYear(), at.getUTCMonth() + months, 1))
  ) {
    const place = scale(at.getTime());
    if (at.getTime() >= known[0]!.time && place >= low && place <= high)
      ticks.push({
        at: place,
        label: months === 12 ? `${at.getUTCFullYear()}` : day(at.toISOString().slice(0, 10)).slice(2),
      });
  }
  return ticks;
}

/** Those labels that leave each other room, from the left. */
export function spaced(ticks: Tick[], x: (at: number) => number, room: number): Tick[] {
  const kept: Tick[] = [];
  for (const tick of ticks) if (!kept.length || x(tick.at) - x(kept.at(-1)!.at) >= room) kept.push(tick);
  return kept;
}

/** Labels in rows, so that none runs into its neighbour. */
export function staggered<T extends { at: number }>(
  labels: T[],
  x: (at: number) => number,
  room: number,
): (T & { row: number })[] {
  const ends: number[] = [];
  return [...labels]
    .sort((one, other) => one.at - other.at)
    .map((label) => {
      const free = ends.findIndex((end) => x(label.at) - end >= room);
      const row = free < 0 ? ends.length : free;
      ends[row] = x(label.at);
      return { ...label, row };
    });
}

/** Paths of a course: its band and its middle. */
export function coursePaths(
  each: Course,
  x: (at: number) => number,
  y: (mm: number) => number,
): { band: string; middle: string } {
  const [low, middle, high] = each.now;
  const [early, likely, late] = each.to;
  // the lower edge meets the limit first and follows it on; the upper one comes down where the latest of 8 in 10 does
  const rows: [at: number, low: number, high: number][] = [
    [each.from, low, high],
    [early, each.limit, high + ((each.limit - high) * (early - each.from)) / Math.max(late - each.from, 1)],
    [late, each.limit, each.limit],
  ];
  const band = area<(typeof rows)[number]>(
    (row) => x(row[0]),
    (row) => y(row[1]),
    (row) => y(row[2]),
  );
  const course = line<[number, number]>(
    (row) => x(row[0]),
    (row) => y(row[1]),
  );
  return {
    band: band(rows) ?? "",
    middle:
      course([
        [each.from, middle],
        [likely, each.limit],
      ]) ?? "",
  };
}
