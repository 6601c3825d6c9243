<script lang="ts">
  import CheckField from "../../parts/controls/CheckField.svelte";
  import * as common from "../../texts/common";
  import * as texts from "../../texts/job";
  import { say } from "../../texts/say";
  import { Button } from "carbon-components-svelte";
  import { lazyApi } from "../../api/lazyApi";
  import type { Schemas } from "../../api/client";
  import { axleTitle, axleWord } from "../../format/words";
  import { chosenReasons, chosenWorks, withWork, type JobPlanState } from "../../parts/jobPlan.svelte";
  import AxleSection from "../../parts/AxleSection.svelte";
  import Approaches from "../../parts/Approaches.svelte";
  import Fault from "../../parts/Fault.svelte";
  import RotorChoice from "./RotorChoice.svelte";

  /** The work on each axle: proposed with its reason, changed by a tick. */
  let { job }: { job: JobPlanState } = $props();
  const plan = $derived(job.plan!);
  // With other works, other parts come off.
  let drawing = $state.raw<Schemas["JobDrawing"] | null>(null);
  $effect(() => {
    if (!plan.steps) return void (drawing = null);
    void job.drawn().then((drawn) => (drawing = drawn ?? drawing));
  });
  const works = () => chosenWorks(plan);
  const reasons = () => chosenReasons(plan);

  function toggle(axle: number, work: string, on: boolean) {
    const chosen = works();
    const of = plan.scope.axles.find((each) => each.id === axle)!;
    chosen[axle] = withWork(of, chosen[axle] ?? [], work, on);
    return job.scope(chosen, reasons());
  }
  function take(offer: Schemas["ScopeOffer"]) {
    const chosen = works();
    for (const { axle_id, works: added } of offer.adds)
      chosen[axle_id] = [...new Set([...(chosen[axle_id] ?? []), ...added])];
    return job.scope(chosen, reasons());
  }
  type Work = Schemas["AxleScope"]["works"][number];
  /** The works chosen at first come first, the rest is folded: nothing moves at a tick. */
  const opened = new Map<string, boolean>();
  function first(axle: Schemas["AxleScope"], work: Work): boolean {
    const key = `${axle.id}.${work.id}`;
    if (!opened.has(key)) opened.set(key, work.chosen);
    return opened.get(key)!;
  }
  // Axles of the job at first: those come first, and nothing moves at a tick.
  // svelte-ignore state_referenced_locally
  const begun = new Set(plan.scope.axles.filter((axle) => axle.included).map((axle) => axle.id));
  const axles = $derived([...plan.scope.axles].sort((one, other) => +begun.has(other.id) - +begun.has(one.id)));
  const shown = (id: number) => plan.axles.find((each) => each.axle.id === id);
</script>

