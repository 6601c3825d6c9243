import { api, Refusal, type Fault, type Schemas } from "../api/client";
import { BenchDevices } from "./benchDevices.svelte";
import { DraftKeeper } from "./draftKeeper.svelte";
import { conditions, emptyContent, emptyEntry, isFilled, lookOver, tokens, valuesOf, type Content, type Doubt, type Entry, type Place, type Wheel } from "./lookOverContent";

export type { Place };
type Question = Schemas["Question"];

const PREVIEW_DELAY_MS = 120;
const MOST_PLACES = 12;

/** One look-over of a whole vehicle while it is being entered: every key is kept on the server, and the sections follow. */
export class WalkRound {
  round = $state.raw<Schemas["WalkRound"] | null>(null);
  content = $state<Content | null>(null);
  preview = $state.raw<Schemas["Preview"] | null>(null);
  readonly bench = new BenchDevices();
  error = $state.raw<unknown>(null);
  refused = $state.raw<Fault[]>([]);
  saving = $state(false);
  draft: DraftKeeper;

  #previewTimer: ReturnType<typeof setTimeout> | undefined;
  #previewTurn = 0;
  /** the question last put at a position, and the value it was about */
  #asked: Record<string, Doubt> = {};

  constructor(
    readonly vehicle: number,
    /** only this axle's wheels, when it is given */
    readonly onlyAxle: number | null,
  ) {
    this.draft = new DraftKeeper(vehicle);
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

  get wheels(): Wheel[] {
    return (this.round?.wheels ?? []).filter((wheel) => this.onlyAxle === null || wheel.axle === this.onlyAxle);
  }

  entry(place: Place): Entry {
    return this.content!.entries[place.id]!;
  }

  values(place: Place): string[] {
    return valuesOf(this.entry(place));
  }

  isFilled(place: Place): boolean {
    return isFilled(this.entry(place));
  }

  get filled(): [Wheel, Place][] {
    return (this.round?.wheels ?? []).flatMap((wheel) => wheel.positions.filter((place) => this.isFilled(place)).map((place): [Wheel, Place] => [wheel, place]));
  }

  isNew(axle: number, part: string): boolean {
    return this.content!.fits.includes(`${axle}|${part}`);
  }

  /** What the log so far lets one expect at a position, in mm; nothing of a part that is just going on. */
  expected(wheel: Wheel, place: Place): number | null {
    return this.isNew(wheel.axle, place.part) ? null : place.expected_mm;
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

  methods(part: string) {
    return this.round?.methods.filter((method) => method.parts.includes(part as never)) ?? [];
  }

  /** One key picks a way of reading, or an event that says by itself where the pad is. True when the key meant one. */
  pick(place: Place, key: string): boolean {
    const method = this.methods(place.part).find((each) => each.key === key);
    const event = place.part === "pad" ? this.round?.events.find((each) => each.key === key) : undefined;
    if (!method && !event) return false;
    const entry = this.entry(place);
    if (event) {
      entry.event = entry.event === event.id ? "reading" : (event.id as Entry["event"]);
      this.changed();
    } else {
      entry.event = "reading";
      this.#onwards(place, (other) => {
        other.method = method!.id;
        other.instrument = this.#usual(method!.id);
        if (!method!.units.includes(other.unit)) other.unit = method!.units[0]!;
      });
    }
    return true;
  }

