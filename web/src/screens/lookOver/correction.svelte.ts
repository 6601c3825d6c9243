import { api, type Schemas } from "../../api/client";
import { FormState } from "../../parts/formState.svelte";
import type { Loader } from "../../parts/loader.svelte";

type Reading = Schemas["LoggedReading"];
type Mark = Schemas["LoggedMark"];

const OWN_FIELDS = ["value", "upper", "unit", "reason", "date", "odometer.value"];

/** What is being corrected of a look-over: a reading, a mark, its day and odometer, or nothing. */
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
    readonly loaded: Loader<Schemas["LoggedLookOver"]>,
  ) {}

  fault = (field: string): string => this.form.fault(field);
  /** What is wrong and belongs to none of the fields. */
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
  openItself(of: Schemas["LoggedLookOver"]) {
    this.#open();
    [this.itself, this.date, this.odometer] = [true, of.date, of.odometer.value];
  }

  send = (correction: Omit<Schemas["Correction"], "reason">) =>
    this.form.act(async () => {
      this.loaded.value = await api.correct(this.id(), { reason: this.reason, ...correction });
      this.#open();
    });
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
  saveItself = (of: Schemas["LoggedLookOver"]) =>
    this.send({
      ...(this.date === of.date ? {} : { date: this.date }),
      ...(this.odometer.trim() === of.odometer.value
        ? {}
        : { odometer: { value: this.odometer.trim(), unit: of.odometer.unit } }),
    });
}
