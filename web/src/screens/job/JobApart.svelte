<script lang="ts">
  import TextField from "../../parts/controls/TextField.svelte";
  import * as texts from "../../texts/job";
  import { Button } from "carbon-components-svelte";
  import Fault from "../../parts/Fault.svelte";
  import type { JobPlanState } from "../../parts/jobPlan.svelte";

  /** The state of the brake in a job: what is apart, why the vehicle must not be driven, and the ways to stop. */
  let { job, cancelling, done }: { job: JobPlanState; cancelling: boolean; done: () => void } = $props();
  const plan = $derived(job.plan!);
  let paused = $state(false);
  let because = $state("");

  async function together(event: SubmitEvent) {
    event.preventDefault();
    if (await job.together(because)) because = "";
  }
</script>

{#snippet places()}
  <ul>
    {#each plan.apart as place (place)}<li>{place}</li>{/each}
  </ul>
{/snippet}

{#if plan.stops.length && !plan.halts.length}
  <section class="sheet stop" role="alert">
    <h2>{texts.doNotDrive}</h2>
    <p>{texts.notDrivenBecause}</p>
    <ul>
      {#each plan.stops as reason (reason)}<li>{reason}</li>{/each}
    </ul>
  </section>
{/if}
{#if plan.undriven && job.ongoing}<p class="sheet" role="status">{texts.endsUndriven}</p>{/if}
{#if cancelling && plan.apart.length}
  <section class="sheet stop" role="alert">
    <h2>{texts.brakeIsApart}</h2>
    {@render places()}
    <p>{texts.saysStop} {texts.putBackMeans}</p>
    <div class="row">
      <Button size="field" disabled={job.busy} on:click={async () => (await job.putBack()) && done()}
        >{texts.putBack}</Button
      >
      <Button
        size="field"
        kind="danger-tertiary"
        disabled={job.busy}
        on:click={async () => (await job.cancel(true)) && done()}>{texts.cancelLeaveApart}</Button
      >
      <Button size="field" kind="ghost" on:click={done}>{texts.keepWorking}</Button>
    </div>
    <Fault text={job.refused?.faults.map((fault) => fault.message).join(" ") ?? ""} />
  </section>
{:else if plan.apart.length && job.ongoing}
  <details class="sheet apart no-print">
    <summary><strong>{texts.apartNow}</strong> {plan.apart.join(". ")}.</summary>
    <p class="quiet">{texts.saysStop} {texts.putBackMeans}</p>
    {#if job.open}<div class="row">
        <Button size="field" kind="tertiary" disabled={job.busy} on:click={async () => (paused = await job.pause())}
          >{texts.pauseJob}</Button
        >
        <Button size="field" kind="ghost" disabled={job.busy} on:click={() => job.putBack()}>{texts.putBack}</Button>
      </div>{/if}
    {#if paused}<p role="status">{texts.pausedListed}</p>{/if}
  </details>
{:else if plan.apart.length}
  {@const undriven = plan.closed?.do_not_drive ?? []}
  <section class="sheet stop">
    <h2>{undriven.length ? texts.doNotDrive : texts.leftApart}</h2>
    {#if undriven.length}
      <p>{texts.leftUndriven}</p>
      <ul>
        {#each undriven as reason (reason)}<li>{reason}</li>{/each}
      </ul>
    {:else}{@render places()}{/if}
    <p>{texts.saysStop}</p>
    <form class="row" onsubmit={together} novalidate>
      <TextField
        label={undriven.length ? texts.whoFixedIt : texts.whoPutItTogether}
        width="long"
        maxlength={500}
        bind:value={because}
      />
      <Button type="submit" size="field" kind="tertiary" disabled={!because.trim() || job.busy}
        >{undriven.length ? texts.fixedAndTested : texts.isTogether}</Button
      >
      <Fault text={job.fault("because")} />
    </form>
  </section>
{/if}

<style>
  section {
    display: grid;
    gap: 0.5rem;
  }
  .apart {
    padding-top: 0.6rem;
    padding-bottom: 0.6rem;
  }
  .apart[open] summary {
    margin-bottom: 0.5rem;
  }
  .apart .row {
    margin-top: 0.5rem;
  }
  p,
  h2 {
    margin: 0;
  }
  .stop {
    border-left: 8px solid var(--stop);
  }
  .stop h2 {
    color: var(--stop);
  }
  ul {
    margin: 0;
    padding-left: 1.2rem;
    list-style: disc;
  }
</style>
