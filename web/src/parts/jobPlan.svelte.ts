import { lazyApi } from "../api/lazyApi";
import { api, type Refusal, type Schemas } from "../api/client";
import { atDevice } from "./atDevice.svelte";
import { FormState } from "./formState.svelte";
import { outbox } from "./outbox.svelte";
import { undo } from "./undo.svelte";
import { say } from "../texts/say";
import * as undos from "../texts/undo";

type Plan = Schemas["JobPlan"];

/** How often another device's ticks are looked for. */
const POLL_MS = 3000;

const ADJUSTED = { drop: undos.stepSkipped, insert: undos.stepAdded, move: undos.stepMoved };
/** The owner's newest change of the order. */
const newestEvent = (plan: Plan): number =>
  Math.max(...[...(plan.steps ?? []), ...plan.dropped, ...plan.set_aside].map((each) => each.event ?? 0));

/** A job on screen: every action answers with the whole plan; what was refused stays to be read. */
export class JobPlanState {
  plan = $state.raw<Plan | null>(null);
  readonly form = new FormState();
  fault = this.form.fault;
  code = this.form.code;

  /** axle: the one a proposal is for. */
  constructor(
    plan: Plan,
    private readonly axle: number | null = null,
  ) {
    this.plan = plan;
  }

  get id(): number {
    return this.plan!.id!;
  }
  /** Neither a proposal nor closed. */
  get ongoing(): boolean {
    return this.plan!.id !== null && !["finished", "cancelled"].includes(this.plan!.state);
  }
  /** Whether it can be changed here; otherwise it is only read. */
  get open(): boolean {
    return this.ongoing && !atDevice.guest;
  }
  get busy(): boolean {
    return this.form.busy;
  }
  get refused(): Refusal | null {
    return this.form.refused;
  }

  /** Its corners in three dimensions; null where they can't be had. */
  drawn = (): Promise<Schemas["JobDrawing"] | null> =>
    (this.axle === null ? lazyApi.jobDrawing(this.id) : lazyApi.proposedDrawing(this.axle)).catch(() => null);

  /** True when it was taken. */
  act = (action: () => Promise<Plan>): Promise<boolean> => this.form.act(async () => (this.plan = await action()));

