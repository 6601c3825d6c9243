import { api, Refusal, type Fault, type Schemas } from "../api/client";

type Part = "pad" | "rotor";

export interface Position {
  id: string;
  part: Part;
  side: "left" | "right";
  pad: "inner" | "outer" | null;
  text: string;
  /** gauge: the smallest leaf that does not go in */
  upper: string;
  /** rotor: places already taken */
  places: string[];
  method: string;
  unit: string;
  overall: boolean;
  keep: boolean;
}

interface Content {
  date: string;
  odometer: string;
  unit: "km" | "mi";
  note: string;
  newSet: boolean;
  newRotors: boolean;
  positions: Position[];
}

const DRAFT_DELAY_MS = 400;
const PREVIEW_DELAY_MS = 120;

/** One look-over of one axle while it is being entered: every key is kept on the server, and the section follows. */
export class WalkRound {
  content = $state<Content>({ date: "", odometer: "", unit: "km", note: "", newSet: false, newRotors: false, positions: [] });
  preview = $state.raw<Schemas["Preview"] | null>(null);
  wear = $state.raw<Schemas["Wear"] | null>(null);
  catalogue = $state.raw<Schemas["Catalogue"] | null>(null);
  error = $state.raw<unknown>(null);
  refused = $state.raw<Fault[]>([]);
  kept = $state<"" | "keeping" | "kept" | "elsewhere" | "not kept">("");
  saving = $state(false);

  #revision = 0;
  #draftTimer: ReturnType<typeof setTimeout> | undefined;
  #previewTimer: ReturnType<typeof setTimeout> | undefined;
  #previewTurn = 0;
  #keeping: Promise<void> = Promise.resolve();
  #done = false;

  constructor(readonly axle: number) {}

  async load(): Promise<void> {
    try {
      const [catalogue, wear, { draft }] = await Promise.all([api.catalogue(), api.wear(this.axle), api.draft(this.axle)]);
      this.catalogue = catalogue;
      this.wear = wear;
      this.content = draft ? (draft.content as unknown as Content) : this.#empty(wear, catalogue.today);
      this.#revision = draft?.revision ?? 0;
      if (draft) this.kept = "kept";
      await this.#look();
    } catch (error) {
      this.error = error;
    }
  }

