<script lang="ts">
  import JobClosed from "./JobClosed.svelte";
  import TextField from "../../parts/controls/TextField.svelte";
  import PlainButton from "../../parts/controls/PlainButton.svelte";
  import Skeleton from "../../parts/Skeleton.svelte";
  import { currentPage } from "../../parts/currentPage.svelte";
  import * as common from "../../texts/common";
  import * as texts from "../../texts/job";
  import { atDevice } from "../../parts/atDevice.svelte";
  import { say } from "../../texts/say";
  import { Button } from "carbon-components-svelte";
  import { push } from "svelte-spa-router";
  import { api } from "../../api/client";
  import JobAfterwards from "./JobAfterwards.svelte";
  import JobApart from "./JobApart.svelte";
  import JobFinish from "./JobFinish.svelte";
  import JobHalts from "./JobHalts.svelte";
  import JobView from "./JobView.svelte";
  import Problem from "../../parts/Problem.svelte";
  import Shortcuts from "../../parts/Shortcuts.svelte";
  import { day } from "../../format/words";
  import { JobPlanState } from "../../parts/jobPlan.svelte";
  import { Loader } from "../../parts/loader.svelte";
  import { outbox } from "../../parts/outbox.svelte";

  let { params }: { params: { id: string; part?: string } } = $props();
  const id = $derived(Number(params.id));
  const loaded = new Loader<JobPlanState>();
  let asking = $state<"ready" | "finished" | "day" | "cancel" | null>(null);
  let because = $state("");
  let planned = $state("");

  $effect(() => {
    const of = id;
    // what was asked of another job is not asked of this one
    asking = null;
    loaded.load(async () => new JobPlanState(await api.job(of)));
  });

  const job = $derived(loaded.value);
  $effect(() => (job ? outbox.listen(job.answered) : undefined));
  const plan = $derived(job?.plan);
  const working = $derived(plan?.state === "in_progress");
  // Another device may be at the car.
  $effect(() => (working ? job?.follow() : undefined));
  $effect(() => currentPage.at({ vehicle: plan?.vehicle.id }, "jobs", plan?.title));
  const part = $derived(params.part ?? (plan && ["in_progress", "finished"].includes(plan.state) ? "steps" : "ready"));
  const next = $derived(plan?.steps?.find((step) => !plan.ticked.includes(step.key)));
  const open = $derived(plan?.readiness.filter((item) => item.blocks && !item.resolved).length ?? 0);
  const STATES = ["draft", "ready", "in_progress", "finished"];

  async function ready() {
    if (open && !because.trim()) return void (asking = "ready");
    if (await job!.change({ state: "ready", because: because.trim() || null })) [asking, because] = [null, ""];
    else asking = "ready";
  }
  async function setDay(event: SubmitEvent) {
    event.preventDefault();
    if (await job!.change({ planned_for: planned })) asking = null;
  }
</script>

<Shortcuts
  keys={{
    y: () => push(`/jobs/${id}/ready`),
    s: () => push(`/jobs/${id}/steps`),
    c: () => push(`/jobs/${id}/car`),
    t: () => push(`/jobs/${id}/torque`),
    p: () => push(`/jobs/${id}/parts`),
  }}
