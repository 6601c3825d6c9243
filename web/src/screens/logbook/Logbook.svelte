<script lang="ts">
  import SelectField from "../../parts/controls/SelectField.svelte";
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
      <SelectField
        label={texts.vehicle}
        bind:value={only}
        options={[
          { id: "", label: texts.all },
          ...loaded.value.map((vehicle) => ({ id: String(vehicle.id), label: vehicle.name })),
        ]}
      />
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
