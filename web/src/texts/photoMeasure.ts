import { english } from "./english";

export const title = "Measure in a photo";
export const open = "Photo";
export const what = english(
  "Hold a steel rule or a coin right against the pad, square to the camera. Take the photo from about 20 cm (8 in), with the pad's edge sharp.",
);
export const takeOne = "Take or choose a photo";
export const another = "Another photo";
export const against = "Measure against";
export const apart = "It is";
export const ends = "Known length";
export const edges = "Pad, friction only";
export const spots = ["Known length, one end", "Known length, other end", "Pad, one edge", "Pad, other edge"];
export const howToSet =
  "Drag the four marks, or use the arrow keys. Zoom in to set them finely. Leave out the steel backing plate.";
export const closer = "Zoom in";
export const wider = "Zoom out";
export const setAll = "Set all four marks.";
export const between = "{value}\u00a0{unit}, between {low} and {high}\u00a0{unit}";
export const use = "Use this reading";
export const cancel = "Cancel";
export const alone = "Measured on this device, as Graver is out of reach.";
export const unreadable = "That file isn't a photo this browser can read. Choose another.";
export const cantHere =
  "Graver is out of reach, and these marks can't be measured: check the length, and set the marks further apart.";
/** What to do about the largest part of the error. */
export const better: Record<string, string> = {
  known: "Most of the error is in the known length. Mark a longer one.",
  scale: "Most of the error is in the marks of the known length. Zoom in, or mark a longer one.",
  edges: "Most of the error is in the pad's edges. Zoom in, or take the photo from nearer.",
  depth: "Most of the error is in how far apart the two are. Hold the known length right against the pad.",
  slant: "Most of the error is in the slant. Mark a length that runs the same way as the pad's thickness.",
};
export const onlyThisPad =
  "It counts for the pad in the photo only. The inner pad can be thinner than the one you see. The photo is saved with the inspection.";