/>
{#if loaded.error}<Problem error={loaded.error} />{/if}
{#if job && plan}
  <div class="stack">
    <div class="row spread">
      <div class="grow" class:line={plan.state === "in_progress"}>
        <h1 class:working={plan.state === "in_progress"}>{plan.title}</h1>
        <div class="row when">
          <p>{plan.planned_for ? day(plan.planned_for) : texts.noDateYet}</p>
          <ol class="way" aria-label={texts.stateOfTheJob}>
            {#each plan.state === "cancelled" ? ["draft", "cancelled"] : STATES as state (state)}<li
                class:here={state === plan.state}
                aria-current={state === plan.state ? "step" : undefined}
              >
                {common.jobState[state]}
              </li>{/each}
          </ol>
        </div>
        {#if plan.ready_because && plan.state !== "finished"}<p class="quiet">
            {say(texts.markedAsReadyWithOpen, { readyBecause: plan.ready_because })}
          </p>{/if}
      </div>
      <div class="row no-print">
        {#if atDevice.guest}<!-- Only read. -->
        {:else if plan.state === "draft"}
          <Button size="field" disabled={!plan.steps} on:click={ready}>{texts.markAsReady}</Button>
        {:else if plan.state === "ready"}
          <Button
            size="field"
            on:click={async () => {
              if (await job.change({ state: "in_progress" })) await push(`/jobs/${id}/car`);
            }}>{texts.startJob}</Button
          >
          <Button size="field" kind="ghost" on:click={() => job.change({ state: "draft" })}>{texts.backToDraft}</Button>
        {:else if plan.state === "in_progress"}
          {#if next}<Button size="field" href="#/jobs/{id}/car">{texts.atTheCar}</Button>{/if}
          <Button size="field" kind="tertiary" on:click={() => (asking = "finished")}>{texts.finishJob}</Button>
        {:else if plan.state === "finished"}
          <Button size="field" kind="tertiary" href="#/vehicles/{plan.vehicle.id}"
            >{say(texts.toName, { name: plan.vehicle.name })}</Button
          >
        {:else if plan.state === "cancelled"}
          <Button size="field" on:click={() => job.restore()}>{common.restoreJob}</Button>
        {/if}
        {#if job.open}
          <Button size="field" kind="ghost" on:click={() => ([asking, planned] = ["day", plan.planned_for ?? ""])}
            >{texts.setDate}</Button
          >
          <Button size="field" kind="ghost" on:click={() => (plan.apart.length ? (asking = "cancel") : job.cancel())}
            >{texts.cancelJob}</Button
          >
        {/if}
      </div>
    </div>
    {#if asking === "day"}
      <form class="sheet row ask" onsubmit={setDay} novalidate>
        <TextField label={common.day} first type="date" bind:value={planned} fault={job.fault("planned_for")} />
        <Button type="submit" size="field">{common.save}</Button><Button
          size="field"
          kind="ghost"
          on:click={() => (asking = null)}>{common.cancel}</Button
        >
      </form>
    {:else if asking === "ready"}
      <form
        class="sheet row ask"
        onsubmit={(event) => {
          event.preventDefault();
          ready();
        }}
        novalidate
      >
        <p class="wide">
          <strong>{say(texts.openOpenStillOpen, { open })}</strong>
          {texts.clearThemBelowOrGive}
        </p>
        <TextField label={common.reason} width="long" first maxlength={500} bind:value={because} />
        <Button type="submit" size="field" disabled={!because.trim()}>{texts.goAheadAnyway}</Button><Button
          size="field"
          kind="ghost"
          on:click={() => (asking = null)}>{common.cancel}</Button
        >
      </form>
    {:else if asking === "finished"}
      <JobFinish {job} close={() => (asking = null)} />
    {/if}
    {#if asking !== "finished" && job.fault("state")}<p class="fault" role="alert">
        {job.fault("state")}
      </p>{/if}
    {#if job.refused && !job.refused.faults.length}<p class="fault away" role="alert">
        {say(texts.notSavedMessage, { message: job.refused.message })}
      </p>{/if}
    {#if plan.state === "cancelled"}<p role="status">
        {texts.cancelledNote}
        <PlainButton look="link" onclick={() => job.restore()}>{common.restore}</PlainButton>
      </p>{/if}
    <JobApart {job} cancelling={asking === "cancel"} done={() => (asking = null)} />
    <JobHalts {job} />
    {#if plan.closed}
      <JobClosed {plan} closed={plan.closed} />
    {/if}
    {#if plan.state === "finished"}<JobAfterwards {job} />{/if}
    <JobView {job} {part} base="#/jobs/{id}" />
  </div>
{:else if loaded.loading}
  <Skeleton />
{/if}

<style>
  h1 {
    font-size: 1.6rem;
  }
  .line {
    display: flex;
    flex-wrap: wrap;
    gap: 0 1.25rem;
    align-items: baseline;
  }
  .working {
    font-size: 1.2rem;
  }
  .when {
    gap: 0.25rem 1.25rem;
    align-items: baseline;
  }
  .way {
    list-style: none;
    display: flex;
    flex-wrap: wrap;
    gap: 0;
    margin: 0;
    padding: 0;
  }
  .way li {
    font-size: 0.9375rem;
    color: var(--quiet);
  }
  .way li + li::before {
    content: "›";
    margin: 0 0.5rem;
    color: var(--quiet);
    font-weight: 400;
  }
  .way .here {
    color: var(--ink);
    font-weight: 700;
  }
  .ask {
    align-items: end;
  }
  .wide {
    flex: 1 1 100%;
  }
  .away {
    position: sticky;
    top: 0;
    z-index: 5;
    background: var(--sheet);
    border: 2px solid var(--stop);
    padding: 0.4rem 0.75rem;
  }
</style>
