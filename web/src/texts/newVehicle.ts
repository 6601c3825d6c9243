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
  "Graver covers <disc|disc> brakes, hydraulic drum brakes on cars, vans and pickups, and motorcycles with <discs|discs>. Trailers, trucks, bicycles and drums on motorcycles aren't covered: go by the manual.",
);
export const addVehicle = "Add vehicle";
