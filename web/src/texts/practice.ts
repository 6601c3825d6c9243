import { english } from "./english";

export const practiceGraver = "Practice - Graver";
export const practice = "Practice";
export const introduction =
  "Practise before your first job: read the drawings, decide, put steps in order. Graver marks you by the rules it uses for your own readings. Nothing goes into a log.";
export const drills = "Exercises";
export const rightOfDone = "{right} of {done} right";
export const right = "Right.";
export const notQuite = "Not quite: {should}";
export const another = "Next exercise";
export const yourReading = "Your reading";
export const answers = "Answers";
export const place = "place {at}";
export const noPlace = "no place yet";
export const check = "Check";
export const aMicrometer = "Micrometer sleeve and thimble";
export const aVernier = "Rule and slide of a vernier caliper";
export const aDialGauge = "A dial indicator, its needle at the lowest and the highest point";
export const aRotorCutThrough = english("A <disc|rotor> cut through, with four places to measure at");
export const edgeOfTheRotor = english("edge of the <disc|rotor>");
export const towardsTheHub = "towards the hub";
export const brakeToName = "A brake with parts in colour. Turn it with a finger or the arrow keys.";
