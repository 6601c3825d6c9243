import { english } from "./english";

export const already = "already there";
export const upTo = "up to {high}\u00a0{unit}";
export const between = "{low} to {high}\u00a0{unit}";
export const now = "now";
export const thenAngle = ", then {degrees}°";
export const months = [
  "January",
  "February",
  "March",
  "April",
  "May",
  "June",
  "July",
  "August",
  "September",
  "October",
  "November",
  "December",
];
export const weekdays = ["Sun", "Mon", "Tue", "Wed", "Thu", "Fri", "Sat"];
export const lessThanOne = "under 1\u00a0%";
export const chanceNearCertain = "over 99\u00a0%";
export const partNames = {
  pad: ["pad", "pads"],
  brake_shoe: ["shoe", "shoes"],
  rotor: [english("<disc|rotor>"), english("<discs|rotors>")],
  drum: ["drum", "drums"],
} as const;
/** The same parts on a drum brake. */
export const drumWords: [string, string][] = [
  ["Pad", "Shoe"],
  ["pad", "shoe"],
  [english("<Disc|Rotor>"), "Drum"],
  [english("<disc|rotor>"), "drum"],
];

/** The only axle of a trailer. */
export const onlyAxle = "Axle";
