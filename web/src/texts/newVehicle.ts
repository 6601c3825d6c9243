import { english } from "./english";

export const addAVehicleGraver = "Add a vehicle - Graver";
export const theNameNameFault = "The name {nameFault}";
export const car = "Car";
export const van = "Van";
export const pickup = "Pickup";
export const offRoader = "Off-roader";
export const motorcycle = "Motorcycle";
export const trailer = "Trailer or caravan";
export const axles = "Axles";
export const trailerBrakes = "Brakes";
export const overrun = "Overrun: the coupling pushes, drums";
export const electric = "Electric drums";
export const distanceTowed = english(
  "A trailer has no odometer: enter the distance it has been towed, as well as you know it. Note longer trips afterwards.",
);
export const discsOnTheFrontWheel = english("<Discs|Rotors> on the front wheel");
export const oneOnTheLeft = "One, on the left";
export const oneOnTheRight = "One, on the right";
export const discOfTheRearWheel = english("<Disc|Rotor> of the rear wheel");
export const onTheLeft = "On the left";
export const onTheRight = "On the right";
export const fromTheSaddle = "Left and right as seen from the saddle.";
export const two = "Two";
export const odometerIn = "Odometer in";
export const kilometres = english("<Kilometres|Kilometers>");
export const miles = "Miles";
export const newVehicleNote = "Limits, sizes and torques can wait: each says what it is needed for.";
export const notCovered = english(
  "Graver covers <disc|disc> brakes, hydraulic drum brakes on cars, vans, off-roaders and pickups, motorcycles with <discs|discs>, and trailers with overrun or electric drums. Trucks, quads, bicycles, a third axle of a motorhome or pickup, drums on motorcycles and hydraulic brakes on trailers aren't covered: go by the manual.",
);
export const addVehicle = "Add vehicle";
