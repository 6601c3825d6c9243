<script lang="ts">
  import { Button, Select, SelectItem } from "carbon-components-svelte";
  import { api, type Schemas } from "../../api/client";
  import AxleSection from "../../parts/AxleSection.svelte";
  import Problem from "../../parts/Problem.svelte";
  import Shortcuts from "../../parts/Shortcuts.svelte";
  import StateMark from "../../parts/StateMark.svelte";
  import ForecastQuality from "./ForecastQuality.svelte";
  import WearChart from "./WearChart.svelte";
  import WhatIf from "./WhatIf.svelte";
  import { day, lowerFirst, mm, month, position as named, rough, span, upperFirst, perUnit } from "../../format/words";
  import { Loader } from "../../parts/loader.svelte";
  import { push } from "svelte-spa-router";

  let { params }: { params: { id: string } } = $props();
  const wear = new Loader<Schemas["Wear"]>();
  let limit = $state("");
  let shown = $state("");
  const id = $derived(Number(params.id));

  $effect(() => {
    const [axle, asked] = [id, limit];
    wear.load(() => api.wear(axle, asked));
  });

  const quality = new Loader<Schemas["ForecastQuality"]>();
  $effect(() => {
    const axle = id;
    quality.load(() => api.forecastQuality(axle));
  });

  const value = $derived(wear.value);
  const pads = $derived(value?.components.filter((component) => component.part === "pad") ?? []);
  const rotors = $derived(value?.components.filter((component) => component.part === "rotor") ?? []);
  const first = $derived([...pads].sort((a, b) => (a.life?.distance_km.p50 ?? 0) - (b.life?.distance_km.p50 ?? 0))[0]);
  const positions = $derived(
    shown === "pads"
      ? pads.map((pad) => pad.position)
      : shown === "rotors"
        ? rotors.map((rotor) => rotor.position)
        : shown
          ? [shown]
          : first
            ? [first.position]
            : [],
  );
</script>

<Shortcuts keys={{ l: () => push(`/axles/${id}/look-over`), j: () => push(`/axles/${id}/job-plan`) }} />
<svelte:head><title>Wear - Graver</title></svelte:head>

