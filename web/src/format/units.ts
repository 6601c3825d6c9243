import { told } from "../texts/pageData";

const usual = Object.values(told("units") ?? {});

/** Of the units something can be entered in, the household's usual one; else the first. */
export const usualUnit = <Unit extends string>(units: readonly Unit[]): Unit =>
  units.find((unit) => usual.includes(unit)) ?? units[0]!;
