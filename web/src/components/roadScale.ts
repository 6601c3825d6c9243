import type { Schemas } from "../api/client";

export interface Band {
  id: string;
  label: string;
  low: number;
  middle: number;
  high: number;
  text: string;
}

export interface Mark {
  id: string;
  kind: "look" | "job" | "fluid";
  at: number;
  text: string;
}

export interface Lane {
  id: string;
  label: string;
  bands: Band[];
  marks: Mark[];
}

const DAY_MS = 86_400_000;
export const daysFrom = (today: string, iso: string): number => (Date.parse(iso) - Date.parse(today)) / DAY_MS;

/** Days from now of what lies ahead for one axle. */
export function axleLane(axle: Schemas["Axle"], label: string, today: string): Lane {
  const days = (iso: string) => Math.max(daysFrom(today, iso), 0);
  const band = (id: string, what: string, life: Schemas["Life"]): Band[] =>
    life ? [{ id, label: what, low: days(life.date.p10), middle: days(life.date.p50), high: days(life.date.p90), text: `${what} reach their limit` }] : [];
  const marks: Mark[] = [];
  if (axle.look_again) marks.push({ id: "look", kind: "look", at: days(axle.look_again.date), text: "look again" });
  if (axle.job?.planned_for) marks.push({ id: "job", kind: "job", at: days(axle.job.planned_for), text: axle.job.state === "started" ? "job under way" : "job" });
  return { id: String(axle.id), label, bands: [...band("pads", "pads", axle.pads_life), ...band("rotors", "rotors", axle.rotors_life)], marks };
}

/** How far the road is drawn: past the first band's far end, and never a life nobody plans for. */
export function horizon(lanes: Lane[]): number {
  const firsts = lanes.flatMap((lane) => lane.bands.slice(0, 1).map((band) => band.high));
  const marks = lanes.flatMap((lane) => lane.marks.map((mark) => mark.at));
  const wanted = Math.max(...marks, Math.min(...firsts, 1500) * 1.25, 365);
  return Math.min(Math.max(wanted, ...firsts.map((end) => Math.min(end * 1.05, 1460))), 1825);
}

const MONTHS = ["Jan", "Feb", "Mar", "Apr", "May", "Jun", "Jul", "Aug", "Sep", "Oct", "Nov", "Dec"];

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
    if (month % step === 0) ticks.push({ at, text: month === 0 || step === 12 ? String(first.getUTCFullYear()) : MONTHS[month]! });
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
