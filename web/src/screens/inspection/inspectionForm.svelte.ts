import * as texts from "../../texts/inspection";
import { lazyApi } from "../../api/lazyApi";
import { api, NOTHING_SEEN, Refusal, type Fault, type Schemas } from "../../api/client";
import { BenchDevices } from "./devices.svelte";
import { DraftKeeper } from "./draftKeeper.svelte";
import {
  conditions,
  differences,
  emptyContent,
  emptyEntry,
  inspection,
  type Content,
  type Place,
  type Wheel,
} from "./inspectionContent";
import { FormQuestions } from "./formQuestions.svelte";

export type { Place };

const PREVIEW_DELAY_MS = 120;

/** One inspection of a whole vehicle while it is being entered: every key is kept on the server, and the sections follow. */
export class InspectionForm extends FormQuestions {
  readonly bench = new BenchDevices();
  error = $state.raw<unknown>(null);
  refused = $state.raw<Fault[]>([]);
  saving = $state(false);
  /** the last save did not reach the server */
  unreached = $state(false);
  draft: DraftKeeper;
  /** what another window has of this inspection; content null: it has saved it */
  theirs = $state.raw<{ content: Content | null; revision: number } | null>(null);
  /** a value a device sent for a field in which something was typed: the owner chooses */
  offered = $state.raw<{ at: string; text: string; typed: string; take: () => void } | null>(null);
  /** the last thing done by one key or tap, and how it was before */
  undoable = $state.raw<{ said: string; back: () => Promise<void> | void } | null>(null);

  #previewTimer: ReturnType<typeof setTimeout> | undefined;
  #previewTurn = 0;

  constructor(
    readonly vehicle: number,
    onlyAxle: number | null,
  ) {
    super(onlyAxle);
    this.draft = new DraftKeeper(vehicle, () => void this.#meet());
  }

  async load(): Promise<void> {
    try {
      const [form, kept] = await Promise.all([api.inspectionForm(this.vehicle), this.draft.load(), this.bench.load()]);
      this.sheet = form;
      this.content = (kept as unknown as Content | null) ?? emptyContent(form);
      this.#complete(form);
      await this.#look();
    } catch (error) {
      this.error = error;
    }
  }

  /** A position that has come up since the draft was begun gets its empty entry. */
  #complete(form: Schemas["InspectionForm"]): void {
    for (const place of form.wheels.flatMap((wheel) => wheel.positions)) {
      this.content!.entries[place.id] ??= emptyEntry(place);
    }
  }

  faultOf(field: string): Fault | undefined {
    return [...this.refused, ...(this.preview?.faults ?? [])].find((fault) => fault.field === field);
  }

  faultAt(place: Place): Fault | undefined {
    if (!this.isFilled(place)) return undefined;
    const prefix = `readings.${this.indexOf(place)}.`;
    return (this.preview?.faults ?? this.refused).find((fault) => fault.field.startsWith(prefix));
  }

  /** Does something that can be undone at once. */
  action(said: () => string, change: () => void): void {
    const before = $state.snapshot(this.content) as Content;
    change();
    this.undoable = { said: said(), back: () => this.#putBack(before) };
  }

  async undo(): Promise<void> {
    const last = this.undoable;
    this.undoable = null;
    await last?.back();
  }

  #putBack(before: Content): void {
    this.content = before;
    if (this.sheet) this.#complete(this.sheet);
    this.changed();
  }

  /** Has the chosen device send a value; it lands where the hands are. */
  async sendFrom(wheel: Wheel, place: Place): Promise<boolean> {
    const device = this.bench.find(this.content?.device);
    if (!device?.method || place.part === "runout") return false;
    const sample = await this.bench.ask(device, {
      vehicle: this.vehicle,
      quantity: "length",
      axle: wheel.axle,
      part: place.part,
      side: place.side,
      pad: place.pad,
    });
    if (!sample) return false;
    const entry = this.entry(place);
    const take = () => {
      [entry.method, entry.unit, entry.event] = [device.method!, sample.unit, "reading"];
      entry.instrument = this.usual(device.method!);
      entry.text = sample.value;
      entry.simulated = sample.simulated;
      this.retyped(place);
    };
    return this.#offer(place.id, `${sample.value} ${sample.unit}`, entry.simulated ? "" : entry.text.trim(), take);
  }

