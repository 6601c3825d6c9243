export const garageGraver = "Garage - Graver";
export const yourGarageIsEmpty = "Your garage is empty";
export const addTheFirstVehicleA =
  "Add the first vehicle: a name, its kind, two axles. It takes two minutes; everything else can wait, and Graver says what waits for it.";
export const brakeFluidOverdueSinceDay = "Brake fluid overdue since {day}";
export const nameName2AxleWear = "{name}, {name2} axle: wear";
export const onDay = "on {day}";
export const planned = "planned";
export const nothingKnownYet = "nothing known yet";
export const padsAreAtTheirLimit = "pads are at their limit";
export const byMonth = "by {month}";
export const padsLastWhenLookAgain = "pads last {when}; look again {rest}";
export const jobUnderWay = "{name}: a job is under way.";
export const checkBegun = "{name}: a look-over is half entered, last gone on with on {day}.";
export const goOnAtTheCar = "Go on at the car";
export const resumeTheCheck = "Resume it";
export const whenEachVehicleNeedsYou = "When each vehicle needs you: where 8 in 10 meet the limit, and what is next";
export const everyAxleOnTheTimeline = "Every axle, with rotors";
