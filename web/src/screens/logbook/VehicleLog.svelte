<script lang="ts">
  import Skeleton from "../../parts/Skeleton.svelte";
  import * as texts from "../../texts/logbook";
  import * as reports from "../../texts/report";
  import { say } from "../../texts/say";
  import Problem from "../../parts/Problem.svelte";
  import { vehicleAt } from "./vehicleAt.svelte";
  import LogLines from "./LogLines.svelte";
  import SetStories from "./SetStories.svelte";

  /** The log of one vehicle. */
  let { params }: { params: { id: string } } = $props();
  const loaded = vehicleAt(() => Number(params.id), "log");
</script>

{#if loaded.error}<Problem error={loaded.error} />{/if}
{#if loaded.value}
  {@const vehicle = loaded.value}
  <div class="stack">
    <div class="row spread">
      <h1>{texts.title}</h1>
      <p class="row">
        <a href="#/vehicles/{vehicle.id}/report">{reports.link}</a>
        <a href="#/vehicles/{vehicle.id}/import">{texts.importInto}</a>
        <a href="/api/v1/vehicles/{vehicle.id}/log.csv" download>{say(texts.exportOf, { name: vehicle.name })}</a>
      </p>
    </div>
    <LogLines vehicle={params.id} />
    <section class="sheet">
      <h2>{texts.sets}</h2>
      <SetStories vehicle={params.id} />
    </section>
  </div>
{:else if loaded.loading}
  <Skeleton />
{/if}
