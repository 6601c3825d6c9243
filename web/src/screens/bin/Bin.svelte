<script lang="ts">
  import Skeleton from "../../parts/Skeleton.svelte";
  import * as common from "../../texts/common";
  import * as texts from "../../texts/bin";
  import { say } from "../../texts/say";
  import { Button } from "carbon-components-svelte";
  import { lazyApi } from "../../api/lazyApi";
  import { api, type Schemas } from "../../api/client";
  import Problem from "../../parts/Problem.svelte";
  import { day } from "../../format/words";
  import { Loader } from "../../parts/loader.svelte";

  /** Archived vehicles, cancelled jobs, and inspections that were started over. */
  const loaded = new Loader<Schemas["Bin"]>();
  const load = () => loaded.load(lazyApi.bin);
  load();
  let said = $state("");
  let failed = $state.raw<unknown>(null);

  async function restore(what: () => Promise<unknown>, name: string) {
    try {
      await what();
      [said, failed] = [say(texts.restoredName, { name }), null];
      await load();
    } catch (error) {
      failed = error;
    }
  }
</script>

<svelte:head><title>{texts.binGraver}</title></svelte:head>
{#if loaded.error ?? failed}<Problem error={loaded.error ?? failed} />{/if}
{#if loaded.value}
  {@const { vehicles, jobs, drafts } = loaded.value}
  <div class="stack">
    <div class="row spread">
      <h1>{common.bin}</h1>
      <a href="#/backups">{texts.backups}</a>
    </div>
    <p role="status">{said}</p>
    {#if !vehicles.length && !jobs.length && !drafts.length}
      <p class="sheet">
        {texts.theBinIsEmptyArchived}
      </p>
    {/if}
    {#if vehicles.length}
      <section class="sheet">
        <h2>{texts.archivedVehicles}</h2>
        <ul class="plain-list">
          {#each vehicles as vehicle (vehicle.id)}<li>
              <a href="#/vehicles/{vehicle.id}">{vehicle.name}</a><Button
                size="small"
                kind="tertiary"
                on:click={() => restore(() => api.changeVehicle(vehicle.id, { archived: false }), vehicle.name)}
                >{say(texts.restoreName, { name: vehicle.name })}</Button
              >
            </li>{/each}
        </ul>
      </section>
    {/if}
    {#if jobs.length}
      <section class="sheet">
        <h2>{texts.cancelledJobs}</h2>
        <ul class="plain-list">
          {#each jobs as job (job.id)}<li>
              <a href="#/jobs/{job.id}">{job.vehicle}: {job.what}</a><Button
                size="small"
                kind="tertiary"
                on:click={() => restore(() => lazyApi.restoreJob(job.id), `${job.vehicle}, ${job.what}`)}
                >{common.restoreJob}</Button
              >
            </li>{/each}
        </ul>
      </section>
    {/if}
    {#if drafts.length}
      <section class="sheet">
        <h2>{texts.discardedInspections}</h2>
        <p class="quiet">{texts.restoringMovesTheOther}</p>
        <ul class="plain-list">
          {#each drafts as draft (draft.id)}<li>
              <span
                >{say(texts.draftLastEdited, {
                  vehicle: draft.vehicle,
                  day: day(draft.recorded_at.slice(0, 10)),
                })}</span
              ><Button
                size="small"
                kind="tertiary"
                on:click={() =>
                  restore(
                    () => lazyApi.restoreDraft(draft.id),
                    say(texts.inspectionOfVehicle, { vehicle: draft.vehicle }),
                  )}>{texts.restoreInspection}</Button
              >
            </li>{/each}
        </ul>
      </section>
    {/if}
  </div>
{:else if loaded.loading}
  <Skeleton />
{/if}

<style>
  li {
    display: flex;
    flex-wrap: wrap;
    gap: 0.5rem 1rem;
    justify-content: space-between;
    align-items: center;
    padding: 0.3rem 0;
    border-top: 1px solid var(--line);
  }
  li:first-child {
    border-top: 0;
  }
</style>
