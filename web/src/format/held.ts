import * as texts from "../texts/held";
import { say } from "../texts/say";

const ENOUGH = 10;

/** How many forecasts with a known end were right, and whether that says anything. */
export const heldSentence = ({ covered, known }: { covered: number; known: number }): string =>
  say(known < ENOUGH ? texts.fewForecastsHeld : texts.forecastsHeld, { covered, known });
