import { english } from "./english";

export const read = "Read aloud";
export const everyStep = "Read every step";
export const newtonMetres = english("newton <metres|meters>");
export const poundFeet = "pound-feet";
export const poundInches = "pound-inches";
export const severities: Record<string, string> = { danger: "Danger.", warning: "Warning.", notice: "Notice." };
export const noTorque = "{label}: no torque on file.";
export const torque = "{label}: {value} {spoken}";
export const torqueAngle = "{label}: {value} {spoken}, then {degrees} degrees";
