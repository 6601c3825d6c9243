import { english } from "./english";

export const whatEachVehicleNeeds = "What each vehicle needs";
export const renewBy = "{axle}: renew the pads by {by}";
export const inspectBy = "{axle}: inspect by {by}";
export const fluidOverdue = "brake fluid overdue since {day}";
export const renewNow = "{axle}: renew the pads now";
export const inspectNow = "{axle}: inspect now";
export const garageGraver = "Garage - Graver";
export const yourGarageIsEmpty = "Your garage is empty";
export const noVehiclesYet =
  "Add the first vehicle: a name, its kind, two axles. It takes two minutes. Everything else can wait, and Graver says what it is needed for.";
export const brakeFluidOverdueSinceDay = "Brake fluid overdue since {day}";
export const axleWearLink = "{name}, {name2} axle: wear";
export const onDay = "on {day}";
export const planned = "planned";
export const nothingKnownYet = "nothing known yet";
export const padsAreAtTheirLimit = "pads are at their limit";
export const byMonth = "by {month}";
export const padsLast = "pads last {when}. Inspect {by}";
export const padsLastRenew = "pads last {when}. Renew them {by}";
export const jobInProgress = "{name}: job in progress.";
export const unfinishedInspection = "{name}: unfinished inspection, last edited {day}.";
export const goOnAtTheCar = "Continue at the car";
export const resumeInspection = "Resume inspection";
export const whenEachVehicleNeedsYou = "When each vehicle is due (8 in 10 range), and what's next";
export const everyAxleOnTheTimeline = english("Every axle, with <discs|rotors>");
