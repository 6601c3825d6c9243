<script lang="ts">
  import SelectField from "../../parts/controls/SelectField.svelte";
  import * as texts from "../../texts/logbook";
  import { say } from "../../texts/say";
  import { lazyApi } from "../../api/lazyApi";
  import type { Schemas } from "../../api/client";
  import Problem from "../../parts/Problem.svelte";
  import { Loader } from "../../parts/loader.svelte";
  import LogLines from "./LogLines.svelte";

  /** Log, sets and costs of all vehicles. */
  let { params = {} }: { params?: { part?: string } } = $props();
  const loaded = new Loader<Schemas["Places"]>();
  void loaded.load(lazyApi.places);
  let only = $state("");
  const part = $derived(params.part ?? "log");
  const vehicles = $derived(loaded.value?.vehicles ?? []);
  const shown = $derived(vehicles.filter((vehicle) => !only || String(vehicle.id) === only));
</script>

<svelte:head><title>{texts.titleGraver}</title></svelte:head>
{#if loaded.error}<Problem error={loaded.error} />{/if}
<div class="stack">
  <div class="row spread">
    <h1>{texts.title}</h1>
    <nav class="row" aria-label={texts.title}>
      {#each texts.parts as [id, label] (id)}
        <a href={id === "log" ? "#/logbook" : `#/logbook/${id}`} aria-current={part === id ? "page" : undefined}
          >{label}</a
        >
      {/each}
    </nav>
    {#if part !== "costs"}
      <SelectField
        label={texts.vehicle}
        bind:value={only}
        options={[
          { id: "", label: texts.all },
          ...vehicles.map((vehicle) => ({ id: String(vehicle.id), label: vehicle.name })),
        ]}
      />
    {/if}
  </div>
  {#if part === "sets"}
    <section class="sheet">
      {#await import("./SetStories.svelte") then { default: SetStories }}<SetStories
          vehicle={only || undefined}
        />{/await}
    </section>
  {:else if part === "costs"}
    <section class="sheet">
      {#await import("./Costs.svelte") then { default: Costs }}<Costs />{/await}
    </section>
  {:else}
    <LogLines vehicle={only || undefined} />
    <p class="row">
      {#each shown as vehicle (vehicle.id)}<a href="/api/v1/vehicles/{vehicle.id}/log.csv" download
          >{say(texts.exportOf, { name: vehicle.name })}</a
        >{/each}
    </p>
  {/if}
</div>

<style>
  nav a {
    padding: 0.4rem 0.2rem;
  }
  nav a[aria-current] {
    font-weight: 600;
    color: inherit;
    text-decoration: none;
    border-bottom: 3px solid var(--brand, #b9802f);
  }
</style>
