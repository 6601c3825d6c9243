import { english } from "./english";
export const limits = "Limits and statutory inspection";
export const limitsChange =
  "When parts count as worn out, and the thickness below which you shouldn't drive. A limit in a vehicle's brake data comes first, but never below the manufacturer's. Changes verdicts, forecasts and proposed jobs.";
export const title = "Settings";
export const titleGraver = "Settings - Graver";
export const appearance = "Appearance";
export const appearanceChanges = "On this device only.";
export const system = "Same as the system";
export const light = "Light";
export const dark = "Dark";
export const contrast = "High contrast";
export const money = "Money";
export const moneyChanges =
  "Changes the estimates of a job and of a shop's price. Prices you entered stay as they are.";
export const currency = "Currency sign";
export const labourRate = "A shop's hourly rate";
export const markup = "A shop's mark-up on parts (%)";
export const tax = "Tax (%)";
export const ownRate = "Your hourly rate (0: not counted)";
export const planning = "Planning";
export const planningChanges = "Changes when to order parts, which jobs to combine and how early to inspect.";
export const usual = "Usual: {usual}";
export const between = "Enter a number from {least} to {most}.";
export const saved = "Saved.";
export const whoIsHere = "Who uses this device";
export const vehicles = "Vehicles";
export const vehiclesChange =
  "The name, the drive and the odometer unit belong to each vehicle: open it, then choose Edit vehicle.";
export const approaches = "Approaches";
export const approachesChange =
  "Your limit for pads, and every question practitioners answer differently. The steps, parts and consumables of a job follow them.";
export const access = "Phone access";
export const accessChanges = "Allows or blocks phones on this network.";
export const backups = "Backups";
export const backupsChange = "Copies of all your data: make one or restore one.";
export const bin = "Bin";
export const binChange = "Archived vehicles, cancelled jobs, discarded inspections: you can restore all of it.";
export const practice = "Practice";
export const practiceChange = "Read a gauge, spot a stuck pin, put steps in order, before the first job.";
export const workshop = "Workshop";
export const workshopChange = "Measuring tools and their zero, torque wrenches, tools you own, parts on the shelf.";
export const elsewhere = "More";
export const wordsAndUnits = "English and units";
export const unitsChange =
  "What Graver shows, and the unit it offers for a new value. You can change that for each value; saved ones stay as entered.";
export const pads = "Pads";
export const rotors = english("<Discs|Rotors> and other lengths");
export const torques = "Torques";
export const wordsChange = "Used on screens, in reminders and on the job sheet. What you type stays as you typed it.";
export const whichEnglish = "English";
export const unitNames: Record<string, string> = { "32nd": "32nds of an inch", in: "inches, decimal" };
export const englishes: Record<string, string> = {
  us: "American: rotor, lug nut, jack stand, tire",
  uk: "British: disc, wheel nut, axle stand, tyre",
};
