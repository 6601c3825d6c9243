export const title = "Brakes on this vehicle";
export const tapWhatYouSee =
  "Tap what you see through the wheels. What you don't know can wait. Graver asks for limits, sizes and torques when a job needs them.";
export const axle = "{name} axle";
export const startTheCheck = "Start the first inspection";
export const later = "Later: go to the vehicle";
