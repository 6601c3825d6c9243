import { usualUnit } from "../../format/units";
import { undo } from "../../parts/undo.svelte";
import * as undos from "../../texts/undo";
import * as texts from "../../texts/brakeData";
import { say } from "../../texts/say";
import { lazyApi } from "../../api/lazyApi";
import { api, Refusal, type Schemas } from "../../api/client";

export type Field = Schemas["DataField"];
type Entry = Schemas["BrakeDataEntries"]["entries"][number];

interface Draft {
  text: string;
  unit: string;
  source: string;
}

/** Brake data of one axle: known values, proposals, and the server's answer to each entry. */
export class BrakeData {
  data = $state.raw<Schemas["BrakeData"] | null>(null);
  proposed = $state.raw<Schemas["Proposal"][]>([]);
  leftOut = $state.raw<string[]>([]);
  faults = $state<Record<string, string>>({});
  error = $state.raw<unknown>(null);
  said = $state("");
  /** The value that is being changed, and what was typed of each that is not saved yet. */
  open = $state<string | null>(null);
  drafts = $state<Record<string, Draft>>({});

  constructor(readonly axle: number) {}

  async load(): Promise<void> {
    try {
      this.data = await api.brakeData(this.axle);
    } catch (error) {
      this.error = error;
    }
  }

  /** Fields shown before the rest is expanded: fixed at first load, so that nothing moves on save. */
  #first = new Map<string, boolean>();
  first(field: Field): boolean {
    const now = field.looked_for || !!this.proposal(field.key);
    if (now || !this.#first.has(field.key)) this.#first.set(field.key, now || field.first);
    return this.#first.get(field.key)!;
  }

  proposal(key: string): Schemas["Proposal"] | undefined {
    return this.proposed.find((entry) => entry.key === key);
  }

  show(field: Field): void {
    this.drafts[field.key] ??= {
      text: field.value ?? "",
      unit: field.unit ?? usualUnit(field.units, field.key.split(".")[0]) ?? "",
      source: field.source ?? (field.quantity === "torque" ? "manual" : "measured"),
    };
    this.open = field.key;
  }

  /** The text of its field while it is open. */
  typed(field: Field): Draft {
    return this.drafts[field.key] ?? { text: "", unit: "", source: "" };
  }

  /** Forgets the typed text and the server's answer. */
  cancel(field: Field): void {
    delete this.drafts[field.key];
    delete this.faults[field.key];
    if (this.open === field.key) this.open = null;
  }

  /** Saves the typed text; a refused one stays, with its reason. True if it was saved or unchanged. */
  async keep(field: Field): Promise<boolean> {
    const draft = this.drafts[field.key];
    if (!draft) return true;
    const value = draft.text.trim() || null;
    const unit = field.units.length ? draft.unit : null;
    const same =
      value === field.value &&
      (value === null || (draft.source === (field.source ?? draft.source) && (unit === null || unit === field.unit)));
    if (!same) {
      if (!(await this.save([{ key: field.key, value, unit, source: value ? draft.source : null }]))) return false;
      this.#offerBack(field);
    }
    this.cancel(field);
    return true;
  }

  /** Restores the earlier value, if nothing else has changed since. */
  #offerBack(before: Field): void {
    const { key, value, unit, source } = before;
    const seen = this.data!.revision;
    undo.offer(say(undos.labelChanged, { label: before.label }), async () => {
      this.data = await api.recordBrakeData(this.axle, { entries: [{ key, value, unit, source }] }, seen);
    });
  }

  async notFound(field: Field): Promise<boolean> {
    if (!(await this.save([{ key: field.key, value: null, source: "unknown" }]))) return false;
    this.cancel(field);
    return true;
  }

  /** Of a need, the fields that are not known. */
  gaps(need: string): Field[] {
    return this.data?.fields.filter((field) => field.needed_for.includes(need) && field.value === null) ?? [];
  }

  /** True when it was saved. */
  async save(entries: Entry[]): Promise<boolean> {
    try {
      this.data = await api.recordBrakeData(this.axle, { entries }, this.data?.revision);
      for (const entry of entries) delete this.faults[entry.key];
      this.proposed = this.proposed.filter((proposal) => !entries.some((entry) => entry.key === proposal.key));
      this.said =
        entries.length === 1
          ? say(texts.savedOne, { label: this.data.fields.find((field) => field.key === entries[0]!.key)?.label })
          : say(texts.savedMany, { count: entries.length });
      this.error = null;
      return true;
    } catch (error) {
      this.said = "";
      if (!(error instanceof Refusal) || error.faults.length === 0) this.error = error;
      else
        for (const fault of error.faults)
          this.faults[entries[Number(fault.field.split(".")[1])]?.key ?? ""] = fault.message;
      return false;
    }
  }

  async propose(from: string): Promise<void> {
    try {
      const found = await lazyApi.proposals(this.axle, from);
      this.proposed = found.entries;
      this.leftOut = found.left_out;
      this.said = found.entries.length === 0 ? texts.nothingThere : "";
      this.error = null;
    } catch (error) {
      this.said = error instanceof Refusal && error.faults[0] ? error.faults[0].message : String(error);
    }
  }

  acceptAll(): Promise<boolean> {
    return this.save(this.proposed.map(({ key, value, unit, source }) => ({ key, value, unit, source })));
  }

  dismiss(): void {
    this.proposed = [];
    this.leftOut = [];
  }
}
