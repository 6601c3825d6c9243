<script lang="ts">
  import EditVehicle from "./EditVehicle.svelte";
  import VehicleLog from "./VehicleLog.svelte";
  import PlainButton from "../../parts/controls/PlainButton.svelte";
  import Skeleton from "../../parts/Skeleton.svelte";
  import { undo } from "../../parts/undo.svelte";
  import * as undos from "../../texts/undo";
  import { currentPage } from "../../parts/currentPage.svelte";
  import * as common from "../../texts/common";
  import * as texts from "../../texts/vehicle";
  import { say } from "../../texts/say";
  import { Button } from "carbon-components-svelte";
  import { lazyApi } from "../../api/lazyApi";
  import { api, type Schemas } from "../../api/client";
  import AxleCard from "./AxleCard.svelte";
  import FluidRenewal from "./FluidRenewal.svelte";
  import FollowUps from "./FollowUps.svelte";
  import Problem from "../../parts/Problem.svelte";
  import Timeline from "../../parts/Timeline.svelte";
  import { axleLane, vehicleLane, type Lane } from "../../parts/timelineScale";
  import Shortcuts from "../../parts/Shortcuts.svelte";
  import StateMark from "../../parts/StateMark.svelte";
  import { axleTitle, day, exact, inUnit, listed, upperFirst } from "../../format/words";
  import InvalidData from "../../parts/InvalidData.svelte";
  import { Loader } from "../../parts/loader.svelte";
  import { push } from "svelte-spa-router";

  let { params }: { params: { id: string } } = $props();
  const loaded = new Loader<{ vehicle: Schemas["Vehicle"]; events: Schemas["TimelineEvent"][]; today: string }>();
  const id = $derived(Number(params.id));
  $effect(() => currentPage.at({ vehicle: id }, "overview"));
  let renaming = $state(false);
  let renewing = $state(false);

  async function fetchIt(of: number) {
    const ahead = api.timeline(of).catch((error: Error) => error);
    const [vehicle, timeline, catalogue] = await Promise.all([api.vehicle(of), ahead, api.catalogue()]);
    // a vehicle that can't be calculated has a log, but no timeline
    if (timeline instanceof Error && vehicle.calculated) throw timeline;
    return { vehicle, events: timeline instanceof Error ? [] : timeline.events, today: catalogue.today };
  }
  $effect(() => {
    const of = id;
    loaded.load(() => fetchIt(of));
  });

  const vehicle = $derived(loaded.value?.vehicle);
  const noted = ({ year, make, model, plate, vin }: Schemas["Vehicle"]) =>
    listed([year, make, model].filter(Boolean).join(" "), plate, vin && say(texts.notedVin, { vin }));
  const today = $derived(loaded.value?.today ?? "");

  // Small letters for the front axle, capitals for the rear.
  const actions = { w: "wear", j: "job-plan", b: "brake-data" };
  const keyed = (letter: string, at: number) => (at === 0 ? letter : letter.toUpperCase());
  const keys = $derived(
    Object.fromEntries([
      ["l", () => push(`/vehicles/${id}/inspection`)],
      ["v", () => push(`/vehicles/${id}/findings`)],
      ["r", () => push(`/vehicles/${id}/timeline`)],
      ...(vehicle?.axles ?? []).flatMap((axle, at) => [
        [keyed("f", at), () => push(`/vehicles/${id}/inspection?axle=${axle.id}`)],
        ...Object.entries(actions).map(([letter, screen]) => [
          keyed(letter, at),
          () => push(screen === "job-plan" && axle.job ? `/jobs/${axle.job.id}` : `/axles/${axle.id}/${screen}`),
        ]),
      ]),
    ]),
  );

  function lanes(of: Schemas["Vehicle"]): Lane[] {
    const events = loaded.value?.events ?? [];
    const whole = vehicleLane(events, "Vehicle", today);
    return [...of.axles.map((axle) => axleLane(axle, axleTitle(axle.name), today, events)), ...(whole ? [whole] : [])];
  }

  async function renamedTo(name: string | null) {
    renaming = false;
    if (name === null) return;
    const { name: before, distance_unit, drive } = vehicle!;
    loaded.value = await fetchIt(id);
    undo.offer(say(undos.nameChanged, { name }), () =>
      act(() => api.changeVehicle(id, { name: before, distance_unit, drive })),
    );
  }

  let failed = $state.raw<unknown>(null);
  async function act(action: () => Promise<unknown>) {
    try {
      await action();
      loaded.value = await fetchIt(id);
      failed = null;
    } catch (error) {
      failed = error;
    }
  }
  async function archive(archived: boolean) {
    const name = vehicle!.name;
    await act(() => api.changeVehicle(id, { archived }, vehicle?.revision));
    if (archived && !failed) undo.offer(say(undos.nameArchived, { name }), () => archive(false));
  }
</script>

