export const title = "Backups - Graver";
export const backups = "Backups";
export const what =
  "Graver copies all your data every day while it runs, and before every upgrade, import and restore. It opens each copy to check it. They are stored next to the data file: keep a copy on another disk too.";
export const lastGood = "Last good backup: {when}";
export const none = "No backup yet. Graver makes the first one within minutes.";
export const makeNow = "Make backup";
export const made = "Backup made.";
export const when = "Made";
export const why = "Reason";
export const size = "Size";
export const kilobytes = "{count}\u00a0kB";
export const restore = "Restore";
export const restoreLabel = "Restore the backup of {when}";
export const restored = "Restored the backup of {when}. Your previous data is now the newest backup.";
