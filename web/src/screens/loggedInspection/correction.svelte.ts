import { api, type Schemas } from "../../api/client";
import { FormState } from "../../parts/formState.svelte";
import { undo } from "../../parts/undo.svelte";
import * as undos from "../../texts/undo";
import type { Loader } from "../../parts/loader.svelte";

type Reading = Schemas["LoggedReading"];
type Mark = Schemas["LoggedMark"];

type Sent = Omit<Schemas["Correction"], "reason">;

const OWN_FIELDS = ["value", "upper", "unit", "reason", "date", "odometer.value"];

/** The part of an inspection being corrected: a reading, a mark, its day and odometer, or none. */
export class Correction {
  reading = $state<number | null>(null);
  mark = $state<number | null>(null);
  itself = $state(false);
  value = $state("");
  upper = $state("");
  unit = $state("mm");
  markId = $state("");
  date = $state("");
  odometer = $state("");
  reason = $state("");
  readonly form = new FormState();

  constructor(
    readonly id: () => number,
    readonly loaded: Loader<Schemas["LoggedInspection"]>,
  ) {}

  fault = (field: string): string => this.form.fault(field);
  /** A fault that belongs to no field. */
  get other(): string {
    return this.form.refused?.faults.find((each) => !OWN_FIELDS.includes(each.field))?.message ?? "";
  }

  #open() {
    [this.reading, this.mark, this.itself, this.reason] = [null, null, false, ""];
    this.form.clear();
  }
  close = () => this.#open();
  openReading(reading: Reading) {
    this.#open();
    this.reading = reading.id;
    [this.value, this.upper, this.unit] = [reading.value ?? "", reading.upper ?? "", reading.unit ?? "mm"];
  }
  openMark(mark: Mark) {
    this.#open();
    [this.mark, this.markId] = [mark.id, mark.mark_id ?? mark.entered];
  }
  openItself(of: Schemas["LoggedInspection"]) {
    this.#open();
    [this.itself, this.date, this.odometer] = [true, of.date, of.odometer.value];
  }

  send = async (correction: Sent) => {
    const before = asItWas(this.loaded.value!, correction);
    const of = this.id();
    const kept = await this.form.act(async () => {
      this.loaded.value = await api.correct(of, { reason: this.reason, ...correction });
      this.#open();
    });
    if (kept)
      undo.offer(undos.corrected, async () => {
        this.loaded.value = await api.correct(of, { reason: undos.correctionUndone, ...before });
      });
    return kept;
  };
  saveMark = (mark: Mark) =>
    this.send({
      condition: mark.id,
      ...(mark.choices.length ? { mark: this.markId } : { value: this.markId.trim() }),
    });
  saveReading = (reading: Reading) =>
    this.send({
      reading: reading.id,
      ...(this.value.trim() === reading.value ? {} : { value: this.value.trim() }),
      ...(this.upper.trim() && this.upper.trim() !== reading.upper ? { upper: this.upper.trim() } : {}),
      ...(this.unit === reading.unit ? {} : { unit: this.unit }),
    });
  saveItself = (of: Schemas["LoggedInspection"]) =>
    this.send({
      ...(this.date === of.date ? {} : { date: this.date }),
      ...(this.odometer.trim() === of.odometer.value
        ? {}
        : { odometer: { value: this.odometer.trim(), unit: of.odometer.unit } }),
    });
}

/** The correction that puts back what another one changes. */
export function asItWas(of: Schemas["LoggedInspection"], sent: Sent): Sent {
  const back: Record<string, unknown> = { reading: sent.reading, condition: sent.condition };
  const reading = of.readings.find((each) => each.id === sent.reading);
  const mark = of.marks.find((each) => each.id === sent.condition);
  const now: Record<string, unknown> = {
    ...(reading ?? mark ?? { date: of.date, void: of.void }),
    ...(mark ? { mark: mark.mark_id, value: mark.mark_id ? undefined : mark.entered } : {}),
    ...(reading || mark ? {} : { odometer: { value: of.odometer.value, unit: of.odometer.unit } }),
  };
  for (const field of Object.keys(sent)) if (!(field in back) || back[field] === undefined) back[field] = now[field];
  return Object.fromEntries(Object.entries(back).filter(([, value]) => value !== undefined)) as Sent;
}