  /** Never overwrites typed text unasked. True if the value was taken at once. */
  #offer(at: string, text: string, typed: string, take: () => void): boolean {
    this.offered = null;
    if (!typed) take();
    else this.offered = { at, text, typed, take: () => ((this.offered = null), take()) };
    return !typed;
  }

  /** Typed by hand: no device's value any more. */
  typed(what: string): void {
    if (this.content?.simulated) this.content.simulated[what] = false;
    this.changed();
  }

  async readVehicle(quantity: "odometer" | "fluid_level"): Promise<void> {
    const reader = this.bench.sending(quantity);
    const sample = reader && (await this.bench.ask(reader, { vehicle: this.vehicle, quantity }));
    if (!sample) return;
    const content = this.content!;
    const typed = content.simulated?.[quantity]
      ? ""
      : ((quantity === "odometer" ? content.odometer : content.figures.fluid_level) ?? "").trim();
    this.#offer(quantity, `${sample.value}${sample.unit === "fraction" ? "" : ` ${sample.unit}`}`, typed, () => {
      if (quantity === "odometer") [content.odometer, content.unit] = [sample.value, sample.unit as "km" | "mi"];
      else content.figures.fluid_level = sample.value;
      content.simulated = { ...content.simulated, [quantity]: sample.simulated };
      this.changed();
    });
  }

  /** Saves data visible only now straight into the brake data. Returns the fault of the entry, if any. */
  async tell(wheel: Wheel, ask: Schemas["Ask"], value: string, unit: string): Promise<string> {
    try {
      const entry = { key: ask.key, value: value.trim(), unit: ask.units.length ? unit : null, source: ask.source };
      await api.recordBrakeData(wheel.axle, { entries: [entry] }, NOTHING_SEEN);
      this.sheet = await api.inspectionForm(this.vehicle);
      this.#complete(this.sheet);
      await this.#look();
      return "";
    } catch (error) {
      return error instanceof Refusal ? (error.faults[0]?.message ?? error.message) : String(error);
    }
  }

  async walk(order: Schemas["InspectionOrder"]): Promise<void> {
    await lazyApi.inspectionOrder(order, this.sheet?.order.revision);
    this.sheet = await api.inspectionForm(this.vehicle);
    this.#complete(this.sheet);
    this.changed();
  }

  changed(): void {
    this.refused = [];
    this.draft.keep($state.snapshot(this.content));
    clearTimeout(this.#previewTimer);
    this.#previewTimer = setTimeout(() => this.#look(), PREVIEW_DELAY_MS);
  }

  async #look(): Promise<void> {
    const turn = ++this.#previewTurn;
    try {
      const preview = await lazyApi.preview(this.vehicle, this.#body());
      if (turn !== this.#previewTurn) return;
      this.preview = preview;
      this.remember();
    } catch (error) {
      if (turn === this.#previewTurn && error instanceof Refusal) this.refused = error.faults;
    }
  }

  #body(): Schemas["Inspection"] {
    return inspection($state.snapshot(this.content!) as Content, this.filled);
  }

  /** The fault of a figure of the vehicle. */
  figureFault(id: string): string {
    const at = conditions(this.content!).findIndex((condition) => condition.item === id);
    return (at >= 0 && this.faultOf(`conditions.${at}.value`)?.message) || "";
  }

  /** True when it was saved. */
  async save(): Promise<boolean> {
    this.saving = true;
    this.unreached = false;
    try {
      await this.draft.settle();
      if (this.draft.state === "elsewhere") return await this.#meet();
      const { id } = await api.logInspection(this.vehicle, { ...this.#body(), draft_revision: this.draft.revision });
      this.draft.done();
      await this.#sendPhotos(id);
      return true;
    } catch (error) {
      if (!(error instanceof Refusal)) throw error;
      if (error.status === 409) return await this.#meet();
      this.refused = error.faults;
      this.error = error.faults.length || error.status === 0 ? null : error;
      this.unreached = error.status === 0;
      this.draft.keep($state.snapshot(this.content));
      return false;
    } finally {
      this.saving = false;
    }
  }

  /** Keeps the photo a pad was measured in until the inspection is saved. Where nothing can be kept, it is left out. */
  async keepPhoto(place: Place, { low, high }: Schemas["PhotoMeasured"], photo: Promise<Blob>): Promise<void> {
    const { keepPhoto } = await import("./keptPhotos");
    const kept = { vehicle: this.vehicle, place: place.id, reading: `${low} ${high}`, photo: await photo };
    await keepPhoto(kept).catch(() => undefined);
  }

  /** Photos of readings that are still as measured in them go with the inspection. */
  async #sendPhotos(inspection: number): Promise<void> {
    const measured = this.filled.filter(([, place]) => this.entry(place).method === "photo");
    if (!measured.length) return;
    const { keptPhotos, dropPhotos } = await import("./keptPhotos");
    const kept = await keptPhotos(this.vehicle).catch(() => []);
    for (const [, place] of measured) {
      const { text, upper } = this.entry(place);
      const found = kept.find((each) => each.place === place.id && each.reading === `${text} ${upper}`);
      // the reading is saved either way
      if (found) await lazyApi.photographInspection(inspection, found.photo).catch(() => undefined);
    }
    await dropPhotos(this.vehicle).catch(() => undefined);
  }

  /** Moves all entries to the bin, from where they can be restored. */
  async startOver(): Promise<void> {
    const binned = await this.draft.drop();
    if (this.sheet) this.content = emptyContent(this.sheet);
    if (this.sheet) this.#complete(this.sheet);
    await this.#look();
    if (binned === null) return;
    this.undoable = {
      said: texts.startedOver,
      back: () => lazyApi.restoreDraft(binned).then(() => this.load()),
    };
  }

  /** Another window was faster: both versions are shown, and nothing is overwritten before its owner has chosen. */
  async #meet(): Promise<false> {
    this.draft.elsewhere();
    const { draft } = await api.draft(this.vehicle);
    this.theirs = { content: (draft?.content as unknown as Content) ?? null, revision: draft?.revision ?? 0 };
    return false;
  }

  get differences(): [string, string, string][] {
    return this.theirs?.content
      ? differences(this.wheels, $state.snapshot(this.content) as Content, this.theirs.content)
      : [];
  }

  async takeTheirs(): Promise<void> {
    const mine = $state.snapshot(this.content) as Content;
    this.theirs = null;
    await this.load();
    this.undoable = { said: texts.usingTheOtherVersion, back: () => this.#putBack(mine) };
  }

  keepMine(): void {
    this.draft.goOnFrom(this.theirs!.revision);
    this.theirs = null;
    this.changed();
  }
}
