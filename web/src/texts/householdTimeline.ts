import { english } from "./english";

export const title = "Timeline";
export const titleGraver = "Timeline - Graver";
export const allAhead = "What is due for all vehicles";
export const barsNote = english(
  "Wide bars: pads or shoes. Narrow bars: <discs|rotors> or drums. A bar covers 8 in 10 cases; the line is the most likely date.",
);
export const next = "What is next";
export const nothing = "Nothing is due yet. Start an inspection: it starts the forecast.";
export const saveAll = "Save as a calendar file";
export const until = "until {day}";
