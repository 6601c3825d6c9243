import { english } from "./english";

export const lookAhead = "Look ahead";
export const lookAheadHow = "Drag the line, or this slider, to a day.";
export const onDayAfter = "{day}, about {far} from now";
export const axlePads = "{axle} pads";
export const axleRotors = english("{axle} <discs|rotors>");
export const chanceAtLimit = "{percent} chance of being at the limit";
export const byThen = "By then: {what}.";
export const nothingByThen = "Nothing falls due by then.";
export const saveItIsRight = "Save it: it is right";
export const distanceUnit = "Distance ({unit})";
export const inAYearUnit = "Per year ({unit})";
export const nextInspection = "Next inspection:";
export const nextPads = "New pads:";
export const monthOrDistance = "{month} or {rough} from now";
export const dueForName = "What is due for {name}, by date and distance";
export const wideBandsPadsNarrowOnes = english(
  "Wide bars: pads or shoes. Narrow bars: <discs|rotors> or drums. A bar covers 8 in 10 cases; the line is the most likely date. The scale below shows your usual driving, without trips.",
);
export const combineJobs = "Combine jobs";
export const byMonth = "By {month}";
export const noReadingsYet = "No readings yet. Start with an inspection.";
export const reminders = "Reminders";
export const roughFromNow = "{rough} from now";
export const saveAsACalendarFile = "Save as a calendar file";
export const calendarSubscribe = "Or let a calendar on this machine subscribe to";
export const calendarAddress = "Calendar address";
export const plannedByYou = "Planned by you";
export const remove = "Remove";
export const odometerHint =
  "Every odometer reading you note (at the pump, after a trip) makes the dates more reliable: {round}\u00a0{unit} a day so far.";
export const dayRange = "{day} to {day2}";
export const fromDay = "from {day}";
export const aYear = "{distance} a year";
export const wearFactorSaid = "brakes wear {wearFactor} times as fast";
export const changeHowJobsAreCombined = "Change delivery time, combining and how early to inspect";
export const otherDays = "Other days?";
export const nameBegins = "{name} starts";
export const chanceByTripsEnd = "{then} chance of being at the limit by its end ({now} as planned)";
export const dragTheTrip = "Drag the trip on the timeline or enter a day to see what it would change.";
export const moveTrip = "Move trip";