  #empty(wear: Schemas["Wear"], today: string): Content {
    const positions = wear.axle_name.sides.flatMap((side) =>
      (["inner", "outer", null] as const).map((pad): Position => {
        const part: Part = pad ? "pad" : "rotor";
        return { id: [side, pad].filter(Boolean).join("_"), part, side: side as "left" | "right", pad, text: "", upper: "", places: [], method: pad ? "caliper" : "micrometer", unit: "mm", overall: false, keep: false };
      }),
    );
    return { date: today, odometer: "", unit: wear.axle_name.distance_unit, note: "", newSet: false, newRotors: false, positions };
  }

  get filled(): Position[] {
    return this.content.positions.filter((position) => this.values(position).length > 0);
  }

  values(position: Position): string[] {
    return [...position.places, position.text.trim()].filter(Boolean);
  }

  /** What the log so far lets one expect at a position, in mm. */
  expected(position: Position): number | null {
    if (position.part === "pad" ? this.content.newSet : this.content.newRotors) return null;
    return this.wear?.components.find((component) => component.position === position.id)?.now_mm ?? null;
  }

  measured(position: Position): Schemas["Preview"]["positions"][number] | undefined {
    const at = this.#indexOf(position);
    return this.preview?.positions.find((line) => line.at === at);
  }

  /** What is wrong or doubtful at a field: from the last save, else from the preview. */
  faultOf(field: string): Fault | undefined {
    return [...this.refused, ...(this.preview?.faults ?? [])].find((fault) => fault.field === field);
  }

  faultAt(position: Position): Fault | undefined {
    const prefix = `readings.${this.#indexOf(position)}.`;
    const faults = this.refused.length ? this.refused : (this.preview?.faults ?? []);
    return this.values(position).length ? faults.find((fault) => fault.field.startsWith(prefix)) : undefined;
  }

  nextMethod(position: Position): void {
    const methods = this.methods(position.part);
    const next = methods[(methods.findIndex((method) => method.id === position.method) + 1) % methods.length]!;
    this.#onwards(position, (other) => {
      other.method = next.id;
      if (!next.units.includes(other.unit)) other.unit = next.units[0]!;
    });
  }

  nextUnit(position: Position): void {
    const units = this.methods(position.part).find((method) => method.id === position.method)?.units ?? ["mm"];
    const unit = units[(units.indexOf(position.unit) + 1) % units.length]!;
    this.#onwards(position, (other) => (other.unit = unit));
  }

  togglePlate(position: Position): void {
    if (position.part !== "pad") return;
    const overall = !position.overall;
    this.#onwards(position, (other) => (other.overall = overall));
  }

  /** Another value is another question: what was kept before does not count for it. */
  retyped(position: Position): void {
    position.keep = false;
    this.changed();
  }

  toggleKeep(position: Position): void {
    position.keep = !position.keep;
    this.changed();
  }

  toggleNewSet(): void {
    this.content.newSet = !this.content.newSet;
    this.changed();
  }

  toggleNewRotors(): void {
    this.content.newRotors = !this.content.newRotors;
    this.changed();
  }

  /** Takes a rotor's place and makes room for the next. */
  takePlace(position: Position): boolean {
    if (position.part !== "rotor" || !position.text.trim() || position.places.length >= 11) return false;
    position.places.push(...position.text.trim().split(/\s+/));
    position.text = "";
    this.changed();
    return true;
  }

  dropPlace(position: Position, at: number): void {
    position.places.splice(at, 1);
    this.changed();
  }

  methods(part: Part) {
    return this.catalogue?.methods.filter((method) => method.parts.includes(part)) ?? [];
  }

  /** A change of method or unit holds for the positions still to come, as one keeps the tool in hand. */
  #onwards(position: Position, change: (position: Position) => void): void {
    const from = this.content.positions.indexOf(position);
    this.content.positions.forEach((other, at) => {
      if (at === from || (at > from && other.part === position.part && this.values(other).length === 0)) change(other);
    });
    this.changed();
  }

  changed(): void {
    if (this.#done) return;
    this.refused = [];
    clearTimeout(this.#draftTimer);
    clearTimeout(this.#previewTimer);
    if (this.kept !== "elsewhere") {
      this.kept = "keeping";
      this.#draftTimer = setTimeout(() => (this.#keeping = this.#keep()), DRAFT_DELAY_MS);
    }
    this.#previewTimer = setTimeout(() => this.#look(), PREVIEW_DELAY_MS);
  }

  /** When the page goes away: what is still waiting is sent at once. */
  flush(): void {
    if (this.kept !== "keeping" || this.#done) return;
    clearTimeout(this.#draftTimer);
    this.#keeping = this.#keep();
  }

  async #keep(): Promise<void> {
    await this.#keeping;
    if (this.#done) return;
    try {
      const draft = await api.keepDraft(this.axle, { content: $state.snapshot(this.content) as unknown as Record<string, never>, revision: this.#revision });
      this.#revision = draft.revision;
      this.kept = "kept";
    } catch (error) {
      this.kept = error instanceof Refusal && error.status === 409 ? "elsewhere" : "not kept";
    }
  }

  async #look(): Promise<void> {
    const turn = ++this.#previewTurn;
    try {
      const preview = await api.preview(this.axle, this.#body());
      if (turn === this.#previewTurn) this.preview = preview;
    } catch (error) {
      if (turn === this.#previewTurn && error instanceof Refusal) this.refused = error.faults;
    }
  }

  #fits(): Schemas["Reading"][] {
    const parts: ("pad" | "rotor")[] = [...(this.content.newSet ? ["pad" as const] : []), ...(this.content.newRotors ? ["rotor" as const] : [])];
    return parts.map((part) => ({ part, event: "fit" }));
  }

  #indexOf(position: Position): number {
    return this.#fits().length + this.filled.findIndex((other) => other.id === position.id);
  }

  #body(): Schemas["LookOver"] {
    const readings = this.filled.map((position): Schemas["Reading"] => ({
      part: position.part,
      side: position.side,
      pad: position.pad,
      event: "reading",
      method: position.method,
      values: this.values(position),
      upper: position.method === "gauge" ? position.upper.trim() || null : null,
      unit: position.unit,
      overall: position.overall,
      keep: position.keep,
    }));
    return { date: this.content.date, odometer: { value: this.content.odometer, unit: this.content.unit }, note: this.content.note || null, readings: [...this.#fits(), ...readings] };
  }

  /** True when it was saved. */
  async save(): Promise<boolean> {
    this.saving = true;
    try {
      clearTimeout(this.#draftTimer);
      await this.#keeping;
      await api.logLookOver(this.axle, this.#body());
      this.#done = true;
      return true;
    } catch (error) {
      if (!(error instanceof Refusal)) throw error;
      this.refused = error.faults;
      this.error = error.faults.length ? null : error;
      this.#draftTimer = setTimeout(() => (this.#keeping = this.#keep()), 0);
      return false;
    } finally {
      this.saving = false;
    }
  }

  async startOver(): Promise<void> {
    await this.#keeping;
    await api.dropDraft(this.axle);
    this.#revision = 0;
    this.kept = "";
    if (this.wear && this.catalogue) this.content = this.#empty(this.wear, this.catalogue.today);
    await this.#look();
  }

  /** Another window went on with this look-over: take over what it has. */
  async takeTheirs(): Promise<void> {
    this.kept = "";
    await this.load();
  }
}
