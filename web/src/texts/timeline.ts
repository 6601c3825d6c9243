export const saveItIsRight = "Save, it is right";
export const distanceUnit = "Distance ({unit})";
export const inAYearUnit = "In a year ({unit})";
export const nextLookOver = "Next look-over:";
export const orRoughFromNow = " or {rough} from now";
export const whatLiesAheadOfName = "What lies ahead of {name}, by date and distance";
export const wideBandsPadsNarrowOnes =
  "Wide bands: pads, narrow ones: rotors, where 8 in 10 meet their limit; the stroke is the middle. The scale below is the usual driving, trips left out.";
export const combineJobs = "Combine jobs";
export const byMonth = "By {month}";
export const nothingIsReadYetThat = "Nothing is read yet that could fall due. Start with a look-over.";
export const reminders = "Reminders";
export const roughFromNow = ", {rough} from now";
export const saveAsACalendarFile = "Save as a calendar file";
export const orLetACalendarOn = ", or let a calendar on this machine subscribe to";
export const calendarAddress = "Calendar address";
export const plannedByYou = "Planned by you";
export const remove = "Remove";
export const removed = "Removed.";
export const everyOdometerYouNoteAt =
  "Every odometer you note (at the pump, after a trip) makes the dates more reliable: {round} {unit} a day so far.";
export const dayToDay2 = "{day} to {day2}";
export const fromDay = "from {day}";
export const aYear = " a year";
export const brakesWearWearFactorTimesAs = ", brakes wear {wearFactor} times as fast";
export const changeHowJobsAreCombined = "Change lead time, what is combined, how early to look";