<Shortcuts {keys} />
{#if loaded.error ?? failed}<Problem error={loaded.error ?? failed} />{/if}
{#if vehicle}
  <div class="stack">
    <div class="row spread">
      <div class="row">
        <h1>{vehicle.name}</h1>
        <StateMark state={vehicle.state} large />
      </div>
      <p class="quiet">
        {#if vehicle.odometer_km !== null}{say(texts.odometerToday, {
            exact: `${vehicle.odometer_estimated ? common.about : ""}${exact(vehicle.odometer_km, vehicle.distance_unit)}`,
            round: Math.round(inUnit(vehicle.km_per_day, vehicle.distance_unit)),
            distanceUnit: vehicle.distance_unit,
          })}{:else}{texts.noOdometerYet}{/if}
      </p>
      <Button size="field" href="#/vehicles/{vehicle.id}/inspection"
        >{common.startInspection}<kbd aria-hidden="true">l</kbd></Button
      >
    </div>

    {#if noted(vehicle)}<p class="quiet noted">{noted(vehicle)}</p>{/if}
    {#if !vehicle.calculated}<p class="sheet" role="alert">{vehicle.why}</p>{/if}
    {#if vehicle.unusable.length}<div class="sheet"><InvalidData readings={vehicle.unusable} /></div>{/if}
    {#if vehicle.seen.length}
      <ul class="sheet plain-list seen">
        {#each vehicle.seen as mark (mark.text)}
          <li class={mark.severity}>
            <strong>{upperFirst(mark.text)}</strong> ({day(mark.date)}). {mark.caution ?? ""}
          </li>
        {/each}
      </ul>
    {/if}
    {#if vehicle.archived}<p class="sheet" role="status">
        {say(texts.archivedNote, { name: vehicle.name })}
        <PlainButton look="link" onclick={() => archive(false)}>{common.restore}</PlainButton>
      </p>{/if}
    {#if vehicle.skipped.length}
      <ul class="sheet plain-list seen">
        {#each vehicle.skipped as step (step.job + step.step)}
          <li class="watch">
            <strong>{say(texts.doneAnotherWayOnDay, { day: day(step.day) })}</strong>
            {step.text} <span class="quiet">{say(texts.reasonBecause, { because: step.because })}</span>
            <PlainButton look="link" onclick={() => act(() => lazyApi.resolveDeviation(step.job, step.step))}
              >{texts.markAsFixed}</PlainButton
            >
          </li>
        {/each}
      </ul>
    {/if}
    {#each vehicle.axles as axle, at (axle.id)}
      <AxleCard
        {vehicle}
        {axle}
        {today}
        keys={{ look: keyed("f", at), wear: keyed("w", at), job: keyed("j", at), data: keyed("b", at) }}
      />
    {/each}

    <section class="sheet">
      <div class="row spread">
        <h2>{common.timeline}</h2>
        <Button size="small" kind="ghost" href="#/vehicles/{vehicle.id}/timeline"
          >{texts.tripsRemindersCalendar}<kbd aria-hidden="true">r</kbd></Button
        >
      </div>
      <Timeline
        lanes={lanes(vehicle)}
        {today}
        kmPerDay={vehicle.km_per_day}
        unit={vehicle.distance_unit}
        label={say(texts.whenPadsRotorsAndFluid, { name: vehicle.name })}
      />
      <div class="row fluid">
        {#if vehicle.fluid}
          <p class:late={vehicle.fluid.overdue_days > 0}>
            {say(vehicle.fluid.overdue_days > 0 ? texts.brakeFluidOverdue : texts.brakeFluidRenewed, {
              day: `${vehicle.fluid.estimated ? common.about : ""}${day(vehicle.fluid.renewed_on)}`,
              day2: day(vehicle.fluid.due_on),
            })}
          </p>
        {:else}
          <p class="quiet">{texts.lastFluidChangeUnknown}</p>
        {/if}
        {#if !renewing}<Button size="small" kind="ghost" on:click={() => (renewing = true)}
            >{texts.enterFluidChange}</Button
          >{/if}
      </div>
      {#if renewing}
        <FluidRenewal
          {vehicle}
          {today}
          done={async (saved) => {
            if (saved) loaded.value = await fetchIt(id);
            renewing = false;
          }}
        />
      {/if}
    </section>

    <FollowUps {vehicle} changed={async () => (loaded.value = await fetchIt(id))} />

    <VehicleLog {vehicle} />
    <div class="row">
      {#if vehicle.archived}
        <Button size="small" kind="ghost" on:click={() => archive(false)}>{texts.restoreVehicle}</Button>
      {:else if renaming}
        <EditVehicle {vehicle} done={(renamed) => void renamedTo(renamed)} />
      {:else}
        <Button size="small" kind="ghost" on:click={() => (renaming = true)}>{texts.edit}</Button>
        <Button size="small" kind="ghost" on:click={() => archive(true)}>{texts.archiveVehicle}</Button>
      {/if}
    </div>
  </div>
{:else if loaded.loading}
  <Skeleton />
{/if}

<style>
  .seen {
    display: grid;
    gap: 0.4rem;
    padding: 0.6rem 1.25rem;
  }
  .seen .stop {
    color: var(--stop);
  }
  .seen .plan {
    color: var(--plan);
  }
  .late {
    color: var(--plan);
    font-weight: 600;
  }
  .fluid {
    margin-top: 0.75rem;
  }
</style>
