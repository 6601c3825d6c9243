import { english } from "./english";

export const title = "Logbook";
export const titleGraver = "Logbook - Graver";
export const find = "Find";
export const findWhat = english("a word, part or date: pins, <disc|rotor>, 2025");
export const vehicle = "Vehicle";
export const all = "All";
export const kind = "What";
export const everything = "Everything";
export const kinds = {
  inspection: "Inspections",
  job: "Jobs done",
  forecast: "Forecasts and how they did",
  correction: "Corrections",
  follow_up: "Follow-ups",
  event: "Trips and lay-ups",
};
export const from = "From";
export const upto = "To";
export const parts = [
  ["log", "Log"],
  ["sets", "Sets"],
  ["costs", "Costs"],
] as const;
export const sets = "Sets";
export const who = "Who";
export const odometer = "Odometer";
export const hoursSpent = "{hours}\u00a0h";
export const spent = "{amount} spent";
export const showOlder = "Show older ({count})";
export const nothingFound = "Nothing in the log matches.";
export const empty = "Nothing logged yet. Start with an inspection: it anchors the forecast.";
export const exportOf = "Export {name} (CSV)";
export const importInto = "Import a spreadsheet";
export const counted = "{count} {count|entry|entries}";
export const countedSpent = "{amount} spent";
export const correctHint = "Open an entry to correct it. The earlier version is kept.";
export const jobsTitle = "Jobs";
export const openJobs = "Planned and in progress";
export const doneJobs = "Done";
export const noneOpen = "No job planned.";
export const noneDone = "No job has been finished yet.";
export const planJob = "Plan the {axle} job";
export const continueAtTheCar = "Continue at the car";
export const forDay = "for {day}";
export const noDate = "no date yet";
