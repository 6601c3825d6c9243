import { lazyApi } from "../../api/lazyApi";
import type { Schemas } from "../../api/client";

type Step = Schemas["AheadStep"];

/** A day to come that is looked at: dragged to on the timeline, or by the slider under it. */
export class Ahead {
  steps = $state.raw<Step[]>([]);
  at = $state(0);

  constructor(readonly vehicle: number) {}

  async load(): Promise<void> {
    try {
      this.steps = (await lazyApi.riskByDate(this.vehicle)).steps;
      this.at = Math.min(this.at, Math.max(this.steps.length - 1, 0));
    } catch {
      // The timeline stands without it.
      this.steps = [];
    }
  }

  get step(): Step | undefined {
    return this.steps[this.at];
  }

  /** To the step next to a number of days from now. */
  to(days: number): void {
    const last = this.steps.length - 1;
    if (last < 1) return;
    const every = this.steps[1]!.days;
    this.at = Math.min(Math.max(Math.round(days / every), 0), last);
  }
}
