import type { Schemas } from "../../api/client";
import { stepGroups, type StepGroup } from "../../format/jobs";
import type { JobPlanState } from "../../parts/jobPlan.svelte";
import { Bolts } from "./bolts.svelte";
import { Reads } from "./reads.svelte";
import { outbox } from "../../parts/outbox.svelte";

/** The place in a job: its step groups, the current one, and those done. */
export class Course {
  readonly job: JobPlanState;
  /** Key of the stepGroup at hand; the first open one where none is named. */
  at = $state<string | undefined>();

  constructor(job: JobPlanState) {
    this.job = job;
  }

  /** A torque wrench that sends what it reached, or null. */
  wrench = $state.raw<Schemas["Device"] | null>(null);
  /** Its corners in three dimensions; null until they are there, as the steps do without. */
  drawing = $state.raw<Schemas["JobDrawing"] | null>(null);
  /** A diagnostic unit, or null. */
  unit = $state.raw<Schemas["Device"] | null>(null);
  #bolts = new Map<string, Bolts>();

  readonly moves = $derived.by(() => stepGroups(this.job.plan?.steps ?? []));
  readonly now = $derived.by(
    () =>
      this.moves.find((each) => each.steps.some((step) => step.key === this.at)) ??
      this.moves.find((each) => !this.done(each)) ??
      this.moves.at(-1),
  );
  readonly index = $derived.by(() =>
    Math.max(
      this.moves.findIndex((each) => each.key === this.now?.key),
      0,
    ),
  );
  readonly next = $derived.by(() => this.moves[this.index + 1]);
  readonly previous = $derived.by(() => this.moves[this.index - 1]);
  readonly doneCount = $derived.by(() => this.moves.filter((each) => this.done(each)).length);

  step = (step: Schemas["JobStep"]): boolean => {
    const sending = outbox.of(this.job.id, step.key);
    return sending ? sending.done : this.job.plan!.ticked.includes(step.key) || step.deviation !== null;
  };
  done = (stepGroup: StepGroup): boolean => stepGroup.steps.every(this.step);
  sending = (stepGroup: StepGroup): boolean => stepGroup.steps.some((step) => outbox.of(this.job.id, step.key));

  /** Steps outside it that it waits for, without those on their way to the server. */
  waitsFor(stepGroup: StepGroup): StepGroup[] {
    const own = new Set(stepGroup.steps.map((step) => step.key));
    const keys = stepGroup.steps.flatMap((step) => step.waits_for).filter((key) => !own.has(key));
    const open = this.moves.filter((each) => each.steps.some((step) => keys.includes(step.key)));
    return open.filter((each) => !this.done(each));
  }

  async draw(): Promise<void> {
    this.drawing = await this.job.drawn();
  }

  take(devices: Schemas["Device"][]): void {
    this.wrench = devices.find((each) => each.quantities.includes("torque")) ?? null;
    this.unit = devices.find((each) => each.actions.length) ?? null;
  }

  bolts(step: string, line: Schemas["TorqueBrief"]): Bolts {
    const id = [step, line.axle, line.fastener].join(" ");
    if (!this.#bolts.has(id)) this.#bolts.set(id, new Bolts(this.job, step, line));
    return this.#bolts.get(id)!;
  }
  /** Bolts of a step group not marked as tight. */
  loose = (stepGroup: StepGroup): [Bolts, number[]][] =>
    stepGroup.steps
      .flatMap((step) => step.tighten.map((line) => this.bolts(step.key, line)))
      .map((bolts): [Bolts, number[]] => [bolts, bolts.missing])
      .filter(([, missing]) => missing.length > 0);

  #reads = new Map<string, Reads>();
  /** A step's readings, as far as they are typed. */
  reads(step: Schemas["JobStep"]): Reads {
    if (!this.#reads.has(step.key)) this.#reads.set(step.key, new Reads(this.job, step.key, step.reads));
    return this.#reads.get(step.key)!;
  }
  /** Saves the entries at the steps of a step group. True if nothing is left unsaved. */
  async saveReads(stepGroup: StepGroup): Promise<boolean> {
    for (const step of stepGroup.steps) {
      const reads = this.#reads.get(step.key);
      if (reads?.dirty && !(await reads.save())) return false;
    }
    return true;
  }

  tick = (stepGroup: StepGroup, done: boolean): Promise<void> =>
    this.job.tick(
      stepGroup.steps.map((step) => step.key),
      done,
    );

  /** What another device has done since this one moved on, or null. */
  news = $state.raw<{ person: string | null; steps: Schemas["JobStep"][] } | null>(null);

  /** Follows what another device does in the job. */
  watch = (): (() => void) => this.job.follow((progress) => this.#hear(progress));

  #hear(progress: Schemas["JobProgress"]): void {
    const { steps, ticked } = this.job.plan!;
    const fresh = (steps ?? []).filter(({ key }) => progress.ticked.includes(key) && !ticked.includes(key));
    if (!fresh.length) return;
    const person = progress.ticked_by[fresh.at(-1)!.key]?.person ?? null;
    const before = this.news?.person === person ? this.news.steps : [];
    this.news = { person, steps: [...before, ...fresh] };
  }
}

/** Keeps the screen awake where the browser can; gives it back when the page is left. */
export function keepAwake(): () => void {
  let lock: WakeLockSentinel | null = null;
  const take = () => {
    if (document.visibilityState !== "visible" || !("wakeLock" in navigator)) return;
    navigator.wakeLock.request("screen").then(
      (taken) => (lock = taken),
      () => {},
    );
  };
  take();
  document.addEventListener("visibilitychange", take);
  return () => {
    document.removeEventListener("visibilitychange", take);
    void lock?.release();
  };
}
