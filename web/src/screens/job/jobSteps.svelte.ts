import type { Schemas } from "../../api/client";
import { inShort, stepGroups, stages, type StepGroup } from "../../format/jobs";
import { upperFirst } from "../../format/words";
import type { JobPlanState } from "../../parts/jobPlan.svelte";
import { outbox } from "../../parts/outbox.svelte";

type Step = Schemas["JobStep"];
export type Action = "note" | "insert" | "deviation";

/** The steps of a job on screen: the stage shown, the ticks, and the note being written. */
export class JobStepsState {
  /** Notes and order are being changed: step by step, all stages. */
  changing = $state(false);
  /** All stages one under the other. */
  all = $state(false);
  writing = $state<{ key: string; action: Action } | null>(null);
  text = $state("");
  refusedAt = $state("");
  /** The stage that was asked for; the one at hand where none was. */
  private asked = $state<string | null>(null);

  constructor(
    readonly job: JobPlanState,
    whole: boolean,
  ) {
    this.all = whole;
  }

  private readonly plan = $derived.by(() => this.job.plan!);
  readonly steps = $derived.by(() => this.plan.steps ?? []);
  // Edits are made step by step; ticks, group by group.
  readonly stepGroups = $derived.by(() =>
    this.changing ? this.steps.map((step): StepGroup => ({ key: step.key, steps: [step] })) : stepGroups(this.steps),
  );
  readonly stages = $derived.by(() =>
    stages(this.stepGroups).map((stage) => ({ ...stage, done: stage.stepGroups.filter(this.allDone).length })),
  );
  readonly mandatory = $derived.by(
    () => this.stepGroups.filter((stepGroup) => stepGroup.steps.some((step) => step.mandatory)).length,
  );
  readonly next = $derived.by(() => this.stepGroups.find((stepGroup) => !this.allDone(stepGroup)));
  /** Place in `stages` of the one at hand: the one asked for, or where the next step is. */
  readonly at = $derived.by(() => {
    const asked = this.stages.findIndex((stage) => stage.id === this.asked);
    if (asked >= 0) return asked;
    return Math.max(
      this.stages.findIndex((stage) => stage.stepGroups.some((stepGroup) => stepGroup.key === this.next?.key)),
      0,
    );
  });
  readonly shown = $derived.by(() =>
    this.all || this.changing ? this.stages : this.stages.slice(this.at, this.at + 1),
  );

  done = (step: Step): boolean => this.plan.ticked.includes(step.key) || step.deviation !== null;
  allDone = (stepGroup: StepGroup): boolean => stepGroup.steps.every(this.done);
  ticked = (stepGroup: StepGroup): boolean => stepGroup.steps.every((step) => this.plan.ticked.includes(step.key));
  sending = (stepGroup: StepGroup) => (this.job.open ? outbox.of(this.job.id, stepGroup.key) : undefined);

  look = (stage: string | undefined): void => {
    if (stage !== undefined) this.asked = stage;
  };
  /** The stage of a step is looked at. -> the stepGroup it belongs to */
  lookFor = (key: string): StepGroup | undefined => {
    const has = (stepGroup: StepGroup) => stepGroup.steps.some((step) => step.key === key);
    this.look(this.stages.find((stage) => stage.stepGroups.some(has))?.id);
    return this.stepGroups.find(has);
  };
  /** A step in a few words, with its place. */
  named = (key: string): string => {
    const step = this.steps.find((each) => each.key === key);
    return step ? `${step.place ? `${upperFirst(step.place)}: ` : ""}${inShort(step.text)}` : key;
  };

  /** false when the server refused it: the box goes back. */
  async check(stepGroup: StepGroup, on: boolean): Promise<boolean> {
    this.refusedAt = stepGroup.key;
    const keys = stepGroup.steps.map((step) => step.key);
    const last = this.next?.key === stepGroup.key && this.stages[this.at]?.stepGroups.at(-1)?.key === stepGroup.key;
    await this.job.tick(keys, on);
    // With the last step of a stage the next one is at hand.
    if (last && this.allDone(stepGroup)) this.asked = null;
    return !!outbox.of(this.job.id, stepGroup.key) || this.ticked(stepGroup) === on;
  }
  open = (key: string, action: Action): void => {
    [this.writing, this.text] = [{ key, action }, ""];
  };
  async write(event: SubmitEvent): Promise<void> {
    event.preventDefault();
    const { key, action } = this.writing!;
    const kept =
      action === "note"
        ? this.job.note(key, this.text)
        : action === "deviation"
          ? this.job.deviate(key, this.text)
          : this.job.adjust({ action: "insert", after: key, text: this.text });
    if (await kept) [this.writing, this.text] = [null, ""];
  }
  move = (step: Step, by: number): Promise<boolean> => {
    const at = this.steps.indexOf(step);
    const after = by < 0 ? (this.steps[at - 2]?.key ?? null) : (this.steps[at + 1]?.key ?? null);
    return this.job.adjust({ action: "move", key: step.key, after });
  };
}
