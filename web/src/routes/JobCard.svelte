<script lang="ts">
  import { Button, TextInput } from "carbon-components-svelte";
  import { push } from "svelte-spa-router";
  import { api, Refusal, type Schemas } from "../api/client";
  import JobCardView from "../components/JobCardView.svelte";
  import Problem from "../components/Problem.svelte";
  import { upperFirst } from "../format/words";
  import { Loader } from "../state/loader.svelte";

  let { params }: { params: { id: string } } = $props();
  const id = $derived(Number(params.id));
  const card = new Loader<Schemas["JobCard"]>();
  let planned = $state("");
  let fault = $state("");

  $effect(() => {
    const axle = id;
    card.load(() => api.jobCard(axle));
  });

  async function plan(event: SubmitEvent) {
    event.preventDefault();
    try {
      const job = await api.planJob(id, planned || null);
      await push(`/jobs/${job.id}`);
    } catch (error) {
      fault = error instanceof Refusal ? (error.faults[0]?.message ?? error.message) : String(error);
    }
  }
</script>

<svelte:head><title>Job card - Graver</title></svelte:head>

{#if card.error}<Problem error={card.error} />{/if}
{#if card.value}
  <div class="stack">
    <div class="row spread">
      <div>
        <p class="quiet"><a href="#/vehicles/{card.value.axle_name.vehicle_id}">{card.value.axle_name.vehicle_name}</a></p>
        <h1>{card.value.label}, {card.value.axle_name.name} axle</h1>
      </div>
      <form class="row no-print" onsubmit={plan} novalidate>
        <TextInput size="sm" type="date" labelText="Plan it for" bind:value={planned} invalid={!!fault} invalidText={upperFirst(fault)} />
        <Button size="field" type="submit">Plan this job</Button>
        <Button size="field" kind="tertiary" on:click={() => window.print()}>Print</Button>
      </form>
    </div>
    <JobCardView card={card.value} />
  </div>
{/if}
