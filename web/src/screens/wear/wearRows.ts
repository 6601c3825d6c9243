import type { Schemas } from "../../api/client";
import { position as positionName } from "../../format/words";

export interface ChartRow {
  group: string;
  odometer: number;
  mm: number;
  text: string;
  low?: number;
  high?: number;
  doubted?: boolean;
}

/** Readings of the positions, and for each the course to the limit: the middle, and the careful and the far end. */
export function chartRows(wear: Schemas["Wear"], positions: string[], inUnit: (km: number) => number): ChartRow[] {
  return positions.flatMap((id) => [...fitted(wear, id, inUnit), ...readings(wear, id, inUnit), ...course(wear, id, inUnit)]);
}

function readings(wear: Schemas["Wear"], id: string, inUnit: (km: number) => number): ChartRow[] {
  return wear.readings
    .filter((reading) => reading.position === id)
    .map((reading) => ({
      group: `${positionName(id)} readings`,
      odometer: inUnit(reading.odometer_km),
      mm: reading.mm,
      low: reading.low_mm,
      high: reading.high_mm,
      doubted: reading.doubted || reading.kept,
      text: `${positionName(id)}, ${reading.date}: ${reading.entered} (${reading.method})${reading.doubted ? ", doubted" : ""}`,
    }));
}

/** A new part's thickness where it went on, as far as it is known. */
function fitted(wear: Schemas["Wear"], id: string, inUnit: (km: number) => number): ChartRow[] {
  const part = id.includes("_") ? "pad" : "rotor";
  const thickness = part === "pad" ? wear.axle.corners[0]?.inner.new_mm : wear.axle.corners[0]?.rotor.new_mm;
  if (!thickness) return [];
  return wear.fits
    .filter((fit) => fit.part === part)
    .map((fit) => ({ group: `${positionName(id)} readings`, odometer: inUnit(fit.odometer_km), mm: thickness, text: `${positionName(id)}: new on ${fit.date}` }));
}

function course(wear: Schemas["Wear"], id: string, inUnit: (km: number) => number): ChartRow[] {
  const component = wear.components.find((each) => each.position === id);
  if (!component?.life) return [];
  const limit = component.part === "pad" ? wear.axle.limit_mm : (wear.axle.corners[0]?.rotor.discard_mm ?? 0);
  const now = { odometer: inUnit(wear.as_of.odometer_km), mm: component.now_mm };
  const name = positionName(id);
  const lines: [string, number, number][] = [
    ["course", component.life.distance_km.p50, component.now_mm],
    ["careful", component.life.distance_km.p10, component.now_mm - 1.28 * component.sd_mm],
    ["far end", component.life.distance_km.p90, component.now_mm + 1.28 * component.sd_mm],
  ];
  return lines
    .filter(([, distance]) => distance > 0)
    .flatMap(([what, distance, mm]) => [
      { group: `${name} ${what}`, odometer: now.odometer, mm: Math.max(mm, limit), text: `${name}: believed today` },
      { group: `${name} ${what}`, odometer: inUnit(wear.as_of.odometer_km + distance), mm: limit, text: `${name}: at the limit (${what})` },
    ]);
}

/** A little above the thickest thing shown. */
export function chartTop(rows: ChartRow[]): number {
  return Math.ceil(Math.max(...rows.map((row) => row.high ?? row.mm)) + 0.2);
}

/** The outline of each position's band: the careful end down to the limit, and back up along the far end. */
export function bands(rows: ChartRow[]): ChartRow[][] {
  const careful = rows.filter((row) => row.group.endsWith("careful"));
  const names = [...new Set(careful.map((row) => row.group.replace(" careful", "")))];
  return names.map((name) => [...careful.filter((row) => row.group === `${name} careful`), ...rows.filter((row) => row.group === `${name} far end`).reverse()]);
}
