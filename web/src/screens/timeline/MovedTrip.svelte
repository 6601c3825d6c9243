<script lang="ts">
  import TextField from "../../parts/controls/TextField.svelte";
  import * as common from "../../texts/common";
  import * as texts from "../../texts/timeline";
  import { say } from "../../texts/say";
  import { Button } from "carbon-components-svelte";
  import { day, percent } from "../../format/words";
  import Fault from "../../parts/Fault.svelte";
  import { axleParts } from "./axleParts";
  import type { TripMove } from "./tripMove.svelte";

  /** The effect of a trip on other days, and a button to move it. */
  let { trip }: { trip: TripMove } = $props();
  const row = $derived(trip.row);
  const rows = $derived(
    axleParts(trip.moved?.axles ?? []).map(({ label, axle, part, chance }) => ({
      label,
      now: percent(axle[`${part}_before`]!),
      then: percent(chance),
    })),
  );
</script>

{#if row}
  <form class="moved" aria-label={texts.otherDays} onsubmit={(event) => (event.preventDefault(), trip.keep())}>
    <TextField
      label={say(texts.nameBegins, { name: row.name })}
      type="date"
      value={trip.from}
      onchange={(event) => trip.on(event.currentTarget.value)}
    />
    <Fault text={trip.form.fault("from") || trip.form.first} />
    <div aria-live="polite">
      {#if trip.moved && trip.changed}
        <p><strong>{say(texts.dayRange, { day: day(trip.moved.from), day2: day(trip.moved.to) })}</strong></p>
        <ul class="plain-list">
          {#each rows as row (row.label)}
            <li>
              <span>{row.label}</span>
              <span class="number">{say(texts.chanceByTripsEnd, { then: row.then, now: row.now })}</span>
            </li>
          {/each}
        </ul>
      {:else}<p class="quiet">{texts.dragTheTrip}</p>{/if}
    </div>
    <div class="row">
      <Button type="submit" size="field" disabled={!trip.changed || trip.form.busy}>{texts.moveTrip}</Button>
      <Button size="field" kind="ghost" on:click={trip.cancel}>{common.cancel}</Button>
    </div>
  </form>
{/if}

<style>
  .moved {
    border-top: 1px solid var(--line);
    margin-top: 0.75rem;
    padding-top: 0.75rem;
    display: grid;
    gap: 0.5rem;
  }
  li {
    display: grid;
    grid-template-columns: 8rem 1fr;
    gap: 1rem;
    padding: 0.15rem 0;
  }
  p {
    margin: 0;
  }
</style>
