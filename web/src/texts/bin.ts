export const binGraver = "Bin - Graver";
export const theBinIsEmptyArchived =
  "The bin is empty. Archived vehicles, cancelled jobs and look-overs that were started over are kept here.";
export const archivedVehicles = "Archived vehicles";
export const restoreName = "Restore {name}";
export const cancelledJobs = "Cancelled jobs";
export const lookOversThatWereStarted = "Look-overs that were started over";
export const restoringOnePutsWhatIs = "Restoring one puts what is half-entered for that vehicle now into the bin.";
export const vehicleLastTypedInOn = "{vehicle}, last typed in on {day}";
export const lookOverOfVehicle = "look-over of {vehicle}";
export const restoreLookOver = "Restore look-over";
export const restoredName = "Restored: {name}.";
export const backups = "Backups of the whole household";
