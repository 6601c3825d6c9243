<script lang="ts">
  import CalendarFeed from "./CalendarFeed.svelte";
  import Skeleton from "../../parts/Skeleton.svelte";
  import * as common from "../../texts/common";
  import * as texts from "../../texts/householdTimeline";
  import { say } from "../../texts/say";
  import { api, type Schemas } from "../../api/client";
  import Problem from "../../parts/Problem.svelte";
  import SaveSvg from "../../parts/SaveSvg.svelte";
  import Timeline from "../../parts/Timeline.svelte";
  import { allLanes } from "../../parts/timelineScale";
  import { day, month } from "../../format/words";
  import { Loader } from "../../parts/loader.svelte";

  /** The events of all vehicles, on one scale, and as a list. */
  const loaded = new Loader<{ garage: Schemas["Garage"]; lines: Schemas["Timelines"] }>();
  void loaded.load(async () => {
    const [garage, lines] = await Promise.all([api.garage(), api.timelines()]);
    return { garage, lines };
  });
  const next = $derived(
    (loaded.value?.lines.vehicles ?? [])
      .flatMap((line) => line.events.map((event) => ({ ...event, vehicle: line.vehicle_name, id: line.vehicle_id })))
      .filter((event) => event.kind !== "driving")
      .sort((one, other) => one.date.localeCompare(other.date)),
  );
</script>

<svelte:head><title>{texts.titleGraver}</title></svelte:head>
{#if loaded.error}<Problem error={loaded.error} />{/if}
{#if loaded.value}
  {@const { garage, lines } = loaded.value}
  {@const lanes = allLanes(garage, lines)}
  <div class="stack">
    <div class="row spread">
      <h1>{texts.title}</h1>
      <a href="/api/v1/calendar.ics?save=1" download="brakes.ics">{texts.saveAll}</a>
    </div>
    {#if lanes.length}
      <section class="sheet" data-picture>
        <Timeline {lanes} today={garage.today} label={texts.allAhead} />
        <p class="quiet">{texts.barsNote} <SaveSvg title={texts.allAhead} /></p>
      </section>
    {/if}
    <CalendarFeed />
    <section class="sheet">
      <h2>{texts.next}</h2>
      {#if next.length}
        <ol class="plain-list next">
          {#each next as event, at (at)}
            <li>
              <span class="strong-number"
                >{month(event.date, garage.today) === "now" ? common.nowLabel : day(event.date)}</span
              >
              <a href="#/vehicles/{event.id}/timeline">{event.vehicle}</a>
              <span
                >{event.text}{#if event.until}, {say(texts.until, { day: day(event.until) })}{/if}</span
              >
            </li>
          {/each}
        </ol>
      {:else}<p>{texts.nothing}</p>{/if}
    </section>
  </div>
{:else if loaded.loading}
  <Skeleton />
{/if}

<style>
  .next {
    display: grid;
    gap: 0.5rem;
  }
  .next li {
    display: grid;
    grid-template-columns: 7.5rem 7rem 1fr;
    gap: 0.5rem 1rem;
  }
  @media (max-width: 40rem) {
    .next li {
      grid-template-columns: 7rem 1fr;
    }
    .next li > :last-child {
      grid-column: 1 / -1;
    }
  }
</style>
