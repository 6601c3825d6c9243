export const graver = "Graver";
export const main = "Main";
export const notSavedRefused = "Not saved: {refused}";
export const close = "Close";
export const ticksNotSaved =
  "{count} {count|tick is|ticks are} not saved yet: the server cannot be reached. Trying again.";
export const skipToContent = "Skip to the content";
export const logbook = "Logbook";
export const help = "Help";
export const settings = "Settings";
