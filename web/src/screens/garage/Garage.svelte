<script lang="ts">
  import Skeleton from "../../parts/Skeleton.svelte";
  import * as common from "../../texts/common";
  import * as texts from "../../texts/garage";
  import { say } from "../../texts/say";
  import { api, type Schemas } from "../../api/client";
  import AxleSection from "../../parts/AxleSection.svelte";
  import ForecastsHeld from "./ForecastsHeld.svelte";
  import VehicleLines from "./VehicleLines.svelte";
  import Problem from "../../parts/Problem.svelte";
  import Timeline from "../../parts/Timeline.svelte";
  import { soonestLane } from "../../parts/timelineScale";
  import Shortcuts from "../../parts/Shortcuts.svelte";
  import InvalidData from "../../parts/InvalidData.svelte";
  import StateMark from "../../parts/StateMark.svelte";
  import { axleTitle, axleWord, day, exact, month, ofBrake, span, upperFirst } from "../../format/words";
  import { Loader } from "../../parts/loader.svelte";
  import { push } from "svelte-spa-router";

  const garage = new Loader<Schemas["Garage"]>();
  garage.load(api.garage);
  // Cards still being calculated are requested again.
  $effect(() => {
    if (!garage.value?.vehicles.some((vehicle) => vehicle.working)) return;
    const again = setTimeout(() => void garage.load(api.garage), 1000);
    return () => clearTimeout(again);
  });
  // Comes a moment later: the garage itself does not wait for it.
  const timelines = new Loader<Schemas["Timelines"]>();
  timelines.load(api.timelines);

  const vehicles = $derived(garage.value?.vehicles ?? []);
  // Digits open the vehicles from the top.
  const keys = $derived(
    Object.fromEntries([
      ["a", () => push("/vehicles/new")],
      ["g", () => begun[0] && push(addressOf(begun[0]))],
      ...vehicles.slice(0, 9).map((vehicle, at) => [String(at + 1), () => push(`/vehicles/${vehicle.id}`)]),
    ]),
  );
  /** How far the garage looks ahead; the rest has its own page. */
  const MONTHS_AHEAD = 18;
  const lanes = $derived(
    vehicles.flatMap((vehicle) => soonestLane(vehicle, garage.value!.today, timelines.value) ?? []),
  );

  // Drafts and jobs in progress.
  const places = new Loader<Schemas["Places"]>();
  void import("../../api/lazyApi").then(({ lazyApi }) => places.load(lazyApi.places));
  const begun = $derived(places.value?.vehicles.filter((place) => place.check || place.job) ?? []);
  const addressOf = (place: Schemas["Place"]) =>
    place.job ? `/jobs/${place.job}/car` : `/vehicles/${place.id}/inspection`;

  function sentence(axle: Schemas["Axle"], vehicle: Schemas["Vehicle"], today: string): string {
    if (!axle.pads_life) return texts.nothingKnownYet;
    const when = `${span(axle.pads_life.distance_km, vehicle.distance_unit)}`;
    return axle.pads_life.distance_km.p90 === 0
      ? ofBrake(texts.padsAreAtTheirLimit, axle.brakes)
      : say(ofBrake(axle.look_again!.renew ? texts.padsLastRenew : texts.padsLast, axle.brakes), {
          when,
          by:
            month(axle.look_again!.date, today) === "now"
              ? "now"
              : say(texts.byMonth, { month: month(axle.look_again!.date, today) }),
        });
  }
</script>

<Shortcuts {keys} />
<svelte:head><title>{texts.garageGraver}</title></svelte:head>

