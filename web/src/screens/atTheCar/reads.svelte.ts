import { beside } from "../../api/beside";
import type { Schemas } from "../../api/client";
import { FormState } from "../../parts/formState.svelte";
import type { JobPlanState } from "../../parts/jobPlan.svelte";

type Ask = Schemas["StepRead"];
type Answer = "keep" | null;

/** What is measured at a step, as it is typed: saved in one go, what is doubtful asked about once. */
export class Reads {
  readonly form = new FormState();
  values = $state<Record<string, string>>({});
  units = $state<Record<string, string>>({});
  methods = $state<Record<string, string>>({});
  odometer = $state("");
  /** Questions that were answered with “keep it”. */
  kept = $state<Record<string, Answer>>({});
  keptOdometer = $state(false);
  saved = $state(false);

  constructor(
    readonly job: JobPlanState,
    readonly step: string,
    readonly asks: Ask[],
  ) {
    this.odometer = job.plan!.odometer.value ?? "";
    for (const ask of asks) [this.units[ask.id], this.methods[ask.id]] = [ask.unit ?? "", ask.method ?? ""];
  }

  get filled(): Ask[] {
    return this.asks.filter((ask) => this.values[ask.id]?.trim());
  }
  /** The first reading of a day says where the odometer stands. */
  get wantsOdometer(): boolean {
    return !this.job.plan!.odometer.known && this.asks.some((ask) => ["reading", "figure"].includes(ask.kind));
  }

  /** The field of an entry in what was sent: "readings.0", "conditions.0", ... */
  #place(ask: Ask): string {
    const list = LISTS[ask.kind]!;
    return `${list}.${this.filled.filter((each) => LISTS[each.kind] === list).indexOf(ask)}`;
  }
  fault = (ask: Ask): string => (this.filled.includes(ask) ? this.form.fault(this.#place(ask)) : "");
  questioned = (ask: Ask): boolean => this.filled.includes(ask) && this.form.code(this.#place(ask)) === "questioned";

  async save(): Promise<boolean> {
    this.saved = false;
    const taken = await this.form.act(
      async () => (this.job.plan = await beside.recordReadings(this.job.id, this.#sent())),
    );
    if (taken) [this.values, this.kept, this.saved] = [{}, {}, true];
    return taken;
  }

  #sent(): Schemas["JobReadings"] {
    const of = (kind: string) => this.filled.filter((ask) => ask.kind === kind);
    const value = (ask: Ask) => this.values[ask.id]!.trim();
    return {
      step: this.step,
      odometer: this.wantsOdometer
        ? { value: this.odometer, unit: this.job.plan!.odometer.unit, keep: this.keptOdometer }
        : null,
      readings: of("reading").map((ask) => ({
        axle: ask.axle_id!,
        part: ask.part as Schemas["Reading"]["part"],
        side: ask.side as Schemas["Reading"]["side"],
        pad: ask.pad as Schemas["Reading"]["pad"],
        event: "reading",
        method: this.methods[ask.id] as Schemas["Reading"]["method"],
        values: value(ask).split(/\s+/),
        unit: this.units[ask.id] as Schemas["Reading"]["unit"],
        answer: this.kept[ask.id] ?? null,
      })),
      conditions: of("figure").map((ask) => ({ item: ask.key!, value: value(ask) })),
      data: of("data").map((ask) => ({
        axle: ask.axle_id!,
        key: ask.key!,
        value: value(ask),
        unit: this.units[ask.id]!,
      })),
      fitted: of("fit").map((ask) => ({
        axle: ask.axle_id!,
        part: ask.part as "pad" | "rotor",
        value: value(ask),
        unit: this.units[ask.id]!,
      })),
    };
  }
}

const LISTS: Record<string, string> = { reading: "readings", figure: "conditions", data: "data", fit: "fitted" };
