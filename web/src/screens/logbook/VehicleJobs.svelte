<script lang="ts">
  import Skeleton from "../../parts/Skeleton.svelte";
  import * as common from "../../texts/common";
  import * as texts from "../../texts/logbook";
  import { say } from "../../texts/say";
  import { Button } from "carbon-components-svelte";
  import { amount } from "../../format/jobs";
  import { axleWord, day } from "../../format/words";
  import Problem from "../../parts/Problem.svelte";
  import { vehicleAt } from "./vehicleAt.svelte";

  /** The jobs of a vehicle: planned, in progress and finished. */
  let { params }: { params: { id: string } } = $props();
  const loaded = vehicleAt(() => Number(params.id), "jobs");
</script>

{#if loaded.error}<Problem error={loaded.error} />{/if}
{#if loaded.value}
  {@const vehicle = loaded.value}
  <div class="stack">
    <div class="row spread">
      <h1>{texts.jobsTitle}</h1>
      <p class="row">
        {#each vehicle.axles.filter((axle) => !axle.job) as axle (axle.id)}
          <Button size="field" kind="tertiary" href="#/axles/{axle.id}/job-plan"
            >{say(texts.planJob, { axle: axleWord(axle.name) })}</Button
          >
        {/each}
      </p>
    </div>
    <section class="sheet">
      <h2>{texts.openJobs}</h2>
      {#if vehicle.jobs_open.length}
        <ul class="plain-list jobs">
          {#each vehicle.jobs_open as job (job.id)}<li>
              <a href="#/jobs/{job.id}">{job.what}</a>
              <span class="quiet"
                >{common.jobState[job.state] ?? job.state}, {job.planned_for
                  ? say(texts.forDay, { day: day(job.planned_for) })
                  : texts.noDate}</span
              >
              {#if job.state === "in_progress"}<a href="#/jobs/{job.id}/car">{texts.continueAtTheCar}</a>{/if}
            </li>{/each}
        </ul>
      {:else}<p>{texts.noneOpen}</p>{/if}
    </section>
    <section class="sheet">
      <h2>{texts.doneJobs}</h2>
      {#if vehicle.jobs_done.length}
        <ul class="plain-list jobs">
          {#each vehicle.jobs_done as job (job.id)}<li>
              <a href="#/jobs/{job.id}">{day(job.day)}: {job.what}</a>
              <span class="quiet"
                >{[
                  job.hours ? say(texts.hoursSpent, { hours: job.hours }) : "",
                  job.spent !== null ? say(texts.spent, { amount: amount(job.spent) }) : "",
                ]
                  .filter(Boolean)
                  .join(", ")}</span
              >
            </li>{/each}
        </ul>
      {:else}<p>{texts.noneDone}</p>{/if}
    </section>
  </div>
{:else if loaded.loading}
  <Skeleton />
{/if}

<style>
  .jobs li {
    display: flex;
    flex-wrap: wrap;
    gap: 0.25rem 1rem;
    padding: 0.5rem 0;
    border-bottom: 1px solid var(--line);
  }
</style>