  /** The tool last used for this way of reading, else the only one there is. */
  #usual(method: string): number | null {
    const mine = this.round!.instruments.filter((each) => each.method === method);
    const used = Object.values(this.content!.entries).find((entry) => entry.method === method && entry.instrument !== null)?.instrument;
    return used ?? (mine.length === 1 ? mine[0]!.id : null);
  }

  instrumentsFor(method: string) {
    return this.round?.instruments.filter((each) => each.method === method) ?? [];
  }

  nextInstrument(place: Place): void {
    const mine = [null, ...this.instrumentsFor(this.entry(place).method).map((each) => each.id)];
    const next = mine[(mine.indexOf(this.entry(place).instrument) + 1) % mine.length]!;
    this.#onwards(place, (other) => (other.instrument = next ?? null), this.entry(place).method);
  }

  nextMethod(place: Place): void {
    const methods = this.methods(place.part);
    const next = methods[(methods.findIndex((method) => method.id === this.entry(place).method) + 1) % methods.length]!;
    this.pick(place, next.key);
  }

  nextUnit(place: Place): void {
    const units = this.methods(place.part).find((method) => method.id === this.entry(place).method)?.units ?? ["mm"];
    const unit = units[(units.indexOf(this.entry(place).unit) + 1) % units.length]!;
    this.#onwards(place, (other) => (other.unit = unit), this.entry(place).method);
  }

  togglePlate(place: Place): void {
    if (place.part !== "pad") return;
    const overall = !this.entry(place).overall;
    this.#onwards(place, (other) => (other.overall = overall));
  }

  /** A change of tool holds for the positions of that part still to come, as one keeps it in hand. */
  #onwards(place: Place, change: (entry: Entry) => void, onlyMethod: string | null = null): void {
    const all = this.wheels.flatMap((wheel) => wheel.positions);
    for (const other of all.slice(all.findIndex((each) => each.id === place.id))) {
      const entry = this.entry(other);
      if (other.part !== place.part || (other.id !== place.id && this.isFilled(other)) || (onlyMethod && entry.method !== onlyMethod)) continue;
      change(entry);
    }
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
      if (answer.id === "swap") this.#swap(place, question);
    }
    this.changed();
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

  toggleFit(axle: number, part: "pad" | "rotor"): void {
    const key = `${axle}|${part}`;
    this.content!.fits = this.isNew(axle, part) ? this.content!.fits.filter((each) => each !== key) : [...this.content!.fits, key];
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

  marks(key: string): string[] {
    return this.content!.marks[key] ?? [];
  }

  /** Marks of one group exclude each other, and so do “sound” and everything else. */
  toggleMark(key: string, item: Schemas["LookedAt"], mark: Schemas["Mark"]): void {
    const held = this.marks(key);
    const excludes = (other: Schemas["Mark"]) => (mark.group && other.group === mark.group) || (mark.good && !mark.group) || (other.good && !other.group);
    this.content!.marks[key] = held.includes(mark.id) ? held.filter((id) => id !== mark.id) : [...held.filter((id) => !item.marks.some((other) => other.id === id && excludes(other))), mark.id];
    this.changed();
  }

  /** Every item of a wheel that has no mark yet is found in order. */
  allInOrder(wheel: Wheel): void {
    for (const [key, item] of this.rows(wheel)) {
      const good = item.marks.find((mark) => mark.good);
      if (good && this.marks(key).length === 0) this.content!.marks[key] = [good.id];
    }
    this.changed();
  }

  /** [key, item, face] of everything to look at on a wheel. */
  rows(wheel: Wheel): [string, Schemas["LookedAt"], string][] {
    const items = (this.round?.items ?? []).filter((item) => wheel.items.includes(item.id));
    return items.flatMap((item) => (item.faces ? ["inner", "outer"] : [""]).map((face): [string, Schemas["LookedAt"], string] => [`${wheel.axle}|${wheel.side}|${face}|${item.id}`, item, face]));
  }

  /** Has the chosen device send a value; it lands where the hands are. */
  async sendFrom(wheel: Wheel, place: Place): Promise<boolean> {
    const device = this.bench.find(this.content?.device);
    if (!device?.method || place.part === "runout") return false;
    const sample = await this.bench.ask(device, { vehicle: this.vehicle, quantity: "length", axle: wheel.axle, part: place.part, side: place.side, pad: place.pad });
    if (!sample) return false;
    const entry = this.entry(place);
    [entry.method, entry.unit, entry.event] = [device.method, sample.unit, "reading"];
    entry.instrument = this.#usual(device.method);
    entry.text = sample.value;
    this.retyped(place);
    return true;
  }

  async readVehicle(quantity: "odometer" | "fluid_level"): Promise<void> {
    const reader = this.bench.sending(quantity);
    const sample = reader && (await this.bench.ask(reader, { vehicle: this.vehicle, quantity }));
    if (!sample) return;
    if (quantity === "odometer") [this.content!.odometer, this.content!.unit] = [sample.value, sample.unit as "km" | "mi"];
    else this.content!.figures.fluid_level = sample.value;
    this.changed();
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
    try {
      await this.draft.settle();
      await api.logLookOver(this.vehicle, this.#body());
      this.draft.done();
      return true;
    } catch (error) {
      if (!(error instanceof Refusal)) throw error;
      this.refused = error.faults;
      this.error = error.faults.length ? null : error;
      this.draft.keep($state.snapshot(this.content));
      return false;
    } finally {
      this.saving = false;
    }
  }

  async startOver(): Promise<void> {
    await this.draft.drop();
    if (this.round) this.content = emptyContent(this.round);
    if (this.round) this.#complete(this.round);
    await this.#look();
  }

  /** Another window went on with this look-over: take over what it has. */
  async takeTheirs(): Promise<void> {
    await this.load();
  }
}
