import * as texts from "../../texts/aloud";
import { say } from "../../texts/say";
import { figure, readings, type StepGroup } from "../../format/jobs";

/** Said aloud where the device can, for those who look at the brake and not at the screen. */
export function spoken(text: string): void {
  if (!canSpeak()) return;
  window.speechSynthesis.cancel();
  window.speechSynthesis.speak(new SpeechSynthesisUtterance(text));
}
export const canSpeak = (): boolean => "speechSynthesis" in window;
export const hush = (): void => window.speechSynthesis?.cancel();

/** Units as they are said, by how they are written. */
const UNITS: Record<string, string> = {
  "N·m": texts.newtonMetres,
  "lbf·ft": texts.poundFeet,
  "lbf·in": texts.poundInches,
};

/** A step as one says it: what to do, how tight, and first of all what can hurt. */
export function told({ steps }: StepGroup): string {
  const unique = (all: string[]) => [...new Set(all)];
  const cautions = unique(
    steps.flatMap((step) => step.cautions.map(({ severity, text }) => `${texts.severities[severity] ?? ""} ${text}`)),
  );
  const torques = steps.flatMap((step) =>
    step.tighten.map((line) => {
      const [value, unit] = readings(line)[0]!;
      if (line.newton_metres === null) return say(texts.noTorque, { label: line.label });
      const tight = { label: line.label, value: figure(value), spoken: UNITS[unit] ?? unit };
      return line.angle_degrees
        ? say(texts.torqueAngle, { ...tight, degrees: line.angle_degrees })
        : say(texts.torque, tight);
    }),
  );
  return [...cautions, ...steps.map((step) => step.text), ...unique(torques)]
    .map((each) => each.trim().replace(/[^.!?]$/, "$&."))
    .join(" ");
}
