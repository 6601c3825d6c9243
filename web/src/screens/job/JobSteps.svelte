<script lang="ts">
  import PlainButton from "../../parts/controls/PlainButton.svelte";
  import * as common from "../../texts/common";
  import * as texts from "../../texts/job";
  import { say } from "../../texts/say";
  import { Button } from "carbon-components-svelte";
  import { upperFirst } from "../../format/words";
  import { router } from "svelte-spa-router";
  import { tick as rendered } from "svelte";
  import type { JobPlanState } from "../../parts/jobPlan.svelte";
  import Fault from "../../parts/Fault.svelte";
  import { JobStepsState } from "./jobSteps.svelte";
  import StageSteps from "./StageSteps.svelte";
  import { JobFilm } from "./jobFilm.svelte";

  /** whole: all stages from the start. The steps in order, stage by stage: ticked at the car, changed at the table as far as the order allows it. */
  let { job, whole = false }: { job: JobPlanState; whole?: boolean } = $props();
  const plan = $derived(job.plan!);
  const at = $derived(new JobStepsState(job, whole));
  const film = new JobFilm(() => at.stepGroups);
  // What is planned anew is drawn anew; a tick changes nothing of it.
  const planned = $derived((plan.steps ?? []).map((step) => step.key).join(" "));
  $effect(() => {
    if (planned) void film.load(job);
  });
  const before = $derived(at.stages[at.at - 1]);
  const after = $derived(at.stages[at.at + 1]);

  // Paper has all of them.
  let allBefore = false;
  const print = () => ((allBefore = at.all), (at.all = true));
  const printed = () => (at.all = allBefore);

  let heading = $state<HTMLElement | null>(null);
  async function look(stage: string) {
    at.all = false;
    at.look(stage);
    await rendered();
    heading?.focus();
    heading?.scrollIntoView({ block: "nearest" });
  }
  // A link from elsewhere (Finish, a step that waits) leads to its step.
  async function goTo(key: string) {
    const stepGroup = at.lookFor(key);
    await rendered();
    const box = document.querySelector<HTMLInputElement>(`[data-step="${CSS.escape(stepGroup?.key ?? key)}"] input`);
    box?.scrollIntoView({ block: "center" });
    box?.focus();
  }
  $effect(() => {
    const key = new URLSearchParams(router.querystring ?? "").get("at");
    if (key) void goTo(key);
  });
</script>

