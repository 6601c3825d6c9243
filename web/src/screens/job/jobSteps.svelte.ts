import type { Schemas } from "../../api/client";
import { inShort, movements, stages, type Movement } from "../../format/jobs";
import { upperFirst } from "../../format/words";
import type { JobPlanState } from "../../parts/jobPlan.svelte";
import { outbox } from "../../parts/outbox.svelte";

type Step = Schemas["JobStep"];
export type Action = "note" | "insert" | "otherwise";

/** The steps of a job on screen: which stage is looked at, what is ticked, and what is being written to a step. */
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
  // What is changed is changed step by step; what is done, movement by movement.
  readonly movements = $derived.by(() =>
    this.changing ? this.steps.map((step): Movement => ({ key: step.key, steps: [step] })) : movements(this.steps),
  );
  readonly stages = $derived.by(() =>
    stages(this.movements).map((stage) => ({ ...stage, done: stage.movements.filter(this.allDone).length })),
  );
  readonly gates = $derived.by(
    () => this.movements.filter((movement) => movement.steps.some((step) => step.gate)).length,
  );
  readonly next = $derived.by(() => this.movements.find((movement) => !this.allDone(movement)));
  /** Place in `stages` of the one at hand: the one asked for, or where the next step is. */
  readonly at = $derived.by(() => {
    const asked = this.stages.findIndex((stage) => stage.id === this.asked);
    if (asked >= 0) return asked;
    return Math.max(
      this.stages.findIndex((stage) => stage.movements.some((movement) => movement === this.next)),
      0,
    );
  });
  readonly shown = $derived.by(() =>
    this.all || this.changing ? this.stages : this.stages.slice(this.at, this.at + 1),
  );

  done = (step: Step): boolean => this.plan.ticked.includes(step.key) || step.otherwise !== null;
  allDone = (movement: Movement): boolean => movement.steps.every(this.done);
  ticked = (movement: Movement): boolean => movement.steps.every((step) => this.plan.ticked.includes(step.key));
  sending = (movement: Movement) => (this.job.open ? outbox.of(this.job.id, movement.key) : undefined);

  look = (stage: string | undefined): void => {
    if (stage !== undefined) this.asked = stage;
  };
  /** The stage of a step is looked at. -> the movement it belongs to */
  lookFor = (key: string): Movement | undefined => {
    const has = (movement: Movement) => movement.steps.some((step) => step.key === key);
    this.look(this.stages.find((stage) => stage.movements.some(has))?.id);
    return this.movements.find(has);
  };
  /** A step in a few words, with its place. */
  named = (key: string): string => {
    const step = this.steps.find((each) => each.key === key);
    return step ? `${step.place ? `${upperFirst(step.place)}: ` : ""}${inShort(step.text)}` : key;
  };

  async check(movement: Movement, box: HTMLInputElement): Promise<void> {
    this.refusedAt = movement.key;
    const keys = movement.steps.map((step) => step.key);
    const last = this.next === movement && this.stages[this.at]?.movements.at(-1) === movement;
    await this.job.tick(keys, box.checked);
    // What the server did not take does not look taken.
    if (!outbox.of(this.job.id, movement.key)) box.checked = this.ticked(movement);
    // With the last step of a stage the next one is at hand.
    if (last && this.allDone(movement)) this.asked = null;
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
        : action === "otherwise"
          ? this.job.otherwise(key, this.text)
          : this.job.adjust({ action: "insert", after: key, text: this.text });
    if (await kept) [this.writing, this.text] = [null, ""];
  }
  move = (step: Step, by: number): Promise<boolean> => {
    const at = this.steps.indexOf(step);
    const after = by < 0 ? (this.steps[at - 2]?.key ?? null) : (this.steps[at + 1]?.key ?? null);
    return this.job.adjust({ action: "move", key: step.key, after });
  };
}
