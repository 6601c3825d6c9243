import { english } from "./english";

export const atTheCarGraver = "At the car - Graver";
export const leave = "Leave the steps";
export const stepOf = "Step {at} of {all}";
export const allSteps = "All steps";
export const hideTheSteps = "Back to the step";
export const progress = "Progress of the job";
export const stepsNotInOrder = "The steps can't be put in order yet: brake data is missing.";
export const replan = "Replan";
export const next = "Next:";
export const lastStepFinish = "Finish the job";
export const back = "Back";
export const skipForNow = "Skip for now";
export const done = "Done";
export const notDone = "Not done";
export const nextStep = "Next";
export const notReadyYet = "Not ready yet";
export const startJob = "Start job";
export const jobIsClosed = "This job is closed";
export const guestLooks = "Guest: look only";
export const neverSkipped = "Never skip";
export const dontSkip = "Don't skip";
export const firstComes = "Do first";
export const atHand = "At hand";
export const lastTimeDay = "Last time ({day}):";
export const yourNote = "Your note:";
export const noteBy = "Note by {person}:";
export const doneBy = "Done by {person}, {at}";
export const alsoDone = "{person} has done: {step}";
export const alsoDoneSeveral = "{person} has done {count} steps, the last: {step}";
export const anotherDevice = "Another device";
export const doneDifferently = "Done differently:";
export const notSavedYet = "Not saved yet: no connection to Graver. Trying again.";
export const noteForNextTime = "Note for next time";
export const whatYouDidInstead = "What you did instead";
export const iDidItAnotherWay = "I did it differently";
export const keepAsNote = "Save as a note: {of} {count}";
export const tapOrSpace = "tap, or the space key";
export const ofTarget = "of {target}";
export const oneLess = "One less";
export const reset = "Reset";
export const startTimer = "Start timer";
export const resetTimer = "Reset";
export const timeIsUp = "Time is up";
export const noValueOnFile = "No value on file";
export const wrenchAtSetting = "{wrench} at {setting}\u00a0{unit}";
export const inThisOrder = "In this order: {star}";
export const measured = "Measured here";
export const onFile = "measured: {said}";
export const severalPlaces = "23.8 23.9 23.8 23.7";
export const unitOf = "Unit of {label}";
export const saveReading = "Save reading";
/** Answers to a question about a reading. */
export const ANSWERS = {
  affirmed: "I measured again: it is right",
  earlier_wrong: "The earlier reading was wrong",
  keep: "Save as doubtful",
};
export const saveMarkedDoubtful = "Save as doubtful";
export const inTheLog = "In the log.";
export const changeScope = "Change the scope";
export const methodOf = "{label}: measured with";
export const tight = "tight";
export const under = "not tight yet";
export const open = "open";
export const clicked = "clicked";
export const boltNumber = "{label}: {bolt}";
export const itClicked = "It clicked";
export const clickedAndTurned = "It clicked, then I turned it {angle}°";
export const allClickedAndTurned = "All of them clicked and were turned by their angle";
export const readFrom = "Read {wrench}";
export const reachedPeak = "Reached";
export const unit = "Unit";
export const thenAngle = "Then, degrees";
export const simulatedWrench = "Made up by a simulated wrench.";
export const reasonToKeep = "Reason to keep it";
export const newBolt = "New bolt, tighten again";
export const loosened = "Loosened, tighten again";
export const keepIt = "Keep it and give the reason";
export const notMarked = "{missing} of {all} {label} are not marked as tight.";
export const allOfThemClicked = "All of them clicked";
export const left = "left";
export const right = "right";
export const bedInCoach = "Bed-in coach";
export const seriesOf = "{stops} times from {from} to {to}, {seconds}\u00a0s apart.";
export const rotorWeighs = english("A <disc|rotor> of about {kg}\u00a0kg, from its size.");
export const rotorGuessed = english(
  "A <disc|rotor> of about {kg}\u00a0kg is assumed: enter its diameter and thickness in the brake data.",
);
export const neverHoldHot = english(
  "On an empty road and as the law allows. Never hold the brake at a standstill while it is hot: hot pads leave deposits on the <disc|rotor>.",
);
export const assumptions = "What it assumes";
export const vehicleKg = "Vehicle, kg";
export const frontShare = "Front axle brakes, %";
export const air = "Air, {unit}";
export const coolingMinutes = "Cools by two thirds in, min";
export const calculateAgain = "Calculate again";
export const energyBalance = english(
  "The speed the vehicle loses becomes heat, nine tenths of it in the <discs|rotors>, evenly spread. Between stops they cool towards the air. Real <discs|rotors> are briefly hotter at their faces. This is an estimate, not a measurement.",
);
export const scanToolAction = "{action}: {unit}";
export const scanToolRunning = "Running. Don't go by the sound: wait for the message that it has finished.";
export const scanToolDone = "Finished.";
export const simulatedScanTool = "Made up by a simulated scan tool.";
export const ACTIONS = {
  brake_open: "Open the parking brake",
  brake_close: "Close the parking brake",
  pump_bleed: "Run the pump",
  counter_reset: "Reset the counter",
};
export const answerAbove = "Answer above";
export const byFeel = "by feel";
export const byFeelBecause = "No wrench reaches it? Give the reason";
export const allByFeel = "Tightened by feel";
export const toBuyNow = "To buy now:";
export const PAD_EVENTS = {
  metal: "Metal to metal",
  squealer: "Squealer has sounded",
  sensor: "Sensor light has come on",
};
export const andMore = "(and {count} more)";
