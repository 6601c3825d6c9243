import { told } from "../texts/pageData";

const chosen = told("units") ?? {};

/**
 * Of the units something can be entered in, the household's usual one; else the first. A pad has a unit of its own: what
 * is not read in 32nds is read in inches.
 */
export function usualUnit<Unit extends string>(units: readonly Unit[], part = ""): Unit {
  const own = part === "pad" ? chosen["pad"] : chosen["rotor"];
  const usual = [own, own === "32nd" ? "in" : own, chosen["torque"]];
  return usual.flatMap((unit) => units.filter((each) => each === unit))[0] ?? units[0]!;
}
