import * as formatTexts from "../texts/format";
import * as texts from "../texts/parts";
import { axleWord, listed, ofBrake } from "../format/words";
import { say } from "../texts/say";
import type { Schemas } from "../api/client";

export interface Band {
  id: string;
  label: string;
  low: number;
  middle: number;
  high: number;
  text: string;
}

export type MarkKind = Schemas["TimelineEvent"]["kind"];

export interface Mark {
  id: string;
  kind: MarkKind;
  at: number;
  /** where a trip ends */
  until?: number;
  text: string;
  /** the owner's own entry it is of */
  entry?: number;
}

export interface Lane {
  id: string;
  label: string;
  bands: Band[];
  marks: Mark[];
}

/** A mark with the row its label stands in, so that labels do not run into each other. */
export interface PlannedStep extends Mark {
  row: number;
}

const DAY_MS = 86_400_000;
export const daysFrom = (today: string, iso: string): number => (Date.parse(iso) - Date.parse(today)) / DAY_MS;

/** Days from now of what lies ahead for one axle. */
export function axleLane(
  axle: Schemas["Axle"],
  label: string,
  today: string,
  events: Schemas["TimelineEvent"][] = [],
): Lane {
  const days = (iso: string) => Math.max(daysFrom(today, iso), 0);
  const band = (id: string, what: string, life: Schemas["RemainingLife"]): Band[] =>
    life
      ? [
          {
            id,
            label: what,
            low: days(life.date.p10),
            middle: days(life.date.p50),
            high: days(life.date.p90),
            text: say(texts.reachTheirLimit, { what }),
          },
        ]
      : [];
  const marks = marksOf(
    events.filter((event) => event.axle === axle.name && event.kind !== "due"),
    today,
  );
  return {
    id: String(axle.id),
    label,
    bands: [
      ...band("pads", ofBrake(texts.pads, axle.brakes), axle.pads_life),
      ...band("rotors", texts.rotors, axle.rotors_life),
    ],
    marks,
  };
}

/** Events of the whole vehicle, or null if there are none. */
export function vehicleLane(events: Schemas["TimelineEvent"][], label: string, today: string): Lane | null {
  const marks = marksOf(
    events.filter((event) => event.axle === null),
    today,
  );
  return marks.length ? { id: `whole ${label}`, label, bands: [], marks } : null;
}

function marksOf(events: Schemas["TimelineEvent"][], today: string): Mark[] {
  const days = (iso: string) => Math.max(daysFrom(today, iso), 0);
  return events.map((event, at) => ({
    id: `${event.kind} ${at}`,
    kind: event.kind,
    at: days(event.date),
    until: event.until ? days(event.until) : undefined,
    text: event.label,
    entry: event.row ?? undefined,
  }));
}

/** Marks with their rows: each in the first row where its label is free of the one before. */
export function placed(marks: Mark[], x: (days: number) => number, end: number): PlannedStep[] {
  const rows: number[] = [];
  return [...marks]
    .sort((one, other) => one.at - other.at)
    .map((mark) => {
      const wide = mark.text.length * 7.2 + 24;
      const from = x(mark.at) > end - 110 ? x(mark.at) - wide : x(mark.at) - 8;
      let row = rows.findIndex((taken) => taken <= from);
      if (row < 0) row = rows.length;
      rows[row] = from + Math.max(wide, x(mark.until ?? mark.at) - x(mark.at) + 16);
      return { ...mark, row };
    });
}

/** How far the scale is drawn: past the first band's far end, within a useful limit. */
export function horizon(lanes: Lane[]): number {
  const firsts = lanes.flatMap((lane) => lane.bands.slice(0, 1).map((band) => band.high));
  const marks = lanes.flatMap((lane) => lane.marks.map((mark) => mark.at));
  const wanted = Math.max(...marks, Math.min(...firsts, 1500) * 1.25, 365);
  return Math.min(Math.max(wanted, ...firsts.map((end) => Math.min(end * 1.05, 1460))), 1825);
}

/** The events of a lane up to so many days ahead. */
export const within = (lane: Lane, most: number): Lane =>
  most === Infinity
    ? lane
    : {
        ...lane,
        bands: lane.bands.filter((band) => band.low < most),
        marks: lane.marks.filter((mark) => mark.at < most),
      };

