import { Refusal } from "../api/client";

/** A form's refusal, by field, until the server accepts it. Throws any other error. */
export class FormState {
  refused = $state.raw<Refusal | null>(null);
  busy = $state(false);

  /** The sentence under a field: its own, or that of a part of it. */
  fault = (field: string): string => this.#found(field)?.message ?? "";
  code = (field: string): string => this.#found(field)?.code ?? "";
  /** The first thing that is wrong, whatever the field. */
  get first(): string {
    return this.refused ? (this.refused.faults[0]?.message ?? this.refused.message) : "";
  }
  #found = (field: string) =>
    this.refused?.faults.find((each) => each.field === field || each.field.startsWith(`${field}.`));

  clear(): void {
    this.refused = null;
  }

  /** True when it was taken. */
  async act(action: () => Promise<unknown>): Promise<boolean> {
    this.busy = true;
    try {
      await action();
      this.refused = null;
      return true;
    } catch (error) {
      if (!(error instanceof Refusal)) throw error;
      this.refused = error;
      return false;
    } finally {
      this.busy = false;
    }
  }
}
