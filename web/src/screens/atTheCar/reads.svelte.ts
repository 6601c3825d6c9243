import { tokens } from "../../format/readings";
import { lazyApi } from "../../api/lazyApi";
import type { Schemas } from "../../api/client";
import { FormState } from "../../parts/formState.svelte";
import type { JobPlanState } from "../../parts/jobPlan.svelte";
import { toggled } from "../../parts/marks";

type Ask = Schemas["StepRead"];
type Answer = NonNullable<Schemas["Reading"]["answer"]>;

/** Answers to a question at a step; anything else is changed in the fields. */
export const ANSWERS: Answer[] = ["affirmed", "earlier_wrong", "keep"];

/** Signs of a pad without a figure. */
export const EVENTS = ["metal", "squealer", "sensor"] as const;
type PadEvent = (typeof EVENTS)[number];

/** A step's readings as typed: saved together, with one question about doubtful ones. */
export class Reads {
  readonly form = new FormState();
  values = $state<Record<string, string>>({});
  units = $state<Record<string, string>>({});
  methods = $state<Record<string, string>>({});
  /** Marks tapped since they were saved, all that hold of each thing. */
  marks = $state<Record<string, string[]>>({});
  odometer = $state("");
  /** The answer to a question about a reading. */
  answers = $state<Record<string, Answer>>({});
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
    return this.asks.filter((ask) =>
      ask.kind === "marks" ? this.marks[ask.id]?.length : this.event(ask) || this.values[ask.id]?.trim(),
    );
  }
  /** Said in place of a figure: it ran metal to metal, or its squealer or sensor has sounded. */
  event = (ask: Ask): PadEvent | undefined => EVENTS.find((event) => event === this.methods[ask.id]);
  /** Nothing typed or tapped is left behind unsaved. */
  get dirty(): boolean {
    return this.filled.length > 0 || Object.keys(this.marks).length > 0;
  }
  /** As it stands on file now. */
  #onFile = (ask: Ask): Ask | undefined =>
    this.job.plan!.steps?.find((each) => each.key === this.step)?.reads.find((each) => each.id === ask.id);
  said = (ask: Ask): string | null => this.#onFile(ask)?.said ?? null;
  /** The marks of an inspected item. */
  choices = (ask: Ask): Schemas["Mark"][] => this.job.plan!.marks.find((each) => each.item === ask.key)?.marks ?? [];
  held = (ask: Ask): string[] => this.marks[ask.id] ?? this.#onFile(ask)?.marked ?? [];
  tap(ask: Ask, mark: Schemas["Mark"]): void {
    this.saved = false;
    this.marks[ask.id] = toggled(this.held(ask), this.choices(ask), mark);
  }
  /** The first reading of a day says where the odometer stands. */
  get wantsOdometer(): boolean {
    return !this.job.plan!.odometer.known && this.asks.some((ask) => ["reading", "figure", "marks"].includes(ask.kind));
  }

  /** The field of an entry in what was sent: "readings.0", "conditions.0", ... */
  #place(ask: Ask): string {
    const list = LISTS[ask.kind]!;
    return `${list}.${this.filled.filter((each) => LISTS[each.kind] === list).indexOf(ask)}`;
  }
  fault = (ask: Ask): string => (this.filled.includes(ask) ? this.form.fault(this.#place(ask)) : "");
  questioned = (ask: Ask): boolean => this.filled.includes(ask) && this.form.code(this.#place(ask)) === "questioned";

  /** Says something to the question about a reading, and saves it so. */
  answer(ask: Ask, answer: Answer): Promise<boolean> {
    this.answers[ask.id] = answer;
    return this.save();
  }

  async save(): Promise<boolean> {
    this.saved = false;
    const taken = await this.form.act(
      async () => (this.job.plan = await lazyApi.recordReadings(this.job.id, this.#sent())),
    );
    if (!taken) return false;
    for (const ask of this.asks) if (this.event(ask)) this.methods[ask.id] = ask.method ?? "";
    [this.values, this.marks, this.answers, this.saved] = [{}, {}, {}, true];
    return taken;
  }

  #figure = (ask: Ask) => ({
    event: "reading" as const,
    method: this.methods[ask.id] as Schemas["Reading"]["method"],
    values: tokens(this.values[ask.id]!),
    unit: this.units[ask.id] as Schemas["Reading"]["unit"],
  });

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
        ...(this.event(ask) ? { event: this.event(ask)! } : this.#figure(ask)),
        answer: this.answers[ask.id] ?? null,
      })),
      conditions: [
        ...of("figure").map((ask) => ({ item: ask.key!, value: value(ask) })),
        ...of("marks").flatMap((ask) => this.marks[ask.id]!.map((mark) => ({ ...place(ask), mark }))),
      ],
      unmarked: this.asks.filter((ask) => this.marks[ask.id]?.length === 0).map(place),
      data: of("data").map((ask) => ({
        axle: ask.axle_id!,
        key: ask.key!,
        value: value(ask),
        unit: this.units[ask.id]!,
      })),
      fitted: of("fit").map((ask) => ({
        axle: ask.axle_id!,
        part: ask.part as "pad" | "rotor" | "drum",
        value: value(ask),
        unit: this.units[ask.id]!,
      })),
    };
  }
}

const place = (ask: Ask) => ({
  item: ask.key!,
  axle: ask.axle_id!,
  side: ask.side as "left" | "right",
  face: ask.pad as "inner" | "outer" | null,
});
const LISTS: Record<string, string> = {
  reading: "readings",
  figure: "conditions",
  data: "data",
  fit: "fitted",
  marks: "marks",
};
