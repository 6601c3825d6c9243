import { english } from "./english";

export const title = "{vehicle}{axle} {parts}";
export const lasted = "{km}, {from} to {upto}";
export const seen = "At least {km}, first read {from}, replaced {upto}";
export const onSince = "On the vehicle now: {km} from {from} to the last reading on {upto}";
export const onSeen = "On the vehicle now: {km} from the first reading on {from} to the last on {upto}";
export const first = "{position} was thinnest: {left}.";
export const firstOf = "{position} was thinnest: {left} of {fresh}.";
export const neverRead = "It was never measured.";
export const pace = "It wore {pace} in 1,000\u00a0{unit}.";
export const uneven = "That is {times} times as fast as the others.";
export const maybeBecause = "That may be why:";
export const seenThere = "Seen there:";
export const seenOne = "{what} {mark} ({day})";
export const none = english("No pads or <discs|rotors> have been fitted or read yet.");