const MONTHS = formatTexts.months.map((name) => name.slice(0, 3));

/** First days of months, every one, third, sixth or twelfth, so that labels do not run into each other. */
export function monthTicks(today: string, days: number): { at: number; text: string }[] {
  const step = days > 1400 ? 12 : days > 700 ? 6 : days > 300 ? 3 : 1;
  const start = new Date(today);
  const ticks: { at: number; text: string }[] = [];
  for (let add = 1; add < 80; add += 1) {
    const first = new Date(Date.UTC(start.getUTCFullYear(), start.getUTCMonth() + add, 1));
    const at = (first.getTime() - start.getTime()) / DAY_MS;
    if (at > days) break;
    const month = first.getUTCMonth();
    if (month % step === 0)
      ticks.push({ at, text: month === 0 || step === 12 ? String(first.getUTCFullYear()) : MONTHS[month]! });
  }
  return ticks;
}

/** Round distances below the line, about five of them. */
export function distanceTicks(total: number): number[] {
  const raw = total / 5;
  const power = 10 ** Math.floor(Math.log10(raw));
  const step = [1, 2, 5, 10].map((factor) => factor * power).find((candidate) => candidate >= raw)!;
  return Array.from({ length: Math.floor(total / step) }, (_, at) => (at + 1) * step);
}

/** Of all vehicles: a lane for each axle that is known, and one for what concerns a whole vehicle. */
export function allLanes(garage: Schemas["Garage"], lines: Schemas["Timelines"] | null): Lane[] {
  return garage.vehicles.flatMap((vehicle) => {
    const events = eventsOf(vehicle, lines);
    const whole = vehicleLane(events, vehicle.name, garage.today);
    return [
      ...vehicle.axles
        .filter((axle) => axle.pads_life)
        .map((axle) => axleLane(axle, listed(vehicle.name, axleWord(axle.name)), garage.today, events)),
      ...(whole ? [whole] : []),
    ];
  });
}

const MOST_LETTERS = 36;
const shortened = (text: string) =>
  text.length > MOST_LETTERS ? `${text.slice(0, MOST_LETTERS - 2).trimEnd()}…` : text;

/** One lane a vehicle: the axle whose pads go first, and all that lies ahead. */
export function soonestLane(
  vehicle: Schemas["Vehicle"],
  today: string,
  lines: Schemas["Timelines"] | null,
): Lane | null {
  const known = vehicle.axles.filter((axle) => axle.pads_life);
  const first = known.sort((one, other) => one.pads_life!.date.p50.localeCompare(other.pads_life!.date.p50))[0];
  // The first of each kind: what comes after it is on the page of all axles.
  const ahead = eventsOf(vehicle, lines).filter((event) => event.kind !== "due");
  const marks = marksOf(
    ahead.filter((event, at) => ahead.findIndex((other) => other.kind === event.kind) === at),
    today,
  ).map((mark) => ({ ...mark, text: shortened(mark.text) }));
  if (!first && !marks.length) return null;
  const bands = first ? axleLane(first, "", today).bands.slice(0, 1) : [];
  const named = bands.map((band) => ({
    ...band,
    label: ofBrake(say(texts.padsOf, { axle: first!.name }), first!.brakes),
  }));
  return { id: `vehicle ${vehicle.id}`, label: vehicle.name, bands: named, marks };
}

const eventsOf = (vehicle: Schemas["Vehicle"], lines: Schemas["Timelines"] | null) =>
  lines?.vehicles.find((line) => line.vehicle_id === vehicle.id)?.events ?? [];

/** How each kind of mark is drawn, about its own middle. */
export const SIGNS: Partial<Record<MarkKind, string>> = {
  look: "M0 -6v12M-5 -6h10",
  renew: "M-6 -4h12v8h-12zM-6 0h12",
  order: "M-5 -5h10v10h-10z",
  fluid: "M0 -7c4 5 5 7 5 9a5 5 0 0 1-10 0c0-2 1-4 5-9z",
  inspection: "M-6 0l4 5 8-10",
  retorque: "M-5 -3l5-3 5 3v6l-5 3-5-3z",
  job: "M0 -6l6 6-6 6-6-6z",
  driving: "M-5 -5l5 5-5 5M0 -5l5 5-5 5",
};
