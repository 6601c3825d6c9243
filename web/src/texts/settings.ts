export const limits = "Limits and inspection";
export const limitsChange =
  "When parts are done, and under what nobody drives. A limit in a vehicle's brake data comes first, the maker's is never undercut. Changes verdicts, forecasts and what a job proposes.";
export const title = "Settings";
export const titleGraver = "Settings - Graver";
export const appearance = "Appearance";
export const appearanceChanges = "On this device only.";
export const system = "As the system";
export const light = "Light";
export const dark = "Dark";
export const contrast = "High contrast";
export const money = "Money";
export const moneyChanges =
  "Changes what a job is estimated at, and what a shop would ask. Prices you entered stay as they are.";
export const currency = "Currency sign";
export const labourRate = "A shop's hour";
export const markup = "A shop's mark-up on parts (%)";
export const tax = "Tax (%)";
export const ownRate = "Your own hour (0: not counted)";
export const planning = "Planning";
export const planningChanges =
  "Changes when parts are to be ordered, which jobs are one session, and how early to look again.";
export const usual = "Usual: {usual}";
export const between = "Enter a number from {least} to {most}.";
export const saved = "Saved.";
export const vehicles = "Vehicles";
export const vehiclesChange =
  "The name and what the odometer shows (kilometres or miles) belong to each vehicle: open it, then Rename, change unit.";
export const approaches = "Approaches";
export const approachesChange =
  "Your limit for pads, and every question practitioners answer differently: what the steps, parts and consumables of a job follow.";
export const access = "Phone access";
export const accessChanges = "Lets phones of this network in, and shuts them out.";
export const backups = "Backups";
export const backupsChange = "Copies of all your data: make one, take one back.";
export const bin = "Bin";
export const binChange = "Archived vehicles, cancelled jobs, look-overs started over: all of it can be had back.";
export const practice = "Practice";
export const practiceChange = "Read a gauge, spot a stuck pin, put steps in order, before the first job.";
export const workshop = "Workshop";
export const workshopChange = "Measuring tools and their zero, torque wrenches, tools you own, what is on the shelf.";
export const elsewhere = "More";
export const wordsAndUnits = "Words and units";
export const unitsChange =
  "The unit a new value is first entered in; it can be changed at the value. What was entered stays as it was.";
export const lengths = "Thicknesses and lengths";
export const torques = "Torques";
export const wordsChange =
  "What the screens, the reminders and the job sheet say. Tables for other programs keep their headings.";
export const whatTurnsIsCalled = "What turns with the wheel is a";
