import { lazyApi } from "../../api/lazyApi";
import type { Schemas } from "../../api/client";
import { FormState } from "../../parts/formState.svelte";
import { daysFrom, type Mark } from "../../parts/timelineScale";
import { undo } from "../../parts/undo.svelte";
import { say } from "../../texts/say";
import * as undos from "../../texts/undo";

const DAY_MS = 86_400_000;

/** A planned trip that is looked at on other days, by dragging it or by a date: what it would do there, and moving it. */
export class TripMove {
  entry = $state<number | null>(null);
  days = $state(0);
  /** the server's answer for those days */
  moved = $state.raw<Schemas["MovedTrip"] | null>(null);
  readonly form = new FormState();
  #turn = 0;

  constructor(
    readonly planned: () => Schemas["Planned"][],
    readonly today: () => string,
    readonly reload: () => Promise<void>,
  ) {}

  get row(): Schemas["Planned"] | undefined {
    return this.planned().find((row) => row.id === this.entry);
  }
  /** The day it would begin. */
  get from(): string {
    return new Date(Date.parse(this.today()) + Math.round(this.days) * DAY_MS).toISOString().slice(0, 10);
  }
  get changed(): boolean {
    return this.row !== undefined && this.row.from !== this.from;
  }

  hold = (mark: Mark): void => {
    if (this.entry !== mark.entry) this.look(this.planned().find((row) => row.id === mark.entry)!);
  };
  to = (days: number): void => {
    this.days = days;
  };
  let = (): void => void this.ask();

  look(row: Schemas["Planned"]): void {
    [this.entry, this.days, this.moved] = [row.id, Math.max(daysFrom(this.today(), row.from), 0), null];
    this.form.clear();
  }
  on(day: string): void {
    if (!day) return;
    this.days = daysFrom(this.today(), day);
    void this.ask();
  }
  cancel = (): void => {
    [this.entry, this.moved] = [null, null];
    this.form.clear();
  };

  /** The newest question counts. */
  async ask(): Promise<void> {
    const turn = ++this.#turn;
    if (this.entry === null) return;
    await this.form.act(async () => {
      const moved = await lazyApi.movedTrip(this.entry!, this.from);
      if (turn === this.#turn) this.moved = moved;
    });
  }
  async keep(): Promise<void> {
    const row = this.row!;
    if (!(await this.form.act(() => lazyApi.moveTrip(row.id, this.from, row.revision)))) return;
    this.cancel();
    await this.reload();
    undo.offer(say(undos.nameMoved, { name: row.name }), async () => {
      await lazyApi.moveTrip(row.id, row.from);
      await this.reload();
    });
  }
}
