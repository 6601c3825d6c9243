import { english } from "./english";

export const nameBrakeData = "{name} brake data";
export const drawnToScale = english(
  "The brake cut through, drawn to scale: pad, <disc|rotor>, pad. Unknown parts are dashed, at a typical size.",
);
export const drumDrawnToScale = "The drum's wall, a lining and its shoe, cut level and drawn to scale";
export const drumScaleNote =
  "Drawn to scale; the diameters run on to the other side of the drum. Dashed: unknown, drawn at a typical size.";
export const scaleNote = "Drawn to scale. Dashed: unknown, drawn at a typical size.";
export const takenApart = "The brake, taken apart";
export const apartDrawn = "{name} brake, taken apart. The list below has the same parts.";
export const pressAPart =
  "Press a part to enter its data. Dashed: something about it is missing. Turn it with a finger or the arrow keys.";
export const nothingToEnter = "There is nothing to enter for it.";
export const unknownParts = "Missing:";
export const value = "Value";
export const pressAValue = "Press a value to change it here.";
export const missingData = "Missing data";
export const allOfKnown = "all {of} known";
export const knownOfOfKnownWants = "{known} of {of} known. Missing:";
export const moreCount = "and {value} more";
export const suggestTypicalValues = "Suggest typical values";
export const copyFrom = "Copy from";
export const anotherAxle = "another axle…";
export const proposedCount = "{count} {count|value is|values are} proposed";
export const proposedNote = "Each is marked in its place. Nothing is saved until you say so.";
export const notCopied = "Not copied, because it belongs to one vehicle: {leftOut}.";
export const saveAllCount = "Save all {count}";
export const cancelProposed = "Cancel";
export const whichBoltsThereAreDepends = "Which bolts there are depends on the caliper kind";
export const chooseItAboveAndThey = "choose it above, and they appear here.";
export const whereLabelComesFrom = "Where {label} comes from";
export const iCantFindIt = "I can't find it";
export const cantBeFound = "can't be found";
export const sourcesDisagree = "Sources disagree.";
export const useRivalValue = "Use {rival}\u00a0{unit} ({toLowerCase})";
export const saveProposal = "Save {proposedText} as {label}";
export const saveProposed = "Save";
export const findItFind = "Find it: {find}.";
export const earlierEarlier = "Earlier: {earlier}.";
export const savedOne = "Saved: {label}";
export const savedMany = "Saved: {count} values";
export const nothingThere = "There is nothing to copy from there.";
export const countMore = "{count} more: {names}";
