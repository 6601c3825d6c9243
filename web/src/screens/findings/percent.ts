import * as texts from "../../texts/findings";

/** A share as a chance, never surer than it is. */
export const percent = (share: number): string =>
  share < 0.01 ? texts.chanceTiny : share > 0.99 ? texts.chanceNearCertain : `${Math.round(share * 100)} %`;
