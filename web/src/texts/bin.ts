export const binGraver = "Bin - Graver";
export const theBinIsEmptyArchived =
  "The bin is empty. Archived vehicles, cancelled jobs and discarded inspections are kept here.";
export const archivedVehicles = "Archived vehicles";
export const restoreName = "Restore {name}";
export const cancelledJobs = "Cancelled jobs";
export const discardedInspections = "Discarded inspections";
export const restoringMovesTheOther = "Restoring one moves that vehicle's unfinished inspection to the bin.";
export const draftLastEdited = "{vehicle}, last edited on {day}";
export const inspectionOfVehicle = "inspection of {vehicle}";
export const restoreInspection = "Restore inspection";
export const restoredName = "Restored: {name}.";
export const backups = "Backups of all data";
