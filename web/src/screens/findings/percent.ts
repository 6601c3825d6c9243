import * as texts from "../../texts/findings";

/** A share as a chance, never surer than it is. */
export const percent = (share: number): string =>
  share < 0.01 ? texts.under1 : share > 0.99 ? texts.over99 : `${Math.round(share * 100)} %`;
