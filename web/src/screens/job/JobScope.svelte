<script lang="ts">
  import CheckField from "../../parts/controls/CheckField.svelte";
  import RadioField from "../../parts/controls/RadioField.svelte";
  import TextField from "../../parts/controls/TextField.svelte";
  import * as common from "../../texts/common";
  import * as texts from "../../texts/job";
  import { say } from "../../texts/say";
  import { Button } from "carbon-components-svelte";
  import { lazyApi } from "../../api/lazyApi";
  import type { Schemas } from "../../api/client";
  import { ofBrake, upperFirst } from "../../format/words";
  import { chosenReasons, chosenWorks, withWork, type JobPlanState } from "../../parts/jobPlan.svelte";
  import AxleSection from "../../parts/AxleSection.svelte";
  import Approaches from "../../parts/Approaches.svelte";
  import Fault from "../../parts/Fault.svelte";

  /** The work on each axle: proposed with its reason, changed by a tick. */
  let { job }: { job: JobPlanState } = $props();
  const plan = $derived(job.plan!);
  const ROTORS = [
    ["stay", "stay"],
    ["turn", texts.areMachined],
    ["new", texts.newOnes],
  ] as const;
  // Other rotors than the verdict says wait for a reason before they are sent.
  let wanted = $state<{ axle: number; rotors: string } | null>(null);
  let reason = $state("");

  // With other works, other parts come off.
  let drawing = $state.raw<Schemas["JobDrawing"] | null>(null);
  $effect(() => {
    if (plan.id === null || !plan.steps) return void (drawing = null);
    lazyApi.jobDrawing(plan.id).then(
      (drawn) => (drawing = drawn),
      () => {},
    );
  });
  const works = () => chosenWorks(plan);
  const reasons = () => chosenReasons(plan);

  function toggle(axle: number, work: string, on: boolean) {
    const chosen = works();
    const of = plan.scope.axles.find((each) => each.id === axle)!;
    chosen[axle] = withWork(of, chosen[axle] ?? [], work, on);
    return job.scope(chosen, reasons());
  }
  async function rotors(axle: Schemas["AxleScope"], choice: string, because = "") {
    const chosen = works();
    chosen[axle.id] = [
      ...(chosen[axle.id] ?? []).filter((work) => !Object.values(axle.rotors.works).includes(work)),
      ...(choice === "stay" ? [] : [axle.rotors.works[choice]!]),
    ];
    if (choice !== "stay") chosen[axle.id] = withWork(axle, chosen[axle.id]!, axle.rotors.works[choice]!, true);
    const kept = await job.scope(chosen, { ...reasons(), ...(because ? { [axle.id]: because } : {}) });
    if (kept) [wanted, reason] = [null, ""];
    else wanted = job.code(`reasons.${axle.id}`) ? { axle: axle.id, rotors: choice } : null;
    return kept || wanted !== null;
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

<div class="columns">
  {#each plan.scope.axles as axle (axle.id)}
    {@const here = shown(axle.id)}
    <section class="sheet" aria-label={say(common.nameAxle, { name: axle.name })}>
      <h2>
        {upperFirst(axle.name)}
        {#if !axle.included}<span class="quiet">{texts.notPartOfThisJob}</span>{/if}
      </h2>
      {#if drawing && axle.included}{#await import("./ScopePicture.svelte") then { default: ScopePicture }}<ScopePicture
            {drawing}
            axle={axle.name}
          />{/await}{/if}
      {#if here}<AxleSection corners={here.axle.corners} scale={3.2} />{/if}
      <fieldset disabled={!job.open || job.busy}>
        <legend class="sr">{say(texts.workOnTheNameAxle, { name: axle.name })}</legend>
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
        <fieldset disabled={!job.open || job.busy} class="rotors">
          <legend>{ofBrake(texts.theRotors, here?.axle.brakes)}</legend>
          <div class="row">
            {#each ROTORS.filter(([id]) => id === "stay" || id in axle.rotors.works) as [id, label] (id)}
              <RadioField
                name="rotors-{axle.id}"
                {id}
                chosen={wanted?.axle === axle.id ? wanted.rotors : axle.rotors.chosen}
                onpick={() => rotors(axle, id)}
                {label}
              />
            {/each}
          </div>
          <p class="quiet">
            {say(texts.verdictVerdict, {
              verdict: axle.rotors.verdict,
            })}{#if axle.rotors.reason && axle.rotors.chosen !== axle.rotors.proposed}. {say(texts.yourReasonReason, {
                reason: axle.rotors.reason,
              })}{/if}
          </p>
          {#if wanted?.axle === axle.id}
            <div class="row">
              <TextField label={texts.reasonAgainstTheVerdict} width="long" maxlength={500} bind:value={reason} />
              <Button size="field" on:click={() => rotors(axle, wanted!.rotors, reason)}>{texts.confirm}</Button>
              <Button size="field" kind="ghost" on:click={() => (wanted = null)}>{common.cancel}</Button>
            </div>
          {/if}
        </fieldset>
        {#if here}
          <ul class="verdicts">
            {#each here.rotor.sides as side (side.side)}<li>{side.sentence}</li>{/each}
          </ul>
        {/if}
      {/if}
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
    disabled={!job.open || job.busy}
    onchoose={(id, option) => job.act(() => lazyApi.approachJob(job.id, id, option, plan.revision))}
  />
</section>
<p class="quiet">{texts.bothSidesOfAnAxle}</p>

<style>
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
  fieldset {
    border: 0;
    padding: 0;
    margin: 0.75rem 0 0;
    display: grid;
    gap: 0.1rem;
  }
  legend {
    float: left;
    width: 100%;
    font-weight: 600;
    font-size: 1.05rem;
    padding: 0;
  }
  legend + * {
    clear: both;
  }
  .rotors {
    border-top: 1px solid var(--line);
    padding-top: 0.6rem;
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
