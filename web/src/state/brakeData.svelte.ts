import { api, Refusal, type Fault, type Schemas } from "../api/client";

type Field = Schemas["DataField"];

export interface Line {
  field: Field;
  value: string;
  unit: string;
  source: string;
}

/** Brake data being edited: what was typed, what is on file, and what the server said of each line. */
export class BrakeDataForm {
  data = $state.raw<Schemas["BrakeData"] | null>(null);
  lines = $state<Line[]>([]);
  faults = $state.raw<Record<string, Fault>>({});
  error = $state.raw<unknown>(null);
  saved = $state(false);

  constructor(readonly axle: number) {}

  async load(): Promise<void> {
    try {
      this.show(await api.brakeData(this.axle));
    } catch (error) {
      this.error = error;
    }
  }

  get changed(): Line[] {
    return this.lines.filter((line) => line.value.trim() !== (line.field.value ?? "") || (line.value !== "" && (line.unit !== (line.field.unit ?? line.unit) || line.source !== (line.field.source ?? line.source))));
  }

  async save(): Promise<void> {
    const changed = this.changed;
    if (changed.length === 0) return;
    try {
      const entries = changed.map((line) => ({ key: line.field.key, value: line.value.trim() || null, unit: line.field.units.length ? line.unit : null, source: line.value.trim() ? line.source : null }));
      this.show(await api.recordBrakeData(this.axle, { entries }));
      this.saved = true;
      this.faults = {};
      this.error = null;
    } catch (error) {
      this.saved = false;
      this.error = error;
      if (error instanceof Refusal) this.faults = Object.fromEntries(error.faults.map((fault) => [changed[Number(fault.field.split(".")[1])]?.field.key ?? "", fault]));
    }
  }

  private show(data: Schemas["BrakeData"]): void {
    this.data = data;
    this.lines = data.fields.map((field) => ({ field, value: field.value ?? "", unit: field.unit ?? field.units[0] ?? "", source: field.source ?? (field.quantity === "torque" ? "manual" : "measured") }));
  }
}