{#snippet choice(axle: Schemas["AxleScope"], work: Work)}
  <CheckField checked={work.chosen} oncheck={(on) => toggle(axle.id, work.id, on)}
    ><strong>{work.label}</strong>{#if work.because}<br /><span class="quiet">{work.because}</span>{/if}</CheckField
  >
{/snippet}

{#if plan.id === null}<p class="quiet">{texts.suggestionNote}</p>{/if}
{#if plan.scope.offers.length}
  <section class="sheet offers">
    <h2>{texts.inTheSameSession}</h2>
    <ul class="plain-list">
      {#each plan.scope.offers as offer (offer.text)}
        <li>
          <span>{offer.text}</span>{#if job.open}<Button
              size="small"
              kind="tertiary"
              disabled={job.busy}
              on:click={() => take(offer)}>{texts.addToThisJob}</Button
            >{/if}
        </li>
      {/each}
    </ul>
  </section>
{/if}
{#each plan.scope.warnings as warning (warning)}<p class="warning">{warning}</p>{/each}

<div class="axles">
  {#each axles as axle (axle.id)}
    {@const here = shown(axle.id)}
    <section
      class="sheet"
      class:whole={begun.size < 2}
      aria-label={say(common.nameAxle, { name: axleWord(axle.name) })}
    >
      <h2>
        {axleTitle(axle.name)}
        {#if !axle.included}<span class="quiet">{texts.notPartOfThisJob}</span>{/if}
      </h2>
      {#if axle.included}
        <div class="seen">
          {#if here}<AxleSection corners={here.axle.corners} scale={3.2} />{/if}
          {#if here && !axle.works.some((work) => work.chosen && work.alone)}
            <ul class="verdicts">
              {#each new Set(here.rotor.sides.map((side) => side.sentence)) as sentence (sentence)}<li>
                  {sentence}
                </li>{/each}
            </ul>
          {/if}
          {#if drawing}{#await import("./ScopePicture.svelte") then { default: ScopePicture }}<ScopePicture
                {drawing}
                axle={axle.name}
              />{/await}{/if}
        </div>
      {/if}
      <div class="chosen">
        <fieldset class="group" disabled={!job.open || job.busy}>
          <legend class="sr">{say(texts.workOnTheNameAxle, { name: axleWord(axle.name) })}</legend>
          {#each axle.works.filter((work) => first(axle, work)) as work (work.id)}{@render choice(axle, work)}{/each}
          {#if axle.works.some((work) => !first(axle, work))}
            {@const more = axle.works.filter((work) => !first(axle, work))}
            <details>
              <summary
                >{say(axle.works.length === more.length ? texts.addWorkOnIt : texts.countMoreWorks, {
                  count: more.length,
                })}</summary
              >
              {#each more as work (work.id)}{@render choice(axle, work)}{/each}
            </details>
          {/if}
        </fieldset>
        {#if axle.included && !axle.works.some((work) => work.chosen && work.alone)}
          <RotorChoice {job} {axle} brakes={here?.axle.brakes} />
        {/if}
      </div>
      {#if job.fault(`axles.${axle.id}`) || job.fault(`reasons.${axle.id}`)}<p class="fault" role="alert">
          {job.fault(`axles.${axle.id}`) || job.fault(`reasons.${axle.id}`)}
        </p>{/if}
    </section>
  {/each}
</div>
<Fault text={job.fault("axles")} />
<section class="sheet">
  <div class="row spread">
    <h2>{texts.howYouDoIt} <span class="quiet">{texts.wherePractitionersDisagree}</span></h2>
    <a href="#/approaches">{common.approaches}</a>
  </div>
  <Approaches
    approaches={plan.scope.approaches}
    folded
    disabled={!job.open || job.busy}
    onchoose={(id, option) => job.act(() => lazyApi.approachJob(job.id, id, option, plan.revision))}
  />
</section>
<p class="quiet">{texts.bothSidesOfAnAxle}</p>

<style>
  .axles {
    display: grid;
    gap: 1rem;
    grid-template-columns: repeat(auto-fit, minmax(min(22rem, 100%), 1fr));
    align-items: start;
  }
  /* The only axle of the job: what is there beside what is to be done. */
  .whole {
    grid-column: 1 / -1;
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(min(22rem, 100%), 1fr));
    gap: 0 2rem;
    align-items: start;
  }
  .whole h2 {
    grid-column: 1 / -1;
  }
  .chosen fieldset:first-child {
    margin-top: 0;
  }
  .offers {
    border-left: 6px solid var(--petrol);
  }
  .offers li {
    display: flex;
    flex-wrap: wrap;
    gap: 0.5rem 1rem;
    justify-content: space-between;
    align-items: center;
    padding: 0.3rem 0;
  }
  .warning {
    color: var(--plan);
    font-weight: 600;
  }
  .verdicts {
    margin: 0.4rem 0 0;
    padding-left: 1.1rem;
    list-style: disc;
  }
  .verdicts li {
    font-size: 0.9375rem;
  }
  .sr {
    position: absolute;
    width: 1px;
    height: 1px;
    overflow: hidden;
    clip-path: inset(50%);
  }
</style>
