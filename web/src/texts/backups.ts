export const title = "Backups - Graver";
export const backups = "Backups";
export const what =
  "Graver copies all your data every day while it runs, and before every upgrade, import and restore. It opens each copy to check it. They are kept next to the data file, so they don't survive a broken disk: make a backup now and then, and save it on another disk.";
export const whatRestores =
  "A restore replaces your data and photos. The passphrase and the phones you allow stay as they are.";
export const onlyThere = "You can restore and save backups on the machine that Graver runs on.";
export const lastGood = "Last good backup: {when}";
export const none = "No backup yet. Graver makes the first one within minutes.";
export const makeNow = "Make backup";
export const kept = "Folder:";
export const made = "Backup made. Save it on another disk too.";
export const saveThisOne = "Save it as a file";
export const save = "Save as file";
export const saveLabel = "Save the backup of {when} as a file";
export const add = "Add a saved backup";
export const added = "Backup added. Restore it below.";
export const encrypted = "Encrypted copy";
export const encryptedWhat =
  "Everything in one zip file, locked with a passphrase: to keep where others might find it. Other programs can open it too, if they know AES. Without the passphrase it can never be opened, not even by you.";
export const passphrase = "Passphrase";
export const passphraseHint = "At least 16 characters: five words that are hard to guess.";
export const encrypt = "Save an encrypted copy";
export const encryptedMade = "Encrypted copy saved as {name}. Keep it on another disk.";
export const locked = "{name} is locked. Enter its passphrase.";
export const unlock = "Add it";
export const when = "Made";
export const why = "Reason";
export const size = "Size";
export const kilobytes = "{count}\u00a0kB";
export const megabytes = "{count}\u00a0MB";
export const restore = "Restore";
export const restoreLabel = "Restore the backup of {when}";
export const restored = "Restored the backup of {when}. Your previous data is now the newest backup.";
