import { english } from "./english";

export const title = "Report on {vehicle}";
export const link = "Report (PDF)";
export const what =
  "For a buyer or an inspector: a PDF with what you tick here and nothing else. Look through it before you hand it over.";
export const parts = [
  ["vehicle", "Vehicle: name, make, plate, odometer, state"],
  ["brakes", "Brakes to scale, with the last readings"],
  ["fitted", english("Pads and <discs|rotors> on the vehicle now")],
  ["findings", "Findings"],
  ["sets", "The story of each set"],
  ["history", "History: inspections, jobs, notes"],
  ["data", "Brake data: what is known and what isn't"],
  ["photos", "Photos"],
] as const;
export const paper = "Paper";
export const papers = [
  { id: "a4", label: "A4" },
  { id: "letter", label: "Letter" },
];
export const open = "Open the report";
export const nothing = "Tick something first.";
