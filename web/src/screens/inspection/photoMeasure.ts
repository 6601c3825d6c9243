import type { Schemas } from "../../api/client";

type Source = Schemas["PhotoMeasured"]["largest"];
const MM_PER_INCH = 25.4;

/**
 * What the server's PhotoMeasure returns, for a phone that can't reach it. A length in mm or inches; null where it
 * can't be read or marks are too close.
 */
export function measured(
  rules: Schemas["PhotoRules"],
  marks: Schemas["PhotoMarks"],
  unit: "mm" | "in",
): Schemas["PhotoMeasured"] | null {
  const known = millimetres(marks.length);
  const [ends, edges] = [line(marks.ends), line(marks.edges)];
  if (known === null || Math.min(ends.px, edges.px) < rules.shortest_px) return null;
  const sd = rules.known.find((each) => each.id === marks.known)!.standard_uncertainty_mm;
  const away = rules.away.find((each) => each.id === marks.away)!.mm;
  const mark = Math.SQRT2 * Math.max(marks.pixel ?? 0, rules.mark_standard_uncertainty_px);
  const distance = (rules.focal_share * Math.hypot(...(marks.size as [number, number])) * known) / ends.px;
  const slant = (1 - Math.cos((rules.slant_degrees * Math.PI) / 180)) * Math.sin(ends.angle - edges.angle) ** 2;
  const errors: Record<Source, number> = {
    known: sd / known,
    scale: mark / ends.px,
    edges: mark / edges.px,
    depth: away / distance / Math.sqrt(3),
    slant: slant / Math.sqrt(3),
  };
  const value = (known * edges.px) / ends.px;
  const half = value * Math.hypot(...Object.values(errors)) * Math.sqrt(3);
  const [per, digits] = unit === "mm" ? [1, 1] : [MM_PER_INCH, 3];
  const [low, high] = [Math.max(value - half, 0), value + half].map((mm) => Number((mm / per).toFixed(digits))) as [
    number,
    number,
  ];
  const [largest] = (Object.entries(errors) as [Source, number][]).reduce((one, two) => (two[1] > one[1] ? two : one));
  return {
    value: (value / per).toFixed(digits),
    low: low.toFixed(digits),
    high: Math.max(high, low + 10 ** -digits).toFixed(digits),
    unit,
    largest,
  };
}

function line(points: number[]): { px: number; angle: number } {
  const [x, y] = [points[2]! - points[0]!, points[3]! - points[1]!];
  return { px: Math.hypot(x, y), angle: Math.atan2(y, x) };
}

/** "19 mm", "0.75 in", "19": mm unless it says otherwise. */
function millimetres(text: string): number | null {
  const found = /^\s*(\d+(?:[.,]\d+)?)\s*(mm|in|inch|inches|")?\s*$/i.exec(text);
  if (!found) return null;
  const mm = Number(found[1]!.replace(",", ".")) * (/^(in|")/i.test(found[2] ?? "") ? MM_PER_INCH : 1);
  return mm >= 1 && mm <= 200 ? mm : null;
}