  /** Does it and offers to take it back; what the plan has become meanwhile is read first. */
  async #undoably(
    said: string,
    action: () => Promise<Plan>,
    back: (after: Plan) => (now: Plan) => Promise<Plan>,
  ): Promise<boolean> {
    if (!(await this.act(action))) return false;
    const takeBack = back(this.plan!);
    undo.offer(said, async () => (this.plan = await takeBack(await api.job(this.id))));
    return true;
  }

  /** leaveApart: although the brake is apart. */
  cancel = (leaveApart = false) =>
    this.#undoably(
      undos.jobCancelled,
      () => api.changeJob(this.id, { state: "cancelled", leave_apart: leaveApart }, this.plan!.revision),
      () => () => lazyApi.restoreJob(this.id),
    );
  putBack = () => this.act(() => lazyApi.putBackJob(this.id));
  pause = () => this.act(() => lazyApi.pauseJob(this.id));
  together = (because: string) => this.act(() => lazyApi.jobTogether(this.id, because));
  tickAfterwards = (step: string, odometer: Schemas["Odometer"]) =>
    this.act(() => lazyApi.tickAfterwards(this.id, step, odometer));
  answer = (step: string, answer: string) => this.act(() => lazyApi.answerStep(this.id, step, answer));
  change = (change: Schemas["JobChange"]) => this.act(() => api.changeJob(this.id, change, this.plan!.revision));
  resolve = (items: string[], done: boolean) =>
    this.#undoably(
      done ? undos.itemsTicked : undos.itemsUnticked,
      () => lazyApi.resolve(this.id, items, done),
      () => () => lazyApi.resolve(this.id, items, !done),
    );
  finish = (finish: Schemas["JobFinish"]) => this.act(() => lazyApi.finishJob(this.id, finish));
  restore = () => this.act(() => lazyApi.restoreJob(this.id));
  deviate = (step: string, because: string) => this.act(() => lazyApi.deviate(this.id, step, because));
  /** A step's refusal shown in its own place: unmarked bolts, an open question. */
  get unsaid(): string {
    const found = this.refused?.faults.filter((fault) => fault.field.startsWith("bolts.") || fault.field === "answer");
    return found?.map((fault) => fault.message).join(" ") ?? "";
  }
  /** Kept in the browser until the server has taken it. */
  tick = (steps: string[], done: boolean) => outbox.add({ job: this.id, steps, done, seen: this.#seen(steps) });
  /** What a step said when it was read. */
  said = (key: string): string | null => this.plan?.steps?.find((step) => step.key === key)?.said ?? null;
  #seen = (keys: string[]) =>
    Object.fromEntries(
      (this.plan?.steps ?? []).filter(({ key }) => keys.includes(key)).map(({ key, said }) => [key, said]),
    );
  /** Applies the answer to a tick, and reloads the plan if readings stop the job. */
  answered = (progress: Schemas["JobProgress"] | null, refusal: Refusal | null): void => {
    this.form.refused = refusal;
    if (refusal?.status === 412) void this.#readAgain();
    if (!progress || !this.plan || progress.id !== this.plan.id) return;
    // Planned again, by another device perhaps: the steps are others now.
    const replanned = progress.planned !== this.plan.planned;
    this.plan = withProgress(this.plan, progress);
    if (replanned || progress.halted !== this.plan.halts.length > 0) void this.act(() => api.job(progress.id));
  };
  /**
   * Looks what another device has done, while the page is seen and nothing waits to be sent. heard: told of it before it
   * is taken. Returns what ends it.
   */
  follow(heard: (progress: Schemas["JobProgress"]) => void = () => {}): () => void {
    const timer = setInterval(() => {
      if (document.visibilityState !== "visible" || outbox.waiting.length || !this.ongoing) return;
      const asked = outbox.sent;
      void lazyApi.progress(this.id).then(
        (progress) => {
          // What was ticked here meanwhile is no news, and newer than this answer.
          if (asked !== outbox.sent || outbox.waiting.length || !this.#differs(progress)) return;
          heard(progress);
          this.answered(progress, this.refused);
        },
        () => {},
      );
    }, POLL_MS);
    return () => clearInterval(timer);
  }
  /** Whether it says anything that the plan doesn't. */
  #differs(progress: Schemas["JobProgress"]): boolean {
    const { steps, halts, state, planned, ticked, torques } = this.plan!;
    const deviations = (steps ?? []).filter((step) => step.deviation).map((step) => [step.key, step.deviation]);
    const said = [state, planned, ticked, torques, halts.length > 0, deviations.sort()];
    const { halted, deviations: now, ...rest } = progress;
    return (
      JSON.stringify(said) !==
      JSON.stringify([rest.state, rest.planned, rest.ticked, rest.torques, halted, Object.entries(now).sort()])
    );
  }
  choose = (line: string, supply: number | null) => {
    const of = this.plan!.parts.find((each) => each.id === line);
    const name = of?.supplies.find((each) => each.id === supply)?.name ?? of?.label;
    return this.#undoably(
      say(undos.nameChosen, { name }),
      () => api.choosePart(this.id, line, supply, this.plan!.revision),
      () => (now) => api.choosePart(this.id, line, of?.chosen ?? null, now.revision),
    );
  };
  /** Puts a photo's answer into the plan; a refusal is shown where it was taken. */
  photograph = async (step: string, photo: Blob) => (this.plan = await lazyApi.photographStep(this.id, step, photo));
  /** Shows the steps as they are now; the refusal stays. */
  async #readAgain(): Promise<void> {
    this.plan = await api.job(this.id);
  }
  reload = () => this.act(() => api.job(this.id));
  note = (step: string, text: string) => this.act(() => lazyApi.noteStep(this.id, step, text));
  adjust = (plan_edit: Schemas["PlanEdit"]) =>
    this.#undoably(
      ADJUSTED[plan_edit.action],
      () => lazyApi.adjust(this.id, plan_edit),
      (after) => () => lazyApi.unadjust(this.id, newestEvent(after)),
    );
  unadjust = (event: number) => this.act(() => lazyApi.unadjust(this.id, event));
  quote = (total: string | null, lines: Schemas["QuoteLineEntered"][]) =>
    this.act(() => lazyApi.quote(this.id, { total, lines }, this.plan!.revision));

  /** Adds a part, consumable or tool of the owner's, then reloads the plan. */
  stock = (supply: Schemas["NewSupply"]) => this.act(() => api.addSupply(supply).then(() => api.job(this.id)));
  archive = (supply: Schemas["Supply"]) =>
    this.#undoably(
      say(undos.nameArchived, { name: supply.name }),
      () => api.changeSupply(supply.id, { retired: true }, supply.revision).then(() => api.job(this.id)),
      () => () => api.changeSupply(supply.id, { retired: false }).then(() => api.job(this.id)),
    );
  restock = (supply: Schemas["Supply"], change: Schemas["SupplyChange"]) =>
    this.act(() => api.changeSupply(supply.id, change, supply.revision).then(() => api.job(this.id)));
  own = (tool: string, owned: boolean) =>
    this.#undoably(
      undos.toolChanged,
      () => api.ownTool(tool, owned).then(() => api.job(this.id)),
      () => () => api.ownTool(tool, !owned).then(() => api.job(this.id)),
    );

  scope = (axles: Record<string, string[]>, reasons: Record<string, string>) => {
    const before = { axles: chosenWorks(this.plan!), reasons: chosenReasons(this.plan!) };
    return this.#undoably(
      undos.scopeChanged,
      () => api.scopeJob(this.id, { axles, reasons }, this.plan!.revision),
      () => (now) => api.scopeJob(this.id, before, now.revision),
    );
  };
}

