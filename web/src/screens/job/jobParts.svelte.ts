import * as common from "../../texts/common";
import * as texts from "../../texts/job";
import { SvelteSet } from "svelte/reactivity";
import { lazyApi } from "../../api/lazyApi";
import { api, type Schemas } from "../../api/client";
import { FormState } from "../../parts/formState.svelte";
import type { JobPlanState } from "../../parts/jobPlan.svelte";

type Line = Schemas["PartLine"];

/** The parts of a job on screen: grouped by what is still to do, with those opened and a counter's offers. */
export class JobPartsState {
  readonly opened = new SvelteSet<string>();
  entering = $state<{ line: string; known: Schemas["Supply"] | null } | null>(null);
  asked = $state.raw<{ line: string; answer: Schemas["Offers"] } | null>(null);
  readonly asking = new FormState();
  /** Whether there is a counter to ask. */
  counter = $state(false);

  constructor(readonly job: JobPlanState) {
    api.devices().then(
      (devices) => (this.counter = devices.counter),
      () => undefined,
    );
  }

  private readonly lines = $derived.by(() => this.job.plan!.parts);
  /** Parts without a choice come first, those at hand last; optional parts are never missing. */
  readonly groups = $derived.by(() =>
    [
      { title: texts.notChosen, lines: this.lines.filter((line) => line.state === "choose" && !line.optional) },
      { title: texts.toOrder, lines: this.lines.filter((line) => line.state === "order") },
      { title: common.onTheShelf, lines: this.lines.filter((line) => line.state === "shelf") },
      { title: texts.youHaveIt, lines: this.lines.filter((line) => line.state === "resolved") },
      { title: texts.inCase, lines: this.lines.filter((line) => line.state === "choose" && line.optional) },
    ].filter((group) => group.lines.length > 0),
  );
  readonly sum = $derived.by(() =>
    this.lines.filter((line) => line.state === "order").reduce((sum, line) => sum + (line.price ?? 0), 0),
  );
  readonly orderBy = $derived.by(
    () =>
      this.lines
        .flatMap((line) => line.order_by ?? [])
        .sort()
        .at(0) ?? null,
  );
  count = (state: Line["state"], optional = false): number =>
    this.lines.filter((line) => line.state === state && line.optional === optional).length;

  /** A line is open where its owner opened it, or is at work in it. */
  isOpen = (line: Line): boolean =>
    this.opened.has(line.id) || this.entering?.line === line.id || this.asked?.line === line.id;
  toggle = (line: Line): void => {
    if (!this.isOpen(line)) return void this.opened.add(line.id);
    this.opened.delete(line.id);
    if (this.entering?.line === line.id) this.entering = null;
    if (this.asked?.line === line.id) this.asked = null;
  };
  enter = (line: Line, known: Schemas["Supply"] | null): void => {
    this.opened.add(line.id);
    this.entering = { line: line.id, known };
  };
  axleId = (name: string): number => this.job.plan!.axles.find((each) => each.axle.name === name)!.axle.id;

  async ask(line: Line): Promise<void> {
    if (this.asked?.line === line.id) return void (this.asked = null);
    const answered = await this.asking.act(
      async () => (this.asked = { line: line.id, answer: await lazyApi.offers(this.job.id, line.id) }),
    );
    if (!answered) this.asked = null;
  }
  async take(line: Line, offer: Schemas["Offer"]): Promise<void> {
    const { checks: _, thickness_mm, diameter_mm, ...fields } = offer;
    const mm = (value: number | null) => (value === null ? null : String(value));
    const before = line.supplies.map((each) => each.id);
    const kept = await this.job.stock({
      kind: "part",
      item: line.item,
      axle: this.axleId(line.axle),
      ...fields,
      thickness: mm(thickness_mm),
      diameter: mm(diameter_mm),
      unit: "mm",
    });
    if (!kept) return;
    const added = this.job
      .plan!.parts.find((each) => each.id === line.id)
      ?.supplies.find((each) => !before.includes(each.id));
    if (added && (await this.job.choose(line.id, added.id))) this.asked = null;
  }
}