{#if garage.error}<Problem error={garage.error} />{/if}
{#if garage.value && vehicles.length === 0}
  <div class="sheet stack">
    <h1>{texts.yourGarageIsEmpty}</h1>
    <p>
      {texts.noVehiclesYet}
    </p>
    <a class="main-action" href="#/vehicles/new">{common.addAVehicle}</a>
  </div>
{:else if garage.value}
  {@const today = garage.value.today}
  <div class="stack">
    <div class="row spread">
      <h1>{common.garage}</h1>
      <a class="add" href="#/vehicles/new">{common.addAVehicle}<kbd aria-hidden="true">a</kbd></a>
    </div>
    <VehicleLines {vehicles} {today} />
    {#each begun as place, at (place.id)}
      <p class="sheet begun" role="status">
        <strong
          >{say(place.job ? texts.jobInProgress : texts.unfinishedInspection, {
            name: place.name,
            day: place.check ? day(place.check.slice(0, 10)) : "",
          })}</strong
        >
        <a href="#{addressOf(place)}"
          >{place.job ? texts.goOnAtTheCar : texts.resumeInspection}{#if at === 0}<kbd aria-hidden="true">g</kbd
            >{/if}</a
        >
      </p>
    {/each}
    {#if lanes.length}
      <section class="sheet">
        <Timeline {lanes} {today} most={MONTHS_AHEAD * 30.5} label={texts.whenEachVehicleNeedsYou} />
        <p class="quiet"><a href="#/timeline">{texts.everyAxleOnTheTimeline}</a></p>
      </section>
    {/if}
    {#each vehicles as vehicle, at (vehicle.id)}
      <article class="sheet vehicle">
        <header class="who">
          <StateMark state={vehicle.state} large />
          <h2>
            <a href="#/vehicles/{vehicle.id}">{vehicle.name}</a>{#if at < 9}<kbd aria-hidden="true">{at + 1}</kbd>{/if}
          </h2>
          <div class="because">
            {#if vehicle.why}<p class="why {vehicle.state.severity}">{vehicle.why}</p>{/if}
            {#if vehicle.working}<p class="quiet" role="status">{common.calculating}</p>{/if}
            {#if vehicle.fluid && vehicle.fluid.overdue_days > 0}<p class="late">
                {say(texts.brakeFluidOverdueSinceDay, { day: day(vehicle.fluid.due_on) })}
              </p>{/if}
            <InvalidData readings={vehicle.unusable} />
          </div>
          <p class="quiet">
            {upperFirst(vehicle.kind.replace("_", "-"))}{#if vehicle.odometer_km !== null}, {vehicle.odometer_estimated
                ? common.about
                : ""}{exact(vehicle.odometer_km, vehicle.distance_unit)}{/if}
          </p>
        </header>
        {#each vehicle.axles as axle (axle.id)}
          <a
            class="axle"
            href="#/axles/{axle.id}/wear"
            aria-label={say(texts.axleWearLink, { name: vehicle.name, name2: axleWord(axle.name) })}
          >
            <span class="row spread"><strong>{axleTitle(axle.name)}</strong><StateMark state={axle.state} /></span>
            <span class="cell">
              <AxleSection corners={axle.corners} scale={2.1} />
              <span class="say">
                {upperFirst(sentence(axle, vehicle, today))}.
                {#each axle.reasons.filter((reason) => reason.part === "rotors" && reason !== axle.reasons[0]) as reason (reason.rule)}<span
                    class="job">{reason.sentence}</span
                  >{/each}
                {#if axle.job}<strong class="job"
                    >{say(common.jobAnd, {
                      state:
                        axle.job.state === "in_progress"
                          ? common.inProgress
                          : axle.job.planned_for
                            ? say(texts.onDay, { day: day(axle.job.planned_for) })
                            : texts.planned,
                    })}</strong
                  >{/if}
              </span>
            </span>
          </a>
        {/each}
      </article>
    {/each}
    <ForecastsHeld />
  </div>
{:else if garage.loading}
  <Skeleton />
{/if}

<style>
  .begun {
    display: flex;
    flex-wrap: wrap;
    gap: 0.5rem 1.5rem;
    align-items: center;
    border-left: 8px solid var(--doubt);
  }
  .add,
  .begun a {
    padding: 0.6rem 0;
  }
  .vehicle {
    display: grid;
    grid-template-columns: 1fr 1fr;
    gap: 0.75rem 1.5rem;
    align-items: start;
  }
  .who {
    grid-column: 1 / -1;
    display: grid;
    grid-template-columns: 5.5rem 8rem 1fr auto;
    gap: 0.25rem 1rem;
    align-items: baseline;
  }
  .who h2 {
    font-size: 1.6rem;
    margin: 0;
  }
  .who a {
    color: inherit;
    text-decoration-thickness: 1px;
  }
  .why {
    line-height: 1.3;
  }
  .why.stop {
    color: var(--stop);
    font-weight: 600;
  }
  .late {
    color: var(--plan);
    font-weight: 600;
  }
  .axle {
    display: grid;
    gap: 0.35rem;
    color: inherit;
    text-decoration: none;
    border-top: 1px solid var(--line);
    padding-top: 0.5rem;
    min-width: 0;
  }
  .axle:hover .say {
    text-decoration: underline;
  }
  .cell {
    display: flex;
    flex-wrap: wrap;
    gap: 0.25rem 1rem;
    align-items: center;
  }
  .say {
    font-size: 1rem;
    line-height: 1.3;
    flex: 1 1 8rem;
  }
  .job {
    display: block;
  }
  @media (max-width: 56rem) {
    .vehicle {
      grid-template-columns: 1fr;
    }
    .who {
      grid-template-columns: auto 1fr;
    }
    .who > :nth-child(n + 3) {
      grid-column: 1 / -1;
    }
  }
</style>
