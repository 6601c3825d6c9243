import * as texts from "../texts/parts";

export interface KeyGroup {
  title: string;
  /** of the address behind the #; none: everywhere */
  at: RegExp | null;
  keys: [key: string, meaning: string][];
}

export const KEY_GROUPS: KeyGroup[] = [
  {
    title: texts.keysEverywhere,
    at: null,
    keys: [
      ["?", texts.showTheseKeys],
      ["Ctrl + Z", texts.undoWhatTheBarSays],
    ],
  },
  {
    title: texts.keysGarage,
    at: /^\/$/,
    keys: [
      ["a", texts.garageAddAVehicle],
      ["g", texts.garageResume],
      [texts.n1To9, texts.garageOpenAVehicle],
    ],
  },
  {
    title: texts.keysVehicle,
    at: /^\/vehicles\/\d+$/,
    keys: [
      ["l", texts.vehicleInspectionOfAll],
      ["v", texts.vehicleFindingsVerdicts],
      ["r", texts.vehicleTimeline],
      ["f w j b", texts.vehicleInspectionWearJob],
      ["F W J B", texts.vehicleTheSameOfThe],
    ],
  },
  { title: texts.keysTimeline, at: /^\/vehicles\/\d+\/timeline/, keys: [["l", texts.vehicleInspectionOfAll]] },
  {
    title: texts.keysWear,
    at: /^\/axles\/\d+\/wear/,
    keys: [
      ["l", texts.wearInspection],
      ["j", texts.wearJob],
    ],
  },
  {
    title: texts.keysBrakeData,
    at: /^\/axles\/\d+\/brake-data/,
    keys: [
      ["Enter", texts.dataSave],
      ["Esc", texts.dataLeave],
      [texts.upDown, texts.dataChoose],
    ],
  },
  {
    title: texts.keysJob,
    at: /^\/jobs\/\d+(?!\/car)/,
    keys: [["y p t s c", texts.jobReadyPartsTorqueSteps]],
  },
  {
    title: texts.keysAtTheCar,
    at: /^\/jobs\/\d+\/car/,
    keys: [
      ["Enter", texts.carDone],
      [texts.leftRight, texts.carOther],
    ],
  },
  {
    title: texts.keysInspectionForm,
    at: /^\/vehicles\/\d+\/inspection/,
    keys: [
      ["Enter", texts.inspectionFormTakeTheReading],
      ["Shift + Tab", texts.inspectionFormBack],
      ["c v m l g e d %", texts.inspectionFormDigitalCaliperVernier],
      ["q w x", texts.inspectionFormSquealerTouchesWear],
      ["u i p", texts.inspectionFormNextUnitNext],
      ["a y k b", texts.inspectionFormAtAQuestion],
      ["Ctrl + Enter", texts.inspectionFormSave],
      ["Ctrl + Z", texts.inspectionFormUndoWhatA],
      ["+", texts.inspectionFormAnotherPlaceOn],
      ["n r", texts.inspectionFormNewPadsNew],
      ["o", texts.inspectionFormTheRestOf],
      ["z", texts.inspectionFormHaveTheGauge],
    ],
  },
];

/** Of this screen, those of everywhere last; and those of the others. */
export function keysAt(address: string): [here: KeyGroup[], elsewhere: KeyGroup[]] {
  const here = KEY_GROUPS.filter((group) => group.at?.test(address));
  const everywhere = KEY_GROUPS.filter((group) => !group.at);
  return [[...here, ...everywhere], KEY_GROUPS.filter((group) => group.at && !here.includes(group))];
}
