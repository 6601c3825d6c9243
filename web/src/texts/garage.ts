export const garageGraver = "Garage - Graver";
export const yourGarageIsEmpty = "Your garage is empty";
export const addTheFirstVehicleA =
  "Add the first vehicle: a name, its kind, two axles. It takes two minutes; everything else can wait, and Graver says what waits for it.";
export const brakeFluidOverdueSinceDay = "Brake fluid overdue since {day}";
export const nameName2AxleWear = "{name}, {name2} axle: wear";
export const onDay = "on {day}";
export const planned = "planned";
export const whenEachAxlesPadsAnd = "When each axle's pads and rotors reach their limits, by date";
export const bands8In10Chances =
  "Bands: 8 in 10 chances that the first pad (above) or rotor (below) reaches its limit in that time; the bar is the middle.";
export const openingTheGarage = "Opening the garage…";
export const nothingKnownYet = "nothing known yet";
export const padsAreAtTheirLimit = "pads are at their limit";
export const byMonth = "by {month}";
export const padsLastWhenLookAgain = "pads last {when}; look again {rest}";
