<script lang="ts">
  import TextField from "../../parts/controls/TextField.svelte";
  import Skeleton from "../../parts/Skeleton.svelte";
  import { currentPage } from "../../parts/currentPage.svelte";
  import * as common from "../../texts/common";
  import * as texts from "../../texts/job";
  import { say } from "../../texts/say";
  import { Button } from "carbon-components-svelte";
  import { push } from "svelte-spa-router";
  import { api, type Schemas } from "../../api/client";
  import JobView from "./JobView.svelte";
  import Problem from "../../parts/Problem.svelte";
  import { day, listed } from "../../format/words";
  import { JobPlanState } from "../../parts/jobPlan.svelte";
  import { Loader } from "../../parts/loader.svelte";
  import { FormState } from "../../parts/formState.svelte";

  let { params }: { params: { id: string; part?: string } } = $props();
  const id = $derived(Number(params.id));
  $effect(() => currentPage.at({ axle: id }, "jobs"));
  const proposed = new Loader<{ job: JobPlanState; there: Schemas["JobOpen"] | null }>();
  let planned = $state("");
  const form = new FormState();

  $effect(() => {
    const axle = id;
    proposed.load(async () => {
      const plan = await api.proposedJob(axle);
      const vehicle = await api.vehicle(plan.vehicle.id);
      const has = vehicle.axles.find((each) => each.id === axle)?.job?.id;
      return { job: new JobPlanState(plan), there: vehicle.jobs_open.find((job) => job.id === has) ?? null };
    });
  });

  async function plan(event: SubmitEvent) {
    event.preventDefault();
    await form.act(async () => {
      const job = await api.planJob(id, planned || null);
      await push(`/jobs/${job.id}`);
    });
  }
</script>

{#if proposed.error}<Problem error={proposed.error} />{/if}
{#if proposed.value?.job.plan}
  {@const plan_ = proposed.value.job.plan}
  {@const there = proposed.value.there}
  <div class="stack">
    <div class="row spread">
      <div>
        <h1>{texts.aJobAsProposed}</h1>
        <p>{plan_.title}</p>
        {#if there}<p role="status">
            <strong>{texts.axleHasJob}</strong>
            {say(texts.changeThatOne, {
              said: listed(
                there.what,
                common.jobState[there.state] ?? there.state,
                there.planned_for && day(there.planned_for),
              ),
            })}
          </p>{/if}
      </div>
      <form class="row no-print" onsubmit={plan} novalidate>
        <TextField label={texts.optionalDate} type="date" bind:value={planned} fault={form.first} />
        {#if there}<Button size="field" href="#/jobs/{there.id}">{texts.openTheJob}</Button>{/if}
        <Button type="submit" size="field" kind={there ? "tertiary" : "primary"}
          >{there ? texts.planASecondJob : texts.planThisJob}</Button
        >
      </form>
    </div>
    <JobView job={proposed.value.job} part={params.part ?? "scope"} base="#/axles/{id}/job-plan" />
  </div>
{:else if proposed.loading}
  <Skeleton />
{/if}
