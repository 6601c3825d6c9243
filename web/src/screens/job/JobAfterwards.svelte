<script lang="ts">
  import TextField from "../../parts/controls/TextField.svelte";
  import * as texts from "../../texts/job";
  import { say } from "../../texts/say";
  import { Button } from "carbon-components-svelte";
  import type { JobPlanState } from "../../parts/jobPlan.svelte";

  /** Tasks after a finished job: each is ticked with its odometer. */
  let { job }: { job: JobPlanState } = $props();
  const plan = $derived(job.plan!);
  const steps = $derived(plan.steps?.filter((step) => step.after) ?? []);
  const open = $derived(steps.filter((step) => !plan.ticked.includes(step.key)));
  let odometer = $state("");

  async function done(step: string) {
    const unit = plan.vehicle.distance_unit;
    if (await job.tickAfterwards(step, { value: odometer, unit })) odometer = "";
  }
</script>

{#if open.length && !plan.closed?.do_not_drive.length}
  <section class="sheet">
    <h2>{texts.afterTheJob}</h2>
    <TextField
      label={say(texts.odometerNow, { distanceUnit: plan.vehicle.distance_unit })}
      inputmode="decimal"
      bind:value={odometer}
      fault={job.fault("odometer.value")}
    />
    <ul>
      {#each open as step (step.key)}
        <li>
          <span>{step.text}</span>
          <Button size="small" kind="tertiary" disabled={job.busy || !odometer.trim()} on:click={() => done(step.key)}
            >{texts.doneAtThisOdometer}</Button
          >
        </li>
      {/each}
    </ul>
  </section>
{/if}

<style>
  section {
    display: grid;
    gap: 0.6rem;
  }
  h2 {
    margin: 0;
  }
  ul {
    list-style: none;
    margin: 0;
    padding: 0;
    display: grid;
    gap: 0.5rem;
  }
  li {
    display: flex;
    flex-wrap: wrap;
    gap: 0.5rem 1rem;
    align-items: center;
    justify-content: space-between;
  }
  li span {
    flex: 1 1 20rem;
  }
</style>
