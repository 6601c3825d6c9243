<script lang="ts">
  import { Button, TextInput } from "carbon-components-svelte";
  import { push } from "svelte-spa-router";
  import { api, Refusal } from "../api/client";
  import JobView from "../components/JobView.svelte";
  import Problem from "../components/Problem.svelte";
  import { upperFirst } from "../format/words";
  import { JobPlanState } from "../state/jobPlan.svelte";
  import { Loader } from "../state/loader.svelte";

  let { params }: { params: { id: string; part?: string } } = $props();
  const id = $derived(Number(params.id));
  const proposed = new Loader<JobPlanState>();
  let planned = $state("");
  let fault = $state("");

  $effect(() => {
    const axle = id;
    proposed.load(async () => new JobPlanState(await api.proposedJob(axle)));
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

<svelte:head><title>Plan a job - Graver</title></svelte:head>

{#if proposed.error}<Problem error={proposed.error} />{/if}
{#if proposed.value?.plan}
  {@const plan_ = proposed.value.plan}
  <div class="stack">
    <div class="row spread">
      <div>
        <p class="quiet"><a href="#/vehicles/{plan_.vehicle.id}">{plan_.vehicle.name}</a></p>
        <h1>A job, as proposed</h1>
        <p>{plan_.title}</p>
      </div>
      <form class="row no-print" onsubmit={plan} novalidate>
        <TextInput labelText="Day (may stay open)" type="date" bind:value={planned} invalid={!!fault} invalidText={upperFirst(fault)} />
        <Button type="submit" size="field">Plan this job</Button>
      </form>
    </div>
    <JobView job={proposed.value} part={params.part ?? "scope"} base="#/axles/{id}/job-plan" />
  </div>
{:else if proposed.loading}
  <p class="quiet" role="status">Working it out…</p>
{/if}
