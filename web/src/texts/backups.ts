export const title = "Backups - Graver";
export const backups = "Backups";
export const what =
  "A copy of the whole household is made every day while Graver runs, and before every upgrade, import and restore. Each was opened on trial when it was made. They lie beside the household's file; keep one on another disk as well.";
export const lastGood = "Last good backup: {when}";
export const none = "No backup yet. The first is made within minutes.";
export const makeNow = "Make backup";
export const made = "Backup made.";
export const when = "Made";
export const why = "Occasion";
export const size = "Size";
export const kilobytes = "{count} kB";
export const restore = "Restore";
export const restoreLabel = "Restore the backup of {when}";
export const restored = "Restored the backup of {when}. What was there before is the newest backup now.";
