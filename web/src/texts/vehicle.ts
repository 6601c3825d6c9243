import { english } from "./english";

export const odometerToday = "{exact} today, {round}\u00a0{distanceUnit} a day";
export const noOdometerYet = "No odometer yet";
export const archivedNote = "{name} is archived, so it isn't in the garage.";
export const doneAnotherWayOnDay = "Done differently on {day}:";
export const reasonBecause = "Reason: {because}.";
export const markAsFixed = "Mark as fixed";
export const padsToLimitLabel = "Pads to your limit of {limit}";
export const mostLikelyDue = "most likely {rough}, {month}";
export const inspectBy = "Inspect {by}";
export const renewBy = "Renew the pads {by}";
export const ready = "ready";
export const plannedNotReadyYet = "planned, not ready yet";
export const inspectionTheName = "Inspect the {name} axle";
export const wear = "Wear";
export const openJob = "Open job";
export const brakeData = "Brake data";
export const tripsRemindersCalendar = "Trips, reminders, calendar";
export const whenPadsRotorsAndFluid = english("When pads, <discs|rotors> and fluid of {name} are due");
export const brakeFluidRenewed = "Brake fluid renewed {day}, due {day2} (every two years, common practice).";
export const brakeFluidOverdue = "Brake fluid renewed {day}, overdue since {day2} (every two years, common practice).";
export const lastFluidChangeUnknown = "Last brake fluid change unknown.";
export const enterFluidChange = "Enter a fluid change";
export const dateOfTheChange = "Date of the change";
export const odometerDistanceUnit = "Odometer ({distanceUnit})";
export const logbook = "Logbook";
export const nothingLoggedHint = english(
  "Nothing logged yet. Start with an inspection: take the wheels off one by one and measure two pads and a <disc|rotor> at each.",
);
export const restoreVehicle = "Restore vehicle";
export const noted = {
  make: "Make",
  model: "Model",
  year: "Year",
  plate: english("<Number plate|License plate>"),
  vin: "VIN",
} as const;
export const notesFor = "For the parts counter and the job sheet, if you like. Graver calculates nothing from them.";
export const notedVin = "VIN {vin}";
export const odometerShows = "Odometer shows";
export const edit = "Edit vehicle";
export const archiveVehicle = "Archive vehicle";
export const followUps = "Follow-ups";
export const addAnFollowUp = "Add follow-up";
export const followUpText = "What to follow up: a missing plug, a noise, unexplained wear";
export const checkAgainOn = "Check again on (optional)";
export const sinceDay = "since {day}";
export const checkAgainOnDay = "check again on {day}";
export const whatItWas = "What it was, or what you did";
export const closeFollowUp = "Close follow-up";
export const noFollowUps = "No follow-ups.";
export const closedCount = "Closed: {count}";
export const reopen = "Reopen";
export const wholeLogbook = "Whole logbook";
export const allJobs = "All jobs";
