<script lang="ts">
  import TextField from "../../parts/controls/TextField.svelte";
  import Skeleton from "../../parts/Skeleton.svelte";
  import { undo } from "../../parts/undo.svelte";
  import * as undos from "../../texts/undo";
  import { currentPage } from "../../parts/currentPage.svelte";
  import * as common from "../../texts/common";
  import * as texts from "../../texts/timeline";
  import { say } from "../../texts/say";
  import { Button } from "carbon-components-svelte";
  import { lazyApi } from "../../api/lazyApi";
  import { api, type Schemas } from "../../api/client";
  import AheadLine from "./AheadLine.svelte";
  import LookAhead from "./LookAhead.svelte";
  import { Ahead } from "./ahead.svelte";
  import TripHandle from "./TripHandle.svelte";
  import MovedTrip from "./MovedTrip.svelte";
  import { TripMove } from "./tripMove.svelte";
  import OdometerNote from "./OdometerNote.svelte";
  import PlanEvent from "./PlanEvent.svelte";
  import Problem from "../../parts/Problem.svelte";
  import SaveSvg from "../../parts/SaveSvg.svelte";
  import Timeline from "../../parts/Timeline.svelte";
  import { axleLane, vehicleLane, type Lane } from "../../parts/timelineScale";
  import Shortcuts from "../../parts/Shortcuts.svelte";
  import { axleTitle, day, inUnit, listed, month, rough } from "../../format/words";
  import { Loader } from "../../parts/loader.svelte";
  import { push } from "svelte-spa-router";

  let { params }: { params: { id: string } } = $props();
  const loaded = new Loader<{ vehicle: Schemas["Vehicle"]; timeline: Schemas["Timeline"]; today: string }>();
  const id = $derived(Number(params.id));
  $effect(() => currentPage.at({ vehicle: id }, "timeline"));

  async function fetchIt(of: number) {
    const [vehicle, timeline, catalogue] = await Promise.all([api.vehicle(of), api.timeline(of), api.catalogue()]);
    return { vehicle, timeline, today: catalogue.today };
  }
  const reload = async () => {
    await loaded.load(() => fetchIt(id));
    await ahead.load();
  };
  $effect(() => {
    void id;
    reload();
  });

  const ahead = $derived(new Ahead(id));
  const trip = new TripMove(
    () => timeline?.planned ?? [],
    () => today,
    reload,
  );
  const vehicle = $derived(loaded.value?.vehicle);
  const timeline = $derived(loaded.value?.timeline);
  const today = $derived(loaded.value?.today ?? "");
  const reminders = $derived(
    timeline?.events.filter((event) => event.kind !== "trip" && event.kind !== "driving") ?? [],
  );
  const address = $derived(`${location.origin}/api/v1/vehicles/${id}/calendar.ics`);

  function lanes(of: Schemas["Vehicle"], events: Schemas["TimelineEvent"][]): Lane[] {
    const whole = vehicleLane(events, "Vehicle", today);
    return [...of.axles.map((axle) => axleLane(axle, axleTitle(axle.name), today, events)), ...(whole ? [whole] : [])];
  }

  async function drop(row: Schemas["Planned"]) {
    await lazyApi.dropPlanned(row.id);
    await reload();
    undo.offer(say(undos.nameRemoved, { name: row.name }), async () => {
      await lazyApi.restorePlanned(row.id);
      await reload();
    });
  }

  function plannedText(row: Schemas["Planned"]): string {
    const when = row.to
      ? say(texts.dayRange, { day: day(row.from), day2: day(row.to) })
      : say(texts.fromDay, { day: day(row.from) });
    const distance = `${row.distance}\u00a0${row.unit}`;
    return listed(
      row.kind === "inspection" ? day(row.from) : when,
      row.distance && (row.kind === "driving" ? say(texts.aYear, { distance }) : distance),
      row.wear_factor && say(texts.wearFactorSaid, { wearFactor: row.wear_factor }),
    );
  }
</script>

