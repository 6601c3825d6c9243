import { api, Refusal, type Fault, type Schemas } from "../api/client";
import { BenchDevices } from "./benchDevices.svelte";
import { DraftKeeper } from "./draftKeeper.svelte";
import { conditions, differences, emptyContent, emptyEntry, lookOver, tokens, type Content, type Doubt, type Place, type Wheel } from "./lookOverContent";
import { RoundEntries } from "./roundEntries.svelte";

export type { Place };
type Question = Schemas["Question"];

const PREVIEW_DELAY_MS = 120;
const MOST_PLACES = 12;

/** One look-over of a whole vehicle while it is being entered: every key is kept on the server, and the sections follow. */
export class WalkRound extends RoundEntries {
  preview = $state.raw<Schemas["Preview"] | null>(null);
  readonly bench = new BenchDevices();
  error = $state.raw<unknown>(null);
  refused = $state.raw<Fault[]>([]);
  saving = $state(false);
  /** the last save did not reach the server */
  unreached = $state(false);
  draft: DraftKeeper;
  /** what another window has of this look-over; content null: it has saved it */
  theirs = $state.raw<{ content: Content | null; revision: number } | null>(null);
  /** a value a device sent for a field in which something was typed: the owner chooses */
  offered = $state.raw<{ at: string; text: string; typed: string; take: () => void } | null>(null);
  /** the last thing done by one key or tap, and how it was before */
  undoable = $state.raw<{ said: string; back: () => Promise<void> | void } | null>(null);

  #previewTimer: ReturnType<typeof setTimeout> | undefined;
  #previewTurn = 0;
  /** the question last put at a position, and the value it was about */
  #asked: Record<string, Doubt> = {};

  constructor(
    readonly vehicle: number,
    onlyAxle: number | null,
  ) {
    super(onlyAxle);
    this.draft = new DraftKeeper(vehicle, () => void this.#meet());
  }

  async load(): Promise<void> {
    try {
      const [round, kept] = await Promise.all([api.walkRound(this.vehicle), this.draft.load(), this.bench.load()]);
      this.round = round;
      this.content = (kept as unknown as Content | null) ?? emptyContent(round);
      this.#complete(round);
      await this.#look();
    } catch (error) {
      this.error = error;
    }
  }

  /** A position that has come up since the draft was begun gets its empty entry. */
  #complete(round: Schemas["WalkRound"]): void {
    for (const place of round.wheels.flatMap((wheel) => wheel.positions)) {
      this.content!.entries[place.id] ??= emptyEntry(place);
    }
  }

  measured(place: Place): Schemas["PositionRead"] | undefined {
    const at = this.#indexOf(place);
    return this.preview?.positions.find((line) => line.at === at);
  }

  faultOf(field: string): Fault | undefined {
    return [...this.refused, ...(this.preview?.faults ?? [])].find((fault) => fault.field === field);
  }

  faultAt(place: Place): Fault | undefined {
    if (!this.isFilled(place)) return undefined;
    const prefix = `readings.${this.#indexOf(place)}.`;
    return (this.preview?.faults ?? this.refused).find((fault) => fault.field.startsWith(prefix));
  }

  /** Does something that can be taken back at once. */
  deed(said: () => string, change: () => void): void {
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
    if (this.round) this.#complete(this.round);
    this.changed();
  }

  /** Another value is another question: what was answered before does not count for it, and stays on file. */
  retyped(place: Place): void {
    const entry = this.entry(place);
    const asked = this.#asked[place.id];
    // Half a number is still being typed, not measured again.
    const typingOn = asked?.value && entry.text.trim().startsWith(asked.value);
    if (asked && !typingOn && !entry.doubts.some((doubt) => doubt.value === asked.value && doubt.code === asked.code)) entry.doubts.push({ ...asked, answer: "again" });
    entry.answer = null;
    this.changed();
  }

  questionAt(place: Place): Question | null {
    return this.measured(place)?.question ?? null;
  }

  answer(place: Place, answer: Schemas["QuestionAnswer"]): void {
    const question = this.questionAt(place);
    if (!question) return;
    const entry = this.entry(place);
    if (answer.id === "keep" || answer.id === "earlier_wrong") {
      entry.answer = entry.answer === answer.id ? null : answer.id;
    } else {
      this.#note(place, question, answer.id as Doubt["answer"]);
      if (answer.id === "other_unit" && answer.unit) entry.unit = answer.unit;
      if (answer.id === "with_plate") entry.overall = true;
      if (answer.id === "fitted") this.#fit(place);
      if (answer.id === "swap") this.#swap(place, question);
    }
    this.changed();
  }

