<script lang="ts">
  import { Button } from "carbon-components-svelte";
  import { api, Refusal, type Schemas } from "../api/client";
  import JobCardView from "../components/JobCardView.svelte";
  import Problem from "../components/Problem.svelte";
  import { day, upperFirst } from "../format/words";
  import { Loader } from "../state/loader.svelte";

  let { params }: { params: { id: string } } = $props();
  const id = $derived(Number(params.id));
  const job = new Loader<Schemas["Job"]>();
  let refused = $state("");

  $effect(() => {
    const of = id;
    job.load(() => api.job(of));
  });

  async function change(act: () => Promise<Schemas["Job"]>) {
    try {
      job.value = await act();
      refused = "";
    } catch (error) {
      refused = error instanceof Refusal ? (error.faults[0]?.message ?? error.message) : String(error);
    }
  }
  const next = $derived(job.value?.card.steps?.find((step) => !job.value!.ticked.includes(step.key)));
  const goOn = () => document.querySelector(`[data-step="${next!.key}"]`)?.scrollIntoView({ block: "center" });
  const closed = $derived(job.value?.state === "finished" || job.value?.state === "dropped");
</script>

<svelte:head><title>Job - Graver</title></svelte:head>

{#if job.error}<Problem error={job.error} />{/if}
{#if job.value}
  {@const card = job.value.card}
  <div class="stack">
    <div class="row spread">
      <div>
        <p class="quiet"><a href="#/vehicles/{card.axle_name.vehicle_id}">{card.axle_name.vehicle_name}</a></p>
        <h1>{card.label}, {card.axle_name.name} axle</h1>
        <p>
          {#if job.value.state === "planned"}Planned{job.value.planned_for ? ` for ${day(job.value.planned_for)}` : ""}
          {:else if job.value.state === "started"}Under way: {job.value.ticked.length} of {card.steps?.length ?? 0} steps done
          {:else}{upperFirst(job.value.state)}{/if}
        </p>
      </div>
      <div class="row no-print">
        {#if !closed}
          {#if next}<Button size="field" on:click={goOn}>{job.value.ticked.length ? "Go on" : "Begin"}</Button>{/if}
          <Button size="field" kind="tertiary" on:click={() => change(() => api.changeJob(id, { state: "finished" }))}>Finish</Button>
          <Button size="field" kind="ghost" on:click={() => change(() => api.changeJob(id, { state: "dropped" }))}>Drop it</Button>
        {:else if job.value.state === "finished"}
          <Button size="field" href="#/axles/{card.axle_name.id}/look-over">Log the new pads</Button>
        {/if}
        <Button size="field" kind="tertiary" on:click={() => window.print()}>Print</Button>
      </div>
    </div>
    {#if refused}<p class="refused" role="alert">{upperFirst(refused)}</p>{/if}
    <JobCardView {card} ticked={job.value.ticked} ontick={closed ? null : (step, done) => change(() => api.tick(id, step, done))} />
  </div>
{/if}

<style>
  .refused { color: var(--stop); font-weight: 600; }
</style>
