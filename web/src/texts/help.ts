import { english } from "./english";

export const title = "Help";
export const titleGraver = "Help - Graver";
export const howGraverThinks = "How Graver thinks";
export const thinking: [string, string][] = [
  [
    "What you measured",
    english(
      "Graver keeps each reading as you entered it, with its unit and tool. Each method has its own error: a micrometer a few hundredths, a caliper a tenth or two, the eye a <millimetre|millimeter>; a pad thickness gauge gives an interval. Graver asks about impossible readings and never drops them.",
    ),
  ],
  [
    "What Graver estimates",
    "Before any reading Graver assumes typical wear, and says so. Your own readings replace it: two good ones outweigh it. It considers all pads of an axle and its earlier sets together.",
  ],
  [
    "What may have happened",
    "Pads don't wear in a straight line. Graver weighs whether the axle's wear rate changed, one pad started to stick or a whole inspection was measured wrong, and tells you what is likely.",
  ],
  [
    "What it answers",
    "Never one number. You get a range in which 8 in 10 such cases end, its middle, and when to inspect. That day balances the trouble of an inspection against the risk of driving below your limit. With few readings the range is wide. Another measurement narrows it, and Graver says which one helps most.",
  ],
  [
    "What it doesn't know",
    "Graver knows only what you entered. It can't feel your pedal or hear your brakes, and it knows only the limits and torques you gave it. A missing limit isn't a pass. The manufacturer's manual, local law and licensed practice come first.",
  ],
  [
    "How a job is ordered",
    "Each step lists what must be true before it. Graver proves the order against that, also after you move a step. Steps that keep someone alive can't be skipped.",
  ],
];
export const howOften = "How often the forecast was right";
export const simulated =
  "Tested on {logs} made-up logs with a known end, in conditions it wasn't tuned for. The range should hold 8 in 10. “Inspect by” should seldom come too late. Each wear page shows how yours did.";
export const withinRange = "Within range";
export const late = "Inspected too late";
export const loss = "Error compared with a straight line";
export const conditions = "Conditions";
export const contents = "Contents";
export const practise = "Practice";
export const words = "Words";
export const find = "Find a word";
export const see = "See also: {see}";
export const none = "No word matches.";
