import { told } from "../texts/pageData";

const MM_PER_INCH = 25.4;
/** Digits of a length in inches by its digits in mm: the trade reads thousandths, and tenths of them by a micrometer. */
const INCH_DIGITS = [2, 3, 3, 4];
/** A figure so near a whole 32nd is that. */
const NEARLY = 0.06;
/** Units readings are entered in, as parts of an inch. */
const PARTS_OF_INCH: Record<string, number> = { in: 1, "32nd": 32, thou: 1000, "100th": 100 };

const chosen = told("units") ?? {};
const FRICTION = ["pad", "brake_shoe"];
const unitOf = (part: string): string => chosen[FRICTION.includes(part) ? "pad" : "rotor"] ?? "mm";
const usualDigits = (part: string, sd: number | null): number =>
  part === "rotor" || (sd !== null && sd < 0.05) ? 2 : 1;

interface Manner {
  /** of its error, which tells how many digits are true of it */
  sd?: number | null;
  digits?: number;
  /** a limit: rounded up to a 32nd, where a thickness is rounded down */
  limit?: boolean;
}

/** What stands behind a thickness of that part. */
export const lengthUnit = (part: string): "mm" | "in" => (unitOf(part) === "mm" ? "mm" : "in");

/** A thickness without its unit: "5.6", "0.220", "7/32"; "?" where it is unknown. */
export function lengthFigure(mm: number | null | undefined, part: string, manner: Manner = {}): string {
  if (mm === null || mm === undefined) return "?";
  const unit = unitOf(part);
  const digits = manner.digits ?? usualDigits(part, manner.sd ?? null);
  if (unit === "mm") return mm.toFixed(digits);
  if (unit === "in" || manner.digits !== undefined) return (mm / MM_PER_INCH).toFixed(INCH_DIGITS[digits]);
  const exact = (mm / MM_PER_INCH) * 32;
  return `${manner.limit ? Math.ceil(exact - NEARLY) : Math.floor(exact + NEARLY)}/32`;
}

/** The same with its unit. */
export const thickness = (mm: number | null | undefined, part: string, manner: Manner = {}): string =>
  mm === null || mm === undefined ? "?" : `${lengthFigure(mm, part, manner)}\u00a0${lengthUnit(part)}`;

/** "± 0.2": twice the standard deviation; of whole 32nds too it is said in inches. */
export const errorOf = (sd: number, part: string): string =>
  `±\u00a0${lengthFigure(2 * sd, part, { digits: sd < 0.05 ? 2 : 1 })}`;
/** A thickness and its error: "5.6 mm, ± 0.2". */
export const withError = (mm: number, sd: number, part: string): string =>
  `${thickness(mm, part, { sd })}, ${errorOf(sd, part)}`;

/** A limit as it was entered: "3 mm", "22.4 mm", "2/32 in", "0.087 in". */
export function limitLength(mm: number, part: string): string {
  const unit = unitOf(part);
  if (unit === "mm") return `${Number(mm.toFixed(3))}\u00a0mm`;
  return unit === "32nd" ? thickness(mm, part, { limit: true }) : `${(mm / MM_PER_INCH).toFixed(3)}\u00a0in`;
}

/** A length as it is on file, without idle zeros in mm; one digit more in inches. */
export const exactLength = (mm: number | null, digits = 2): string =>
  mm === null
    ? "?"
    : lengthUnit("rotor") === "mm"
      ? `${Number(mm.toFixed(digits))}\u00a0mm`
      : `${(mm / MM_PER_INCH).toFixed(digits + 1)}\u00a0in`;

/** How fast a part wears, without unit; mm over any distance. */
export const wearFigure = (mm: number, part: string): string => {
  const digits = part === "pad" ? 2 : 3;
  return lengthUnit(part) === "mm" ? mm.toFixed(digits) : (mm / MM_PER_INCH).toFixed(digits + 2);
};

/** What to expect in a field where another unit was chosen: "5.6", "0.220", "7". */
export function expectedIn(mm: number, unit: string, part: string): string {
  const parts = PARTS_OF_INCH[unit];
  if (!parts) return mm.toFixed(usualDigits(part, null));
  const value = (mm / MM_PER_INCH) * parts;
  return value.toFixed(unit === "in" ? 3 : unit === "32nd" ? 1 : 0);
}

/** Heights of the lines of a chart, mm: round ones in the unit shown. */
export function lengthTicks(ticks: (from: number, to: number) => number[], top: number, part: string): number[] {
  const unit = unitOf(part);
  if (unit === "mm") return ticks(0, top);
  const per = unit === "32nd" ? MM_PER_INCH / 32 : MM_PER_INCH;
  return ticks(0, top / per).map((each) => each * per);
}
/** What is written at one of them. */
export function tickLabel(mm: number, part: string): string {
  const unit = unitOf(part);
  if (unit === "mm") return String(Number(mm.toFixed(3)));
  return unit === "32nd" ? `${Math.round((mm / MM_PER_INCH) * 32)}/32` : String(Number((mm / MM_PER_INCH).toFixed(3)));
}