{#if wear.error}<Problem error={wear.error} />{/if}
{#if value}
  {@const unit = value.axle_name.distance_unit}
  {@const axle = value.axle}
  {@const today = value.as_of.date}
  <div class="stack">
    <div>
      <p class="quiet"><a href="#/vehicles/{value.axle_name.vehicle_id}">{value.axle_name.vehicle_name}</a></p>
      <div class="row spread">
        <h1>{upperFirst(axle.name)} wear</h1>
        <StateMark state={axle.state} large />
      </div>
    </div>

    {#if axle.pads_life}
      <section class="sheet answer">
        <div class="say">
          <p class="quiet">Pads to {axle.limit_mm} mm</p>
          <p class="number big">{span(axle.pads_life.distance_km, unit)}</p>
          {#if axle.pads_life.distance_km.p50 > 0}
            <p>
              Most likely {rough(axle.pads_life.distance_km.p50, unit)}, {month(axle.pads_life.date.p50, today)}; 8 in
              10 fall between {month(axle.pads_life.date.p10, today)} and {month(axle.pads_life.date.p90, today)}.
            </p>
          {:else}
            <p>
              A pad has most likely reached the limit already (chance {Math.round(
                axle.pads_life.chance_now * 100,
              )}&nbsp;%){#if value.passed}{" "}some {rough(value.passed.distance_km, unit)} ago, about {day(
                  value.passed.date,
                )}{/if}.
            </p>
          {/if}
          <p class="again">
            Look again {axle.look_again && axle.look_again.distance_km > 99
              ? `within ${rough(axle.look_again.distance_km, unit)} or by ${month(axle.look_again.date, today)}`
              : "now"}.
          </p>
          <Select labelText="Renewed at" bind:selected={limit} size="sm">
            <SelectItem value="" text="My limit" />
            {#each value.limits as each (each.id)}<SelectItem
                value={String(each.mm)}
                text="{each.mm} mm: {lowerFirst(each.label)}"
              />{/each}
          </Select>
        </div>
        <AxleSection corners={axle.corners} scale={3.6} legend />
      </section>
    {:else}
      <section class="sheet stack">
        <h2>No forecast yet</h2>
        <p>{upperFirst(axle.why_not.join("; "))}. Log a look-over of this axle, or note when its pads went on.</p>
        <div><Button href="#/axles/{axle.id}/look-over">Start a look-over</Button></div>
      </section>
    {/if}

    {#if value.readings.length && positions.length}
      <section class="sheet">
        <div class="row spread">
          <h2>Thickness over distance</h2>
          <Select labelText="Show" inline bind:selected={shown} size="sm">
            <SelectItem value="" text={first ? `the first to go: ${named(first.position)}` : "the first to go"} />
            <SelectItem value="pads" text="all pads" />
            {#each pads as pad (pad.position)}<SelectItem value={pad.position} text={named(pad.position)} />{/each}
            {#if rotors.length}<SelectItem value="rotors" text="rotors" />{/if}
          </Select>
        </div>
        <WearChart wear={value} {positions} />
        <p class="quiet">
          Points with their error (a gauge's as its interval; hollow where doubted). From today on: most likely, and the
          band in which 8 in 10 reach the limit.
        </p>
      </section>
    {/if}

    {#if axle.pads_life && quality.value}
      <section class="sheet">
        <h2>What if?</h2>
        {#key id}<WhatIf
            axle={id}
            sides={axle.sides}
            {unit}
            {today}
            {limit}
            kmPerDay={value.km_per_day}
            choices={quality.value.choices}
          />{/key}
      </section>
      <ForecastQuality quality={quality.value} {unit} />
    {/if}

    {#if value.components.length}
      <section class="sheet">
        <h2>Each position</h2>
        <div class="scroll">
          <table>
            <thead
              ><tr
                ><th>Position</th><th>Estimated today</th><th>Wears in 1,000 {unit}</th><th>To its limit (8 in 10)</th
                ><th>Most likely</th></tr
              ></thead
            >
            <tbody>
              {#each value.components as component (component.part + component.position)}
                {@const per = perUnit(1, unit)}
                <tr>
                  <th scope="row">{upperFirst(named(component.position))} {component.part}</th>
                  <td class="number"
                    >{mm(component.now_mm, component.sd_mm)} mm
                    <span class="quiet">± {(2 * component.sd_mm).toFixed(component.sd_mm < 0.05 ? 2 : 1)}</span></td
                  >
                  <td
                    >{(component.rate.p50 * per).toFixed(component.part === "pad" ? 2 : 3)} mm
                    <span class="quiet"
                      >({(component.rate.p10 * per).toFixed(component.part === "pad" ? 2 : 3)} to {(
                        component.rate.p90 * per
                      ).toFixed(component.part === "pad" ? 2 : 3)})</span
                    ></td
                  >
                  <td>{component.life ? span(component.life.distance_km, unit) : "?"}</td>
                  <td>{component.life ? rough(component.life.distance_km.p50, unit) : "?"}</td>
                </tr>
              {/each}
            </tbody>
          </table>
        </div>
      </section>
    {/if}

    <section class="sheet">
      <h2>Why it says so</h2>
      <ul class="why">
        {#each axle.reasons as reason (reason.rule)}<li>
            <strong>{axle.state.label}:</strong>
            {reason.sentence} <span class="quiet">({reason.source})</span>
          </li>{/each}
        {#each value.why as line (line)}<li>{line}</li>{/each}
      </ul>
    </section>
    <div class="row no-print">
      <Button href="#/axles/{axle.id}/job-plan">Plan a job<kbd aria-hidden="true">j</kbd></Button>
      <Button kind="tertiary" href="#/axles/{axle.id}/look-over"
        >Start a look-over<kbd aria-hidden="true">l</kbd></Button
      >
    </div>
  </div>
{:else if wear.loading}
  <p class="quiet" role="status">Working it out…</p>
{/if}

<style>
  .answer {
    display: flex;
    flex-wrap: wrap;
    gap: 1rem 2.5rem;
    justify-content: space-between;
    align-items: center;
  }
  .say {
    display: grid;
    gap: 0.4rem;
    flex: 1 1 20rem;
  }
  .big {
    font-size: 2.6rem;
    line-height: 1.05;
  }
  .again {
    font-weight: 600;
    font-size: 1.1rem;
  }
  .why {
    display: grid;
    gap: 0.35rem;
    padding-left: 1.1rem;
    list-style: disc;
    line-height: 1.4;
  }
</style>
