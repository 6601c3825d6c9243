export const title = "Help";
export const titleGraver = "Help - Graver";
export const howGraverThinks = "How Graver thinks";
export const thinking: [string, string][] = [
  [
    "What you read",
    "A reading is kept as you entered it, with its unit and tool. Each way of reading has its own error: a micrometer a few hundredths, a caliper a tenth or two, a leaf gauge says between which leaves, the eye a millimetre. What cannot be true is asked about, never dropped.",
  ],
  [
    "What it believes",
    "Before any reading it supposes what is usual for pads and rotors, and says so. Your own readings take its place; two good ones outweigh it. All pads of an axle, and its earlier sets, are looked at together.",
  ],
  [
    "What may have happened",
    "Pads do not wear in a straight line. It weighs whether the axle changed its pace, one pad has begun to stick, or a whole day was read wrong, and says what it thinks likely.",
  ],
  [
    "What it answers",
    "Never one number: a range in which 8 in 10 such cases end, the middle, and where to look again so that a pad has hardly passed your limit by then. With little read the range is wide. Measuring once more narrows it; it says which measurement would most.",
  ],
  [
    "What it does not know",
    "It sees only what you entered. It does not feel your pedal or hear your brakes, and it knows no vehicle's limits and torques but those you gave it. A limit it does not have is no pass. The maker's manual, local law and licensed practice come first.",
  ],
  [
    "How a job is ordered",
    "Each step says what it needs and what it gives; the order is proved to break none of it, also after you moved a step. Where a step keeps someone alive, nothing after it opens before it is done.",
  ],
];
export const howOften = "How often the forecast was right";
export const simulated =
  "On {logs} made-up logs whose end is known, in worlds it was not made for. The range is meant to hold 8 in 10; “look again” is meant to come too late in at most 1 in 20. How yours did stands on each wear page.";
export const held = "Range held";
export const late = "Looked too late";
export const loss = "Loss against a straight line";
export const inWhat = "In what";
export const words = "Words";
export const find = "Find a word";
export const see = "See also: {see}";
export const none = "No word matches.";