  /** New parts went on where this was read: the readings of the axle are theirs. */
  #fit(place: Place): void {
    const axle = this.wheels.find((wheel) => wheel.positions.some((other) => other.id === place.id))!.axle;
    if (!this.isNew(axle, place.part)) this.toggleFit(axle, place.part as "pad" | "rotor");
  }

  #note(place: Place, question: Question, answer: Doubt["answer"]): void {
    this.entry(place).doubts.push({ code: question.code, question: question.sentence, value: this.values(place)[0] ?? null, unit: this.entry(place).unit, answer });
  }

  #swap(place: Place, question: Question): void {
    const [, other] = this.filled[question.other! - this.content!.fits.length] ?? [];
    if (!other) return;
    this.#note(other, question, "swap");
    const [mine, theirs] = [this.entry(place), this.entry(other)];
    const [text, places, upper] = [mine.text, mine.places, mine.upper];
    [mine.text, mine.places, mine.upper] = [theirs.text, theirs.places, theirs.upper];
    [theirs.text, theirs.places, theirs.upper] = [text, places, upper];
  }

  answerOdometer(answer: Schemas["QuestionAnswer"]): void {
    if (answer.id === "keep") this.content!.keepOdometer = true;
    if (answer.id === "other_unit" && answer.unit) this.content!.unit = answer.unit as "km" | "mi";
    this.changed();
  }

  /** Takes a place of several and makes room for the next. */
  takePlace(place: Place): boolean {
    const entry = this.entry(place);
    if (!entry.text.trim() || entry.places.length >= Math.min(place.places, MOST_PLACES) - 1) return false;
    entry.places.push(...tokens(entry.text));
    entry.text = "";
    this.changed();
    return true;
  }

  dropPlace(place: Place, at: number): void {
    this.entry(place).places.splice(at, 1);
    this.retyped(place);
  }

  /** Has the chosen device send a value; it lands where the hands are. */
  async sendFrom(wheel: Wheel, place: Place): Promise<boolean> {
    const device = this.bench.find(this.content?.device);
    if (!device?.method || place.part === "runout") return false;
    const sample = await this.bench.ask(device, { vehicle: this.vehicle, quantity: "length", axle: wheel.axle, part: place.part, side: place.side, pad: place.pad });
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

  /** What was typed is never overwritten unasked. True when the value was taken at once. */
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
    const typed = content.simulated?.[quantity] ? "" : ((quantity === "odometer" ? content.odometer : content.figures.fluid_level) ?? "").trim();
    this.#offer(quantity, `${sample.value}${sample.unit === "fraction" ? "" : ` ${sample.unit}`}`, typed, () => {
      if (quantity === "odometer") [content.odometer, content.unit] = [sample.value, sample.unit as "km" | "mi"];
      else content.figures.fluid_level = sample.value;
      content.simulated = { ...content.simulated, [quantity]: sample.simulated };
      this.changed();
    });
  }

  /** What can only be seen now goes straight into the brake data. The fault of the entry, or nothing. */
  async tell(wheel: Wheel, ask: Schemas["Ask"], value: string, unit: string): Promise<string> {
    try {
      await api.recordBrakeData(wheel.axle, { entries: [{ key: ask.key, value: value.trim(), unit: ask.units.length ? unit : null, source: ask.key.startsWith("rotor.") && ask.units.length ? "cast" : "measured" }] });
      this.round = await api.walkRound(this.vehicle);
      this.#complete(this.round);
      await this.#look();
      return "";
    } catch (error) {
      return error instanceof Refusal ? (error.faults[0]?.message ?? error.message) : String(error);
    }
  }

  async walk(order: Schemas["WalkOrder"]): Promise<void> {
    await api.walkOrder(order);
    this.round = await api.walkRound(this.vehicle);
    this.#complete(this.round);
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
      const preview = await api.preview(this.vehicle, this.#body());
      if (turn !== this.#previewTurn) return;
      this.preview = preview;
      this.#remember();
    } catch (error) {
      if (turn === this.#previewTurn && error instanceof Refusal) this.refused = error.faults;
    }
  }

  #remember(): void {
    for (const [, place] of this.filled) {
      const question = this.questionAt(place);
      if (question) this.#asked[place.id] = { code: question.code, question: question.sentence, value: this.values(place)[0] ?? null, unit: this.entry(place).unit, answer: "again" };
      else delete this.#asked[place.id];
    }
  }

  #indexOf(place: Place): number {
    return this.content!.fits.length + this.filled.findIndex(([, other]) => other.id === place.id);
  }

  #body(): Schemas["LookOver"] {
    return lookOver($state.snapshot(this.content!) as Content, this.filled);
  }

  /** What is wrong with a figure of the vehicle. */
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
      await api.logLookOver(this.vehicle, { ...this.#body(), draft_revision: this.draft.revision });
      this.draft.done();
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

  /** Everything entered goes into the bin, and can be had back. */
  async startOver(): Promise<void> {
    const binned = await this.draft.drop();
    if (this.round) this.content = emptyContent(this.round);
    if (this.round) this.#complete(this.round);
    await this.#look();
    if (binned === null) return;
    this.undoable = { said: "Started over; what was entered is in the bin", back: () => api.restoreDraft(binned).then(() => this.load()) };
  }

  /** Another window was faster: both versions are shown, and nothing is overwritten before its owner has chosen. */
  async #meet(): Promise<false> {
    this.draft.elsewhere();
    const { draft } = await api.draft(this.vehicle);
    this.theirs = { content: (draft?.content as unknown as Content) ?? null, revision: draft?.revision ?? 0 };
    return false;
  }

  get differences(): [string, string, string][] {
    return this.theirs?.content ? differences(this.wheels, $state.snapshot(this.content) as Content, this.theirs.content) : [];
  }

  async takeTheirs(): Promise<void> {
    const mine = $state.snapshot(this.content) as Content;
    this.theirs = null;
    await this.load();
    this.undoable = { said: "Took over what the other window has", back: () => this.#putBack(mine) };
  }

  keepMine(): void {
    this.draft.goOnFrom(this.theirs!.revision);
    this.theirs = null;
    this.changed();
  }
}
