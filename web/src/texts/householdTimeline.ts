export const title = "Timeline";
export const titleGraver = "Timeline - Graver";
export const allAhead = "What lies ahead of all vehicles";
export const bands = "Wide bands: pads, narrow ones: rotors, where 8 in 10 meet their limit; the stroke is the middle.";
export const next = "What is next";
export const nothing = "Nothing lies ahead yet: a look-over starts the forecast.";
export const saveAll = "Save as a calendar file";
export const until = "until {day}";
