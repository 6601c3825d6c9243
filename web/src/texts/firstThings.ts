export const title = "What it has";
export const tapWhatYouSee =
  "Tap what you see through the wheels; what you do not know can wait. Limits, sizes and torques are asked for when a job needs them.";
export const axle = "{name} axle";
export const startTheCheck = "Start the first look-over";
export const later = "Later: to the vehicle";
