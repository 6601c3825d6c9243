import { english } from "./english";

export const to = "to";
export const upperBound = "{label}: upper bound";
export const fits = "fits;";
export const thinnestGauge = "{label}: thinnest gauge that doesn't fit";
export const doesnt = "doesn't";
export const removePlace = "Remove place {value}: {taken}";
export const unitSwitch = "Unit: {unit}";
export const methodLabel = "Method: {label}";
export const any = "any";
export const toolName = "Tool: {name}";
export const anyTool = "any tool";
export const frictionOnly = "friction only";
export const send = "Send";
/** The meaning of an answer, shown before the question. */
export const ANSWERED = {
  affirmed: "Measured again, it counts. ",
  keep: "Saved as doubtful: ",
  earlier_wrong: "The earlier reading no longer counts. ",
};
export const interval = "between {least} and {most}";
export const taper = "taper";
export const variesBy = "varies by";
export const spread = "{what} {spread}";
export const rotorPlacesShort = "several places round, inside the lip, Enter after each";
export const rotorPlacesHint =
  "Several places round, inside the lip. Enter after each, Enter on an empty field to continue";
export const drumPlacesHint =
  "The inside diameter at 4 places, inside the lip. Enter after each, Enter on an empty field to continue";
export const liningHint = "The lining alone at its thinnest spot; riveted ones above the rivet heads";
export const padPlacesHint = "Thinnest spot; put spaces between several readings";
export const runoutHint = english("Dial indicator, <disc|rotor> clamped to a clean hub");
export const simulatedNeverCounts = "It never counts on this vehicle.";
export const simulated = "Simulated.";
export const theGaugeSendsTextYou = "The gauge sends {text}; you typed {typed}.";
export const useText = "Use {text}";
export const keepTyped = "Keep {typed}";
export const expectedRead = "expected {thickness}";
export const lastTime = "last time {text}";
export const newOnes = "New";
export const noNew = "No new";
export const withPlate = "With plate";
export const frictionOnlyLabel = "Friction only";
export const answered = "Answered";
export const twoVersions = "Two versions";
export const continuedElsewhere = "This inspection was continued in another window.";
export const savedElsewhereTitle = "This inspection was saved in another window";
export const savedElsewhereNote = "What you typed is still on this screen, but isn't in the log.";
export const continueWithTheseEntries = "Continue with these entries";
export const discardTheseEntries = "Discard these entries";
export const continuedElsewhereTitle = "This inspection was continued in another window";
export const here = "Here";
export const theOtherWindow = "The other window";
export const bothSayTheSame = "Both are the same.";
export const keepThisVersion = "Keep this version";
export const useTheOtherWindows = "Use the other window's version";
export const orderOfTheWheels = "Order of the wheels";
export const startAt = "Start at";
export const go = "Go";
export const firstAtEachWheel = "First part at each wheel";
export const readAtEachWheel = "Measured at each wheel";
export const theReaderSendsTextYou = "The scan tool sends {text}; you typed {typed}.";
export const axleNameInspection = "{axleName} inspection";
export const inspection = "Inspection";
export const savedAsYouType = "Saved as you type";
export const saving = "Saving…";
export const notSavedYetTheServer = "Not saved yet: no connection to Graver. Trying again";
export const allWheels = "All wheels";
export const oneAtATime = "One at a time";
export const connectAgain = "Connect again";
export const readFromTheVehicle = "Read from the vehicle";
export const connectedGauge = "Connected gauge";
export const simulatedOdometerNote = "Enter the reading of this vehicle's odometer.";
export const firstInspectionNote = "This vehicle's first inspection: the baseline for all later ones.";
export const lastOdometer = "Last: {odometerValue}\u00a0{odometerUnit} on {day}.";
export const newPadsFitted = "New {axleName} pads were fitted";
export const newRotors = english("New {axleName} <discs|rotors>");
export const newPartsNote =
  "The {axleName} readings are then those of the new {filter}. Enter the old ones in a separate inspection first.";
export const restMarkedOk = "Everything else is marked OK";
export const everythingElseOK = "Everything else OK";
export const back = "Back";
export const next = "Next";
export const vehicleAndFinish = "Vehicle and finish";
export const vehicle = "Vehicle";
export const readLevel = "Read the level from the vehicle";
export const simulatedLevel = "Simulated level.";
export const whatYouNoticedForNext = "what you noticed, for next time";
export const saveInspection = "Save inspection";
export const startOver = "Start over";
export const notSavedNoConnection =
  "Not saved: no connection to Graver. What you typed stays here: press Save again when it is back.";
export const whileYouCanSeeIt = "While you can see it: {count} {count|thing|things} still unknown ({asks})";
export const oneQuestioned = "one questioned";
export const wheelProgress = "{label}: {done} of {count} read";
export const startedOver = "Started over. Your earlier entries are in the bin";
export const usingTheOtherVersion = "Using the other window's version";
export const odometer = "Odometer";
export const day = "Day";
export const note = "Note";
export const newParts = "New parts";
export const doesntFit = "({leaf} doesn't fit)";
export const itemsMarkedOk = "{set} {set|item|items} marked OK";
export const notSavedYetFields = "Not saved yet: correct the {count|field|fields} marked above. Nothing is lost.";
export const whereIsIt = "Where is it?";
export const whereItSits = "This wheel's brake, drawn. In colour: {item}.";
export const nothingChosen = "nothing yet";
