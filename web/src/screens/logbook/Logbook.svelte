<script lang="ts">
  import Skeleton from "../../parts/Skeleton.svelte";
  import * as texts from "../../texts/logbook";
  import { say } from "../../texts/say";
  import { lazyApi } from "../../api/lazyApi";
  import { api, type Schemas } from "../../api/client";
  import Problem from "../../parts/Problem.svelte";
  import { Loader } from "../../parts/loader.svelte";
  import { entriesOf } from "./entries";
  import LogTable from "./LogTable.svelte";

  /** The log of all vehicles. */
  const loaded = new Loader<Schemas["Vehicle"][]>();
  void loaded.load(async () => {
    const { vehicles } = await lazyApi.places();
    return Promise.all(vehicles.map((vehicle) => api.vehicle(vehicle.id)));
  });
  let only = $state("");
  const shown = $derived((loaded.value ?? []).filter((vehicle) => !only || String(vehicle.id) === only));
</script>

<svelte:head><title>{texts.titleGraver}</title></svelte:head>
{#if loaded.error}<Problem error={loaded.error} />{/if}
{#if loaded.value}
  <div class="stack">
    <div class="row spread">
      <h1>{texts.title}</h1>
      <label class="which"
        >{texts.vehicle}
        <select bind:value={only}
          ><option value="">{texts.all}</option>{#each loaded.value as vehicle (vehicle.id)}<option
              value={String(vehicle.id)}>{vehicle.name}</option
            >{/each}</select
        ></label
      >
      <p class="row">
        {#each shown as vehicle (vehicle.id)}<a href="/api/v1/vehicles/{vehicle.id}/log.csv" download
            >{say(texts.exportOf, { name: vehicle.name })}</a
          >{/each}
      </p>
    </div>
    <LogTable entries={shown.flatMap(entriesOf)} vehicles />
  </div>
{:else if loaded.loading}
  <Skeleton />
{/if}

<style>
  .which {
    display: flex;
    gap: 0.5rem;
    align-items: center;
  }
  select {
    font: inherit;
    min-height: 2.5rem;
    border: 1px solid var(--quiet);
    background: var(--sheet);
    color: var(--ink);
  }
</style>
