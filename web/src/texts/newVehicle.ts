import { english } from "./english";

export const addAVehicleGraver = "Add a vehicle - Graver";
export const theNameNameFault = "The name {nameFault}";
export const car = "Car";
export const van = "Van";
export const pickup = "Pickup";
export const offRoader = "Off-roader";
export const motorcycle = "Motorcycle";
export const discsOnTheFrontWheel = english("<Discs|Rotors> on the front wheel");
export const one = "One";
export const two = "Two";
export const odometerIn = "Odometer in";
export const kilometres = english("<Kilometres|Kilometers>");
export const miles = "Miles";
export const newVehicleNote =
  "It gets a front and a rear axle. Limits, sizes and torques can wait: each says what it is needed for.";
export const notCovered = english(
  "Graver covers <disc|disc> brakes. It can't log drum brakes yet: leave an axle that has them empty, and go by the manual. Trailers, trucks and bicycles aren't covered.",
);
export const addVehicle = "Add vehicle";