/** The plan with what a tick changes of it. */
export function withProgress(plan: Plan, progress: Schemas["JobProgress"]): Plan {
  const steps =
    plan.steps?.map((step) => ({
      ...step,
      waits_for: progress.waits_for[step.key] ?? [],
      deviation: progress.deviations[step.key] ?? null,
    })) ?? null;
  return {
    ...plan,
    state: progress.state,
    planned: progress.planned,
    ticked: progress.ticked,
    ticked_by: progress.ticked_by,
    torques: progress.torques,
    steps,
  };
}

/** Reasons the owner gave for other rotors, as the scope is sent. */
export const chosenReasons = (plan: Plan): Record<string, string> =>
  Object.fromEntries(
    plan.scope.axles.filter((axle) => axle.rotors.reason).map((axle) => [axle.id, axle.rotors.reason!]),
  );

/** The chosen work on every axle, as the scope is sent. */
export function chosenWorks(plan: Plan): Record<string, string[]> {
  return Object.fromEntries(
    plan.scope.axles.map((axle) => [
      axle.id,
      [
        ...axle.works.filter((work) => work.chosen).map((work) => work.id),
        ...(axle.included && axle.rotors.chosen !== "stay" ? [axle.rotors.works[axle.rotors.chosen]!] : []),
      ],
    ]),
  );
}

/** Works of an axle with one more or one less: work done alone gives way to another work, and the other way round. */
export function withWork(axle: Schemas["AxleScope"], chosen: string[], work: string, on: boolean): string[] {
  const others = chosen.filter((each) => each !== work);
  if (!on) return others;
  const alone = axle.works.filter((each) => each.alone).map((each) => each.id);
  return alone.includes(work) ? [work] : [...others.filter((each) => !alone.includes(each)), work];
}
