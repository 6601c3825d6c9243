<script lang="ts">
  import * as common from "../../texts/common";
  import * as texts from "../../texts/vehicle";
  import type { Schemas } from "../../api/client";
  import { day, exact, upperFirst } from "../../format/words";

  /** The newest entries of the logbook. */
  let { vehicle }: { vehicle: Schemas["Vehicle"] } = $props();
  /** Entries shown here; the rest has its own page. */
  const NEWEST = 6;
</script>

<section class="sheet">
  <h2>{texts.logbook}</h2>
  {#if vehicle.log.length}
    <div class="scroll">
      <table>
        <thead
          ><tr><th>{common.day}</th><th>{common.odometer}</th><th>{common.what}</th><th>{common.note}</th></tr></thead
        >
        <tbody>
          {#each vehicle.log.slice(0, NEWEST) as entry (entry.id)}
            <tr
              ><td><a href="#/inspections/{entry.id}">{day(entry.date)}</a></td><td
                >{exact(entry.odometer_km, vehicle.distance_unit)}</td
              ><td>{upperFirst(entry.what)}</td><td>{entry.note ?? ""}</td></tr
            >
          {/each}
        </tbody>
      </table>
    </div>
  {:else}
    <p>{texts.nothingLoggedHint}</p>
  {/if}
  <div class="row links">
    <a href="#/vehicles/{vehicle.id}/log">{texts.wholeLogbook}</a>
    <a href="#/vehicles/{vehicle.id}/jobs">{texts.allJobs}</a>
    <a href="#/vehicles/{vehicle.id}/import">{common.importASpreadsheet}</a>
  </div>
</section>

<style>
  .links {
    margin-top: 0.75rem;
  }
</style>
