import type { Schemas } from "../api/client";
import * as texts from "../texts/format";
import { say } from "../texts/say";

type Unit = Schemas["DistanceUnit"];
const KM_PER_MILE = 1.609344;

/** A rate over a kilometre as one over the owner's unit. */
export const perUnit = (rate: number, unit: Unit): number => (unit === "mi" ? rate * KM_PER_MILE : rate);
/** A distance in the owner's unit as kilometres. */
export const toKm = (distance: number, unit: Unit): number => (unit === "mi" ? distance * KM_PER_MILE : distance);
export const inUnit = (km: number, unit: Unit): number => (unit === "mi" ? km / KM_PER_MILE : km);

/** Two figures, as people say distances: 15,234 becomes 15,000. */
export function roughly(value: number): number {
  if (value < 1000) return Math.round(value / 100) * 100;
  const step = 10 ** (Math.floor(Math.log10(value)) - 1);
  return Math.round(value / step) * step;
}

/** An odometer as it was entered: "95240" and "95,240" read alike. */
export const asRead = (entered: string): string => (/^\d{4,}$/.test(entered) ? grouped(Number(entered)) : entered);
export const grouped = (value: number): string => Math.round(value).toLocaleString("en-GB");
export const rough = (km: number, unit: Unit): string => `${grouped(roughly(inUnit(km, unit)))}\u00a0${unit}`;
export const exact = (km: number, unit: Unit): string => `${grouped(inUnit(km, unit))}\u00a0${unit}`;

/** "15,000 to 24,000 km", or "any day now" when even the far end is here. */
export function span(quantiles: Schemas["Quantiles"], unit: Unit): string {
  const [low, high] = [quantiles.p10, quantiles.p90].map((km) => roughly(inUnit(km, unit))) as [number, number];
  if (high === 0) return texts.already;
  const [from, to] = [grouped(low), grouped(high)];
  return low === 0 ? say(texts.upTo, { high: to, unit }) : say(texts.between, { low: from, high: to, unit });
}

const MONTHS = texts.months;

/** "May 2027"; a day within two months is said as "Wed 12 May". */
export function month(iso: string, today: string): string {
  const [year, at, day] = iso.split("-").map(Number) as [number, number, number];
  const days = (Date.parse(iso) - Date.parse(today)) / 86_400_000;
  if (days < 1) return texts.now;
  if (days <= 60) return `${texts.weekdays[new Date(iso).getUTCDay()]} ${day} ${MONTHS[at - 1]!.slice(0, 3)}`;
  return `${MONTHS[at - 1]} ${year}`;
}

export function day(iso: string): string {
  const [year, at, of] = iso.split("-").map(Number) as [number, number, number];
  return `${of} ${MONTHS[at - 1]!.slice(0, 3)} ${year}`;
}

/** A moment in UTC, in the time of this device: "14:02" if it is today, else its day. */
export function moment(utc: string, now = new Date()): string {
  const at = new Date(utc);
  if (at.toDateString() === now.toDateString())
    return at.toLocaleTimeString("en-GB", { hour: "2-digit", minute: "2-digit" });
  return day([at.getFullYear(), at.getMonth() + 1, at.getDate()].join("-"));
}

/** Joins the parts that exist: "new, void". */
export const listed = (...parts: (string | 0 | false | null | undefined)[]): string => parts.filter(Boolean).join(", ");

export const upperFirst = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);
/** A label inside a sentence; capitals at its start stay only in abbreviations. */
export const lowerFirst = (text: string): string =>
  /^[A-Z](?![A-Z])/.test(text) ? text.charAt(0).toLowerCase() + text.slice(1) : text;
export const position = (id: string): string => id.replace("_", " ");

/** A speed of the trade in the owner's unit, in steps of five: "50 km/h", "30 mph". */
export const speed = (kmh: number, unit: Schemas["DistanceUnit"]): string =>
  unit === "km" ? `${kmh}\u00a0km/h` : `${Math.max(5, Math.round(kmh / KM_PER_MILE / 5) * 5)}\u00a0mph`;

/** A chance as people say it; never certain, never nothing. */
export const percent = (chance: number): string =>
  chance < 0.01 ? texts.lessThanOne : chance > 0.99 ? texts.chanceNearCertain : `${Math.round(chance * 100)}\u00a0%`;

/** A part in words, one or several. */
export const partName = (part: string, several = false): string =>
  part in texts.partNames ? texts.partNames[part as keyof typeof texts.partNames][several ? 1 : 0] : part;
/** Only a drum brake has a leading and a trailing position. */
export const brakesAt = (position: string): Schemas["Brakes"] => (/leading|trailing/.test(position) ? "drum" : "disc");
/** What wears at a position: a pad, or a shoe of a drum brake. */
export const partAt = (part: string, position: string): string =>
  partName(part === "pad" && brakesAt(position) === "drum" ? "brake_shoe" : part);

/** A text that names the axle a thing belongs to; the single one of a trailer needs no name. */
export const ofAxle = <const Text extends string>(text: Text, axle: string): string =>
  axle === SINGLE ? text.replace("{axleName} ", "") : text.replace("{axleName}", axle);
/** The only axle of a trailer needs no name. */
export const SINGLE = "single";
/** An axle's name in front of a noun, as a token of a text; empty where it needs none. */
export const axleWord = (name: string): string => (name === SINGLE ? "" : name);
/** An axle's name as a heading. */
export const axleTitle = (name: string): string => (name === SINGLE ? texts.onlyAxle : upperFirst(name));

const DRUM_WORDS = texts.drumWords.map(
  ([usual, own]) => [new RegExp(`(?<!\\{)\\b${usual}(?=s?\\b)`, "g"), own] as const,
);
/** A text about pads and discs in the words of a drum brake, where the axle has drums; its tokens stay. */
export const ofBrake = <const Text extends string>(text: Text, brakes: Schemas["Brakes"] | undefined): Text =>
  brakes === "drum"
    ? (DRUM_WORDS.reduce<string>((said, [usual, own]) => said.replace(usual, own), text) as Text)
    : text;
