import { english } from "./english";

export const turnable = "turnable drawing";
export const fromOutside = "Seen from outside";
export const fromBehind = "Seen from inside";
export const turnRound = "Turn it round";
export const takeApart = "Take it apart";
export const asItIs = "Put it back";
export const drawnAt = english("{place} brake, drawn: {parts}.");
export const termDrawn = "A usual brake with this in colour: {term}.";
export const showOnBrake = "Show it on a brake";