<svelte:window onbeforeprint={print} onafterprint={printed} />
{#if !plan.steps}
  <section class="sheet">
    <h2>{texts.noOrderCanBeTrusted}</h2>
    <p>{texts.fillInFirst}</p>
    <ul class="list">
      {#each plan.readiness.filter((item) => item.kind === "data" || item.kind === "impossible") as item (item.id)}
        <li>
          {item.text}
          {#if item.axle_id}<a href="#/axles/{item.axle_id}/brake-data">{texts.fillInTheBrakeData}</a>{/if}
        </li>
      {/each}
    </ul>
  </section>
{:else}
  <div class="row spread head">
    {#if plan.state === "in_progress" && at.next}
      <p class="first">
        <span class="quiet">{texts.nextStep}</span>
        <PlainButton look="link" onclick={() => goTo(at.next!.key)}>{at.named(at.next.key)}</PlainButton>
      </p>
    {:else}
      <p class="first">
        {say(texts.stepsInStages, { steps: at.stepGroups.length, stages: at.stages.length, mandatory: at.mandatory })}
      </p>
    {/if}
    <div class="row no-print">
      <Button size="field" kind="ghost" disabled={at.changing} on:click={() => (at.all = !at.all)}
        >{at.all ? texts.stageByStage : texts.allStepsOnOnePage}</Button
      >
      {#if job.open}
        <Button size="field" kind="ghost" on:click={() => (at.changing = !at.changing)}
          >{at.changing ? texts.doneWithNotesAndOrder : texts.notesAndOrder}</Button
        >
      {/if}
    </div>
  </div>
  {#if at.changing}<p class="quiet">{texts.whatWouldBreakTheOrder}</p>{/if}
  <Fault text={job.fault("key") || job.fault("text")} />
  <Fault text={job.fault("state")} />
  {#each plan.set_aside as each (each.event)}
    <p class="quiet">
      {each.text}
      <PlainButton look="link" onclick={() => job.unadjust(each.event)}>{texts.discardPlanEdit}</PlainButton>
    </p>
  {/each}
  <div class="course">
    <section class="sheet">
      {#each at.shown as stage (stage.id)}
        <h2 tabindex="-1" bind:this={heading}>{stage.title}</h2>
        <StageSteps {at} {film} {stage} {goTo} />
      {/each}
      {#if at.shown.length === 1}
        <div class="row spread turn no-print">
          {#if before}<Button size="field" kind="ghost" on:click={() => look(before.id)}>← {before.title}</Button
            >{:else}<span></span>{/if}
          {#if after}<Button size="field" kind="ghost" on:click={() => look(after.id)}>{after.title} →</Button>{/if}
        </div>
      {/if}
    </section>
    <nav class="no-print" aria-label={texts.stages}>
      <ol class="plain-list">
        {#each at.stages as stage, place (stage.id)}
          <li>
            <button
              type="button"
              class:whole={stage.done === stage.stepGroups.length}
              aria-current={place === at.at && at.shown.length === 1 ? "step" : undefined}
              onclick={() => look(stage.id)}
              ><span>{stage.title}</span>
              <span class="number"
                >{stage.done === stage.stepGroups.length ? "✓" : `${stage.done}/${stage.stepGroups.length}`}</span
              ></button
            >
          </li>
        {/each}
      </ol>
    </nav>
  </div>
  {#if plan.dropped.length}
    <section class="sheet no-print">
      <h2>{texts.leftOutByYou}</h2>
      <ul class="plain-list">
        {#each plan.dropped as step (step.key)}<li>
            {step.place ? `${upperFirst(step.place)}: ` : ""}{step.text}
            <PlainButton look="link" disabled={!job.open} onclick={() => job.unadjust(step.event)}
              >{common.putBack}</PlainButton
            >
          </li>{/each}
      </ul>
    </section>
  {/if}
{/if}

<style>
  .list {
    margin: 0.3rem 0 0;
    padding-left: 1.1rem;
    list-style: disc;
  }
  .head {
    align-items: center;
    gap: 0 1rem;
  }
  .first {
    margin: 0;
    font-size: 1.25rem;
  }
  .course {
    display: grid;
    grid-template-columns: minmax(13rem, 17rem) minmax(0, 1fr);
    gap: 1.25rem;
    align-items: start;
  }
  /* Beside the steps; below them where there is no room. */
  nav {
    grid-area: 1 / 1;
    position: sticky;
    top: 0.5rem;
  }
  .course section {
    grid-area: 1 / 2;
  }
  nav button {
    display: flex;
    justify-content: space-between;
    gap: 0.75rem;
    width: 100%;
    min-height: 40px;
    align-items: center;
    text-align: left;
    font: inherit;
    color: var(--ink);
    background: none;
    border: 0;
    border-left: 4px solid var(--line);
    padding: 0.25rem 0.5rem 0.25rem 0.75rem;
    cursor: pointer;
  }
  nav button:hover {
    background: var(--sheet);
  }
  nav .whole {
    color: var(--quiet);
  }
  nav [aria-current] {
    border-left-color: var(--friction);
    background: var(--sheet);
    color: var(--ink);
    font-weight: 600;
  }
  section h2 {
    margin: 0 0 0.5rem;
    padding-bottom: 0.25rem;
    border-bottom: 2px solid var(--ink);
  }
  section h2 ~ h2 {
    margin-top: 1.1rem;
  }
  .turn {
    margin-top: 0.75rem;
    padding-top: 0.5rem;
    border-top: 1px solid var(--line);
  }
  @media (max-width: 56rem) {
    .course {
      grid-template-columns: minmax(0, 1fr);
    }
    nav {
      grid-area: 2 / 1;
      position: static;
    }
    .course section {
      grid-area: 1 / 1;
    }
    nav button {
      min-height: 48px;
    }
  }
  @media print {
    .course {
      display: block;
    }
    h2 {
      break-after: avoid;
    }
  }
</style>
