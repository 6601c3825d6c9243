import type { Schemas } from "../../api/client";
import type { StepGroup } from "../../format/jobs";
import type { JobPlanState } from "../../parts/jobPlan.svelte";

/** How long a step is shown. */
const PER_STEP_MS = 1800;

/** The job as pictures: of the step that is pointed at, or one after the other. */
export class JobFilm {
  drawing = $state.raw<Schemas["JobDrawing"] | null>(null);
  playing = $state(false);
  /** Key of the step group that is shown. */
  at = $state<string | null>(null);

  constructor(private readonly groups: () => StepGroup[]) {}

  async load(job: JobPlanState): Promise<void> {
    this.drawing = await job.drawn();
  }

  private readonly drawn = $derived.by(() => new Set(this.drawing?.steps.map((step) => step.key)));
  /** Those there is a picture of. */
  readonly frames = $derived.by(() =>
    this.groups().filter((group) => group.steps.some((step) => this.drawn.has(step.key))),
  );
  readonly frame = $derived.by(() => this.frames.find((each) => each.key === this.at));

  /** Of a stage: what is pointed at in it, else its first step with a picture. */
  of = (groups: StepGroup[]): StepGroup | undefined => {
    if (this.playing) return this.frame;
    const mine = this.frames.filter((each) => groups.some((group) => group.key === each.key));
    return mine.find((each) => each.key === this.at) ?? mine[0];
  };

  point = (key: string): void => {
    if (!this.playing && this.frames.some((each) => each.key === key)) this.at = key;
  };

  /** From a step on to the last. -> stops it */
  play(from: string | undefined): () => void {
    this.at = from ?? this.frames[0]?.key ?? null;
    const timer = setInterval(() => {
      const next = this.frames[this.frames.findIndex((each) => each.key === this.at) + 1];
      if (next) this.at = next.key;
      else this.playing = false;
    }, PER_STEP_MS);
    return () => clearInterval(timer);
  }
}
