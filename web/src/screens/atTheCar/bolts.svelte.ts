import { usualUnit } from "../../format/units";
import { lazyApi } from "../../api/lazyApi";
import { Refusal, type Schemas } from "../../api/client";
import * as texts from "../../texts/atTheCar";
import { FormState } from "../../parts/formState.svelte";
import type { JobPlanState } from "../../parts/jobPlan.svelte";

type Line = Schemas["TorqueBrief"];
type Answer = "renewed" | "loosened" | "kept";

const SIDES = [texts.left, texts.right];

/** The bolts of one line of a step: which are tight, and the entry of the current one. */
export class Bolts {
  readonly form = new FormState();
  /** The bolt whose figure is entered, or null. */
  open = $state<number | null>(null);
  reached = $state("");
  angle = $state("");
  because = $state("");
  unit = $state<string>("N·m");
  simulated = $state(false);

  constructor(
    readonly job: JobPlanState,
    readonly step: string,
    readonly line: Line,
  ) {
    this.unit = line.wrench?.unit ?? line.entered_unit ?? usualUnit(["N·m", "lbf·ft", "lbf·in"]);
  }

  readonly tightened = $derived.by(() =>
    (this.job.plan?.torques ?? []).filter(
      (each) => each.step === this.step && each.axle === this.line.axle && each.fastener === this.line.fastener,
    ),
  );
  /** In the order they are tightened; of a wheel's star order once for each wheel. */
  readonly numbers = $derived.by(() => {
    const count = this.line.count ?? 0;
    const star = this.line.star;
    if (!star?.length) return Array.from({ length: count }, (_, at) => at + 1);
    return Array.from({ length: count / star.length }, (_, wheel) =>
      star.map((nut) => nut + wheel * star.length),
    ).flat();
  });
  /** "3", or "right 3" where the same number is on both wheels. */
  name(bolt: number): string {
    const each = this.line.star?.length ?? 0;
    if (!each || (this.line.count ?? 0) <= each) return String(bolt);
    return `${SIDES[Math.floor((bolt - 1) / each)] ?? ""} ${((bolt - 1) % each) + 1}`;
  }
  of = (bolt: number) => this.tightened.find((each) => each.bolt === bolt);
  tight = (bolt: number): boolean => ["ok", "clicked", "kept", "felt"].includes(this.of(bolt)?.verdict ?? "");
  get missing(): number[] {
    return this.numbers.filter((bolt) => !this.tight(bolt));
  }

  enter(bolt: number): void {
    [this.open, this.reached, this.angle, this.because, this.simulated] = [bolt, "", "", "", false];
    this.form.clear();
  }

  /** Marks these bolts as clicked, at the wrench's setting, and turned through their angle where they have one. */
  clicked = (bolts: number[]): Promise<boolean> =>
    this.#send({ bolts, ...(this.line.angle_degrees ? { angle: String(this.line.angle_degrees) } : {}) });

  /** These were tightened by feel, as no wrench reaches them. */
  felt = (bolts: number[], because: string): Promise<boolean> => this.#send({ bolts, felt: true, because });

  async save(answer: Answer | null = null): Promise<void> {
    const taken = await this.#send({
      bolts: [this.open!],
      reached: this.reached.trim() || null,
      unit: this.unit as "N·m",
      angle: this.angle.trim() || null,
      simulated: this.simulated,
      answer,
      because: this.because.trim() || null,
    });
    if (taken) this.open = null;
  }

  /** Has the connected wrench tell its peak, and the angle after it. */
  read = (device: string): Promise<boolean> =>
    this.form.act(async () => {
      const vehicle = this.job.plan!.vehicle.id;
      const ask = (quantity: "torque" | "angle", set: number) =>
        lazyApi.deviceReading(device, { vehicle, quantity, set });
      const peak = await ask("torque", this.line.newton_metres!);
      [this.reached, this.unit, this.simulated] = [peak.value, peak.unit, peak.simulated];
      if (this.line.angle_degrees) this.angle = (await ask("angle", this.line.angle_degrees)).value;
    });

  #send = (of: Partial<Schemas["TorqueReached"]> & { bolts: number[] }): Promise<boolean> =>
    this.form.act(async () => {
      const seen = this.job.said(this.step);
      const torque = { step: this.step, axle: this.line.axle, fastener: this.line.fastener, seen };
      try {
        const wrench = this.line.wrench?.wrench ?? null;
        this.job.answered(await lazyApi.recordTorque(this.job.id, { ...torque, wrench, ...of }), null);
      } catch (error) {
        if (error instanceof Refusal && error.status === 412) this.job.answered(null, error);
        throw error;
      }
    });
}
