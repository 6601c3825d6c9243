import type { Schemas } from "../../api/client";
import { amount } from "../../format/jobs";
import { day, exact, upperFirst } from "../../format/words";
import * as texts from "../../texts/logbook";
import { say } from "../../texts/say";

export type Kind = "inspection" | "job";

export interface Entry {
  key: string;
  kind: Kind;
  href: string;
  vehicle: string;
  date: string;
  odometer: string;
  what: string;
  note: string;
  spent: number;
}

/** Inspections and finished jobs of a vehicle. */
export function entriesOf(vehicle: Schemas["Vehicle"]): Entry[] {
  const looked = vehicle.log.map((entry) => ({
    key: `inspection ${entry.id}`,
    kind: "inspection" as const,
    href: `#/inspections/${entry.id}`,
    vehicle: vehicle.name,
    date: entry.date,
    odometer: exact(entry.odometer_km, vehicle.distance_unit),
    what: upperFirst(entry.what),
    note: entry.note ?? "",
    spent: 0,
  }));
  const done = vehicle.jobs_done.map((job) => ({
    key: `job ${job.id}`,
    kind: "job" as const,
    href: `#/jobs/${job.id}`,
    vehicle: vehicle.name,
    date: job.day,
    odometer: "",
    what: job.what,
    note: [
      job.hours ? say(texts.hoursSpent, { hours: job.hours }) : "",
      job.spent !== null ? say(texts.spent, { amount: amount(job.spent) }) : "",
    ]
      .filter(Boolean)
      .join(", "),
    spent: job.spent ?? 0,
  }));
  return [...looked, ...done];
}

export const newestFirst = (entries: Entry[]): Entry[] =>
  [...entries].sort((one, other) => other.date.localeCompare(one.date));

/** Those in which every word stands somewhere, day and vehicle included. */
export function matching(entries: Entry[], words: string, kind: Kind | ""): Entry[] {
  const wanted = words.toLowerCase().split(/\s+/).filter(Boolean);
  return entries.filter((entry) => {
    if (kind && entry.kind !== kind) return false;
    const text = [entry.vehicle, entry.date, day(entry.date), entry.odometer, entry.what, entry.note]
      .join(" ")
      .toLowerCase();
    return wanted.every((word) => text.includes(word));
  });
}
