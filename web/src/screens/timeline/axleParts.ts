import { axleWord, ofBrake, upperFirst } from "../../format/words";
import * as texts from "../../texts/timeline";
import type { Schemas } from "../../api/client";
import { say } from "../../texts/say";

/** Every part of these axles that has a chance, with its name in words. */
export const axleParts = <
  Axle extends { name: string; brakes: Schemas["Brakes"]; pads: number | null; rotors: number | null },
>(
  axles: readonly Axle[],
): { label: string; axle: Axle; part: "pads" | "rotors"; chance: number }[] =>
  axles.flatMap((axle) =>
    (["pads", "rotors"] as const).flatMap((part) => {
      const chance = axle[part];
      const text = say(part === "pads" ? texts.axlePads : texts.axleRotors, { axle: upperFirst(axleWord(axle.name)) });
      const label = ofBrake(text, axle.brakes);
      return chance === null ? [] : [{ label, axle, part, chance }];
    }),
  );
