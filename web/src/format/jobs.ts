import * as texts from "../texts/format";
import { say } from "../texts/say";
import type { Schemas } from "../api/client";
import { lowerFirst, upperFirst } from "./words";

/** To the cent under a hundred, where there are any. */
export function money(value: number, currency: string): string {
  const small = value < 100;
  const figures = {
    minimumFractionDigits: small && !Number.isInteger(value) ? 2 : 0,
    maximumFractionDigits: small ? 2 : 0,
  };
  return `${currency}\u00a0${value.toLocaleString("en-GB", figures)}`;
}

/** An amount already spent, to the cent where there are any. */
export const amount = (value: number): string =>
  value.toLocaleString("en-GB", { minimumFractionDigits: Number.isInteger(value) ? 0 : 2, maximumFractionDigits: 2 });

export const figure = (value: number | null): string =>
  value === null ? "?" : value.toLocaleString("en-GB", { maximumFractionDigits: 2 });

type Entered = Pick<Schemas["TorqueLine"], "newton_metres" | "pound_feet" | "pound_inches" | "entered_unit">;

/** The unit it was entered in, which is the wrench's, comes first. */
export function readings(line: Entered): [number | null, string][] {
  const metric: [number | null, string] = [line.newton_metres, "N·m"];
  const imperial: [number | null, string] =
    line.entered_unit === "lbf·in" ? [line.pound_inches, "lbf·in"] : [line.pound_feet, "lbf·ft"];
  return line.entered_unit === "N·m" ? [metric, imperial] : [imperial, metric];
}

/** A torque in words, both units: "28 N·m (20.7 lbf·ft)", and a further angle. */
export function torque(line: Entered & { angle_degrees: number | null }): string {
  const [first, second] = readings(line).map(([value, unit]) => `${figure(value)}\u00a0${unit}`);
  const further = line.angle_degrees ? say(texts.thenAngle, { degrees: figure(line.angle_degrees) }) : "";
  return `${first} (${second})${further}`;
}

type Step = Schemas["JobStep"];
/** Steps of one group; the first one's key names it. */
export interface StepGroup {
  key: string;
  steps: Step[];
}

/** A step in a few words: up to its first stop; a long one up to a comma or to what says how. */
export function inShort(text: string): string {
  const clause = /^(?:[^.:;]|\.(?=\d))+/.exec(text)?.[0] ?? text;
  if (clause.length <= SHORT) return clause;
  const after = (stop: RegExp, least: number) =>
    [...clause.matchAll(stop)].map((each) => each.index).find((at) => at >= least && at <= SHORT);
  const cut = after(/, /g, 24) ?? after(/ (?:and|while|until|before|after|without|with|so) /g, 16);
  return cut ? clause.slice(0, cut) : `${clause.slice(0, SHORT).replace(/\s+\S*$/, "")}…`;
}
const SHORT = 60;

/** Steps as stepGroups, in the same order. */
export function stepGroups(steps: Step[]): StepGroup[] {
  const found: StepGroup[] = [];
  for (const step of steps) {
    if (step.joins && found.length) found.at(-1)!.steps.push(step);
    else found.push({ key: step.key, steps: [step] });
  }
  return found;
}

/** StepGroups as they follow each other, cut where the stage or the place changes. */
export function stages(moves: StepGroup[]): { id: string; title: string; stepGroups: StepGroup[] }[] {
  const cut: { id: string; title: string; stepGroups: StepGroup[] }[] = [];
  for (const stepGroup of moves) {
    const { place, stage } = stepGroup.steps[0]!;
    const title = place ? `${upperFirst(place)}: ${lowerFirst(stage)}` : stage;
    if (cut.at(-1)?.title === title) cut.at(-1)!.stepGroups.push(stepGroup);
    else cut.push({ id: `${cut.length}`, title, stepGroups: [stepGroup] });
  }
  return cut;
}
