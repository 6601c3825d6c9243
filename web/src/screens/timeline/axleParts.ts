import { upperFirst } from "../../format/words";
import * as texts from "../../texts/timeline";
import { say } from "../../texts/say";

/** Every part of these axles that has a chance, with its name in words. */
export const axleParts = <Axle extends { name: string; pads: number | null; rotors: number | null }>(
  axles: readonly Axle[],
): { label: string; axle: Axle; part: "pads" | "rotors"; chance: number }[] =>
  axles.flatMap((axle) =>
    (["pads", "rotors"] as const).flatMap((part) => {
      const chance = axle[part];
      const label = say(part === "pads" ? texts.axlePads : texts.axleRotors, { axle: upperFirst(axle.name) });
      return chance === null ? [] : [{ label, axle, part, chance }];
    }),
  );
