import type { Schemas } from "../../api/client";
import { partName } from "../../format/words";
import * as texts from "../../texts/inspection";
import { say } from "../../texts/say";
import { keyOf } from "./inspectionContent";
import type { InspectionForm, Place } from "./inspectionForm.svelte";

/**
 * What a key does at a reading; true when it meant something. In an empty field letters are keys, and what they did can
 * be undone; once something is typed they are text. While something is asked, its answers have keys, whatever stands
 * in the field.
 */
export function keyed(
  form: InspectionForm,
  wheel: Schemas["Wheel"],
  place: Place,
  key: string,
  send: () => unknown,
): boolean {
  const entry = form.entry(place);
  const answer = form.questionAt(place)?.answers.find((each) => keyOf(each.id) === key);
  const action = actions(form, wheel, place)[key];
  if (answer)
    form.action(
      () => texts.answered,
      () => form.answer(place, answer),
    );
  else if (entry.text.trim()) return false;
  else if (action) form.action(...action);
  else if (key === "z" && form.content?.device) send();
  else if (form.means(place, key))
    form.action(
      () => picked(form, place),
      () => form.pick(place, key),
    );
  else return false;
  return true;
}

/** By key: what is said of it, and what it does. */
function actions(
  form: InspectionForm,
  wheel: Schemas["Wheel"],
  place: Place,
): Record<string, [() => string, () => void]> {
  const entry = form.entry(place);
  const tool = () => form.instrumentsFor(entry.method).find((each) => each.id === entry.instrument);
  const disc = turned(wheel);
  const fitted = (part: "pad" | "rotor" | "drum", name: string = part) =>
    `${form.isNew(wheel.axle, part) ? texts.newOnes : texts.noNew} ${wheel.axle_name} ${partName(name, true)}`;
  let set = 0;
  return {
    u: [() => say(texts.unitSwitch, { unit: entry.unit }), () => form.nextUnit(place)],
    p: [() => (entry.overall ? texts.withPlate : texts.frictionOnlyLabel), () => form.togglePlate(place)],
    i: [() => say(texts.toolName, { name: tool()?.name ?? texts.any }), () => form.nextInstrument(place)],
    n: [() => fitted("pad", worn(wheel)), () => form.toggleFit(wheel.axle, "pad")],
    r: [() => fitted(disc), () => form.toggleFit(wheel.axle, disc)],
    o: [() => say(texts.itemsMarkedOk, { set }), () => (set = form.allInOrder(wheel))],
  };
}

/** What the wheel's brake turns with, and what wears on it, by id of the name. */
export const turned = (wheel: Schemas["Wheel"]): "rotor" | "drum" => (wheel.brakes === "drum" ? "drum" : "rotor");
export const worn = (wheel: Schemas["Wheel"]): "pad" | "brake_shoe" => (wheel.brakes === "drum" ? "brake_shoe" : "pad");

function picked(form: InspectionForm, place: Place): string {
  const entry = form.entry(place);
  const event = form.sheet?.events.find((each) => each.id === entry.event);
  const method = form.methods(place.part).find((each) => each.id === entry.method);
  return event ? event.label : say(texts.methodLabel, { label: method?.label ?? entry.method });
}
