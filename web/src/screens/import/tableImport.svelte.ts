import { lazyApi } from "../../api/lazyApi";
import { Refusal, type Schemas } from "../../api/client";

type Mapping = Schemas["Mapping"];
const POLL_MS = 300;

/** An import: uploaded, its columns mapped, checked, then saved. */
export class TableImport {
  earlier = $state.raw<Schemas["Import"][]>([]);
  table = $state.raw<Schemas["UploadedTable"] | null>(null);
  mapping = $state<Mapping | null>(null);
  trial = $state.raw<Schemas["ImportResult"] | null>(null);
  running = $state.raw<Schemas["Import"] | null>(null);
  done = $state.raw<Schemas["Import"] | null>(null);
  error = $state.raw<unknown>(null);
  busy = $state(false);
  #turn = 0;

  constructor(readonly vehicle: number) {}

  async load(): Promise<void> {
    await this.#act(async () => (this.earlier = (await lazyApi.imports(this.vehicle)).imports));
  }

  async upload(file: File): Promise<void> {
    this.done = null;
    await this.#act(async () => {
      this.table = await lazyApi.upload(this.vehicle, file);
      this.mapping = this.table.guess;
    });
    if (this.mapping) await this.try();
  }

  /** What the current mapping would import. */
  async try(): Promise<void> {
    const turn = ++this.#turn;
    await this.#act(async () => {
      const trial = await lazyApi.tryImport(this.table!.id, $state.snapshot(this.mapping) as Mapping);
      if (turn === this.#turn) this.trial = trial;
    });
  }

  /** Whether a new set went on at a row the table does not say it of. */
  renewal(line: number, is: boolean): void {
    const others = (this.mapping!.renewals ?? []).filter((each) => each.line !== line);
    this.mapping!.renewals = [...others, { line, new: is }];
    void this.try();
  }

  async run(): Promise<void> {
    await this.#act(async () => {
      this.running = await lazyApi.runImport(this.table!.id, $state.snapshot(this.mapping) as Mapping);
      while (this.running.state === "running") {
        await new Promise((resolve) => setTimeout(resolve, POLL_MS));
        this.running = await lazyApi.importState(this.running.id);
      }
      if (this.running.failed) throw new Error(this.running.failed);
      [this.done, this.table, this.mapping, this.trial] = [this.running, null, null, null];
    });
    this.running = null;
    this.earlier = (await lazyApi.imports(this.vehicle)).imports;
  }

  async undo(id: number): Promise<void> {
    await this.#act(async () => void (await lazyApi.undoImport(id)));
    this.done = null;
    await this.load();
  }

  /** The meaning of a column: an index into the readings, or the day, the odometer, the note, nothing. */
  roleOf(column: number): string {
    const mapping = this.mapping!;
    if (mapping.date.column === column) return "date";
    if (mapping.odometer.column === column) return "odometer";
    if (mapping.note?.column === column) return "note";
    const at = mapping.readings.findIndex((reading) => reading.column === column);
    return at >= 0 ? "reading" : (this.#named(column) ?? "");
  }

  /** In a table with one reading a row: what of it the column says. */
  #named(column: number): string | null {
    const reading = this.mapping!.readings[0] as Record<string, { column?: number } | undefined> | undefined;
    return (
      Object.entries(reading ?? {}).find(([, where]) => typeof where === "object" && where?.column === column)?.[0] ??
      null
    );
  }

  setRole(column: number, role: string): void {
    const mapping = this.mapping!;
    if (mapping.date.column === column) mapping.date.column = null;
    if (mapping.odometer.column === column) mapping.odometer.column = null;
    if (mapping.note?.column === column) mapping.note = null;
    mapping.readings = mapping.readings.filter((reading) => reading.column !== column);
    const first = mapping.readings[0] as Record<string, unknown> | undefined;
    if (first)
      for (const [field, where] of Object.entries(first))
        if (field !== "column" && (where as { column?: number })?.column === column) delete first[field];
    if (role === "date") mapping.date.column = column;
    else if (role === "odometer") mapping.odometer.column = column;
    else if (role === "note") mapping.note = { column };
    else if (role === "reading")
      mapping.readings.push({
        column,
        axle: { is: "front" },
        side: { is: "left" },
        part: { is: "pad" },
        pad: { is: "inner" },
        method: { is: "caliper" },
        unit: { is: "mm" },
      });
    else if (role && first) (first as Record<string, unknown>)[role] = { column };
    void this.try();
  }

  async #act(action: () => Promise<unknown>): Promise<void> {
    this.busy = true;
    try {
      await action();
      this.error = null;
    } catch (error) {
      this.trial = error instanceof Refusal && error.faults.length ? null : this.trial;
      this.error = error;
    } finally {
      this.busy = false;
    }
  }
}
