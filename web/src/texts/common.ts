import { english } from "./english";

export const garage = "Garage";
export const workshop = "Workshop";
export const addAVehicle = "Add a vehicle";
export const bin = "Bin";
export const unknown = "unknown";
export const now = "now";
export const restoreJob = "Restore job";
export const planAJob = "Plan a job";
export const unitOfLabel = "Unit of {label}";
export const save = "Save";
export const rotors = english("<discs|rotors>");
export const findings = "Findings";
export const pushedMlMl = "{pushedMl}\u00a0ml";
export const mostUsefulNextMeasurement = "Most useful next measurement";
export const where = "Where";
export const nowLabel = "Now";
export const about = "about ";
export const inProgress = "in progress";
export const jobState: Record<string, string> = {
  draft: "draft",
  ready: "ready",
  in_progress: "in progress",
  finished: "finished",
  cancelled: "cancelled",
};
export const jobAnd = "Job {state}";
export const timeline = "Timeline";
export const withPlate = "with plate";
export const importASpreadsheet = "Import a spreadsheet";
export const kilometres = english("<kilometres|kilometers>");
export const miles = "miles";
export const undo = "Undo";
export const day = "Day";
export const cancel = "Cancel";
export const reason = "Reason";
export const calculating = "Calculating…";
export const change = "Change";
export const onTheShelf = "On the shelf";
export const nameAxle = "{name} axle";
export const steps = "Steps";
export const putBack = "Restore";
export const none = "none";
export const nothing = "nothing";
export const theSameKind = "the same kind";
export const restore = "Restore";
export const inspected = "Inspected";
export const odometerUnit = "Odometer ({unit})";
export const yourNameForIt = "Your name for it";
export const kind = "Kind";
export const saveNote = "Save";
export const what = "What";
export const name = "Name";
export const from = "From";
export const to = "To";
export const wearFactorYourGuess = "Wear factor (your guess)";
export const and = " and ";
export const odometer = "Odometer";
export const startInspection = "Start an inspection";
export const inspectByRange = "within {rough} or by {month}";
export const note = "Note";
export const drive = "Drive";
export const drives = [
  { id: "combustion", label: english("<Petrol|Gasoline> or diesel") },
  { id: "hybrid", label: "Hybrid" },
  { id: "electric", label: "Electric" },
];
export const approaches = "Approaches";
export const phoneAccess = "Phone access";
