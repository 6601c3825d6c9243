import type { Schemas } from "../../api/client";
import { figure, readings } from "../../format/jobs";
import { lowerFirst } from "../../format/words";
import type { Label, Shown } from "./picture.svelte";

type Step = Schemas["JobStep"];
export interface StepShown {
  corner: Schemas["CornerDrawing"];
  shown: Shown;
  labels: Label[];
}

/** What a group of steps done in one go shows of the brake; null where none of them is about a part of it. */
export function stepShown(drawing: Schemas["JobDrawing"], steps: Step[]): StepShown | null {
  const mine = drawing.steps.filter((each) => steps.some((step) => step.key === each.key));
  const first = mine[0];
  const corner = first && drawing.corners.find((each) => each.key === first.corner);
  if (!corner) return null;
  const here = mine.filter((each) => each.corner === first.corner);
  const all = (of: (each: Schemas["StepDrawing"]) => string[]) => [...new Set(here.flatMap(of))];
  const shown = {
    off: first.off,
    out: all((each) => each.out),
    in: all((each) => each.in),
    hidden: first.hidden.filter((id) => here.every((each) => each.hidden.includes(id))),
    of: all((each) => each.of),
  };
  return { corner, shown, labels: labels(corner, shown.of, steps) };
}

/** A fastener's label says its size and torque at the bolt itself, any other part's its name. */
function labels(corner: Schemas["CornerDrawing"], of: string[], steps: Step[]): Label[] {
  const parts = corner.parts.filter((part) => of.includes(part.id));
  const bolts = parts.filter((part) => part.fastener && written(part, steps).length > 1);
  return (bolts.length ? bolts : parts).slice(0, MOST).map((part) => ({ part: part.id, lines: written(part, steps) }));
}
const MOST = 2;

function written(part: Schemas["DrawnPart"], steps: Step[]): string[] {
  const tight = steps.flatMap((step) => step.tighten).find((line) => line.fastener === part.fastener);
  if (!tight) {
    const undone = steps.flatMap((step) => step.undo).find((each) => each.fastener === part.fastener);
    return undone ? [part.label, undone.drive] : [part.label];
  }
  const name = tight.count === null ? tight.label : `${tight.count} × ${lowerFirst(tight.label)}`;
  const [first, second] = readings(tight).map(([value, unit]) => `${figure(value)}\u00a0${unit}`);
  const angle = tight.angle_degrees ? ` + ${figure(tight.angle_degrees)}°` : "";
  const torque = tight.newton_metres === null ? [] : [`${first}${angle} (${second})`];
  return [name, [tight.drive, ...torque].filter(Boolean).join(", ")].filter(Boolean);
}