<Shortcuts keys={{ l: () => push(`/vehicles/${id}/inspection`) }} />
{#if loaded.error}<Problem error={loaded.error} />{/if}
{#if vehicle && timeline}
  {@const next = reminders.find((event) => event.kind === "look" || event.kind === "renew")}
  {@const unit = vehicle.distance_unit}
  <div class="stack">
    <div>
      <div class="row spread">
        <h1>{common.timeline}</h1>
        {#if next}<p class="next">
            {next.kind === "renew" ? texts.nextPads : texts.nextInspection}
            <strong
              >{next.km >= 100
                ? say(texts.monthOrDistance, { month: month(next.date, today), rough: rough(next.km, unit) })
                : month(next.date, today)}</strong
            >
          </p>{/if}
      </div>
    </div>
    <section class="sheet" data-picture>
      <Timeline
        lanes={lanes(vehicle, timeline.events)}
        {today}
        kmPerDay={vehicle.km_per_day}
        {unit}
        label={say(texts.dueForName, { name: vehicle.name })}
      >
        {#snippet onTrip(mark, y, x, days)}<TripHandle trips={trip} {mark} {x} {days} {y} />{/snippet}
        {#snippet over(x, days, top, base)}<AheadLine {ahead} {x} {days} {top} {base} />{/snippet}
      </Timeline>
      <p class="quiet">
        {texts.wideBandsPadsNarrowOnes}
        <SaveSvg title={say(texts.dueForName, { name: vehicle.name })} />
      </p>
      <MovedTrip {trip} />
      <LookAhead {ahead} events={timeline.events} {unit} />
    </section>
    <div class="columns">
      <section class="sheet">
        <h2>{texts.combineJobs}</h2>
        {#if timeline.sessions.length}
          <ul class="plain-list sessions">
            {#each timeline.sessions as session (session.date + session.axles.join())}
              <li>
                <strong
                  >{month(session.date, today) === "now"
                    ? common.nowLabel
                    : say(texts.byMonth, { month: month(session.date, today) })}: {session.axles.join(
                    common.and,
                  )}</strong
                ><br />{session.text}
              </li>
            {/each}
          </ul>
        {:else}
          <p>{texts.noReadingsYet}</p>
        {/if}
        <p class="settings"><a href="#/settings">{texts.changeHowJobsAreCombined}</a></p>
      </section>
      <section class="sheet">
        <h2>{texts.reminders}</h2>
        <ol class="plain-list reminders">
          {#each reminders as event, at (at)}
            <li>
              <span class="strong-number">{month(event.date, today) === "now" ? common.nowLabel : day(event.date)}</span
              ><span
                >{event.text}{event.kind === "due" || event.kind === "look" || event.kind === "renew" || event.km < 100
                  ? ""
                  : `, ${say(texts.roughFromNow, { rough: rough(event.km, unit) })}`}</span
              >
            </li>
          {/each}
        </ol>
        <div class="calendar">
          <span
            ><a href="/api/v1/vehicles/{vehicle.id}/calendar.ics?save=1" download="brakes.ics"
              >{texts.saveAsACalendarFile}</a
            >. {texts.calendarSubscribe}</span
          >
          <TextField
            label={texts.calendarAddress}
            unseen
            width="long"
            readonly
            value={address}
            onfocus={(event) => event.currentTarget.select()}
          />
        </div>
      </section>
    </div>
    <section class="sheet">
      <h2>{texts.plannedByYou}</h2>
      {#if timeline.planned.length}
        <ul class="plain-list planned">
          {#each timeline.planned as row (row.id)}
            <li>
              <span><strong>{row.name}</strong>, {plannedText(row)}</span>
              <span class="row">
                {#if row.kind === "trip"}<Button size="small" kind="ghost" on:click={() => trip.look(row)}
                    >{texts.otherDays}</Button
                  >{/if}
                <Button size="small" kind="ghost" on:click={() => drop(row)}>{texts.remove}</Button>
              </span>
            </li>
          {/each}
        </ul>
      {/if}
      <PlanEvent vehicle={vehicle.id} {unit} {today} kinds={timeline.entries} done={reload} />
    </section>
    <section class="sheet">
      <h2>{common.odometer}</h2>
      <p class="quiet">
        {say(texts.odometerHint, { round: Math.round(inUnit(vehicle.km_per_day, unit)), unit })}
      </p>
      <OdometerNote vehicle={vehicle.id} {unit} {today} done={reload} />
    </section>
  </div>
{:else if loaded.loading}
  <Skeleton />
{/if}

<style>
  .next {
    font-size: 1.1rem;
  }
  .sessions,
  .reminders,
  .planned {
    display: grid;
    gap: 0.6rem;
  }
  .sessions li {
    border-left: 4px solid var(--petrol);
    padding-left: 0.75rem;
    line-height: 1.4;
  }
  .reminders li {
    display: grid;
    grid-template-columns: 7.5rem 1fr;
    gap: 0.5rem;
  }
  .planned li {
    display: flex;
    flex-wrap: wrap;
    justify-content: space-between;
    align-items: center;
    gap: 0.5rem;
    border-bottom: 1px solid var(--line);
    padding-bottom: 0.4rem;
  }
  .settings {
    margin-top: 1rem;
  }
  .calendar {
    margin-top: 1rem;
    display: grid;
    gap: 0.3rem;
  }
</style>
