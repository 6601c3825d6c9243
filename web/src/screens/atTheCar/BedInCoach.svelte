<script lang="ts">
  import TextField from "../../parts/controls/TextField.svelte";
  import PlainButton from "../../parts/controls/PlainButton.svelte";
  import * as texts from "../../texts/atTheCar";
  import { say } from "../../texts/say";
  import { lazyApi } from "../../api/lazyApi";
  import type { Schemas } from "../../api/client";
  import { speed, upperFirst } from "../../format/words";
  import { degrees, degreeUnit, toCelsius } from "../../format/temperature";
  import { FormState } from "../../parts/formState.svelte";
  import { Loader } from "../../parts/loader.svelte";

  /** How warm the rotors get over the series, drawn as it goes; what it reckons with is shown and can be changed. */
  let { job, count, unit }: { job: number; count: number; unit: Schemas["DistanceUnit"] } = $props();
  const loaded = new Loader<Schemas["BedIn"]>();
  const form = new FormState();
  let given = $state<Record<string, string>>({});
  const FIELDS = [
    ["mass_kg", texts.vehicleKg],
    ["front_share_percent", texts.frontShare],
    ["ambient_celsius", say(texts.air, { unit: degreeUnit })],
    ["cooling_minutes", texts.coolingMinutes],
  ] as const;
  const asked = () => ({
    ...given,
    ...(given["ambient_celsius"] ? { ambient_celsius: toCelsius(given["ambient_celsius"]) } : {}),
  });
  const load = () => form.act(async () => (loaded.value = await lazyApi.bedIn(job, asked())));
  load();

  const WIDTH = 340;
  const HEIGHT = 150;
  const LEFT = 34;
  const top = (coach: Schemas["BedIn"], axle: Schemas["BedInAxle"]) =>
    Math.max(coach.hot * 1.1, ...axle.stops.map((stop) => stop.peak));
  const y = (celsius: number, most: number) => HEIGHT - 18 - (celsius / most) * (HEIGHT - 26);
  const x = (at: number, all: number) => LEFT + (at / all) * (WIDTH - LEFT - 6);
  const saw = (axle: Schemas["BedInAxle"], most: number) =>
    axle.stops
      .map(
        (stop, at) =>
          `${at ? "L" : "M"}${x(at, axle.stops.length)} ${y(stop.before, most)}` +
          `L${x(at + 0.25, axle.stops.length)} ${y(stop.peak, most)}`,
      )
      .join("");
</script>

{#if loaded.value}
  {@const coach = loaded.value}
  <section aria-label={texts.bedInCoach}>
    <p>
      <strong>{coach.label}</strong>
      {#if coach.series}{say(texts.seriesOf, {
          stops: coach.series.stops,
          from: speed(coach.series.from_kmh, unit),
          to: speed(coach.series.to_kmh, unit),
          seconds: coach.series.rest_seconds,
        })}{/if}
    </p>
    {#each coach.axles as axle (axle.axle)}
      {@const most = top(coach, axle)}
      <h3>{upperFirst(axle.axle)}</h3>
      <svg viewBox="0 0 {WIDTH} {HEIGHT}" role="img" aria-label={axle.sentence}>
        {#each [coach.warm, coach.hot] as mark (mark)}
          <line class:hot={mark === coach.hot} x1={LEFT} x2={WIDTH} y1={y(mark, most)} y2={y(mark, most)} />
          <text x={LEFT - 4} y={y(mark, most) + 4} text-anchor="end">{degrees(mark)}°</text>
        {/each}
        <path d={saw(axle, most)} />
        {#each axle.stops as stop, at (stop.number)}
          <circle
            class:done={stop.number <= count}
            cx={x(at + 0.25, axle.stops.length)}
            cy={y(stop.peak, most)}
            r={stop.number === count ? 6 : 4}
          />
          <text x={x(at + 0.25, axle.stops.length)} y={HEIGHT - 3} text-anchor="middle">{stop.number}</text>
        {/each}
      </svg>
      <p class={axle.verdict}><strong>{axle.sentence}</strong></p>
      <p class="quiet">
        {say(axle.estimated ? texts.rotorGuessed : texts.rotorWeighs, { kg: axle.rotor_kg.toFixed(1) })}
      </p>
    {/each}
    {#if coach.series}
      <p class="quiet">{texts.neverHoldHot}</p>
      <details>
        <summary>{texts.assumptions}</summary>
        <form
          class="row"
          onsubmit={(event) => {
            event.preventDefault();
            void load();
          }}
          novalidate
        >
          {#each FIELDS as [name, label] (name)}
            <TextField
              {label}
              inputmode="decimal"
              placeholder={String(name === "ambient_celsius" ? degrees(coach.assumed[name]) : coach.assumed[name])}
              bind:value={given[name]}
              fault={form.fault(name)}
            />
          {/each}
          <PlainButton type="submit">{texts.calculateAgain}</PlainButton>
        </form>
        <p class="quiet">{texts.energyBalance}</p>
      </details>
    {/if}
  </section>
{/if}

<style>
  section {
    display: grid;
    gap: 0.5rem;
    border: 2px solid var(--ink);
    padding: 0.75rem;
  }
  p,
  h3 {
    margin: 0;
  }
  svg {
    width: 100%;
    height: auto;
  }
  path {
    fill: none;
    stroke: var(--ink);
    stroke-width: 2;
  }
  circle {
    fill: var(--sheet);
    stroke: var(--ink);
    stroke-width: 2;
  }
  circle.done {
    fill: var(--ink);
  }
  line {
    stroke: var(--quiet);
    stroke-dasharray: 4 4;
  }
  line.hot {
    stroke: var(--stop);
    stroke-width: 2;
  }
  text {
    font-size: 11px;
    fill: var(--ink);
  }
  .hot strong {
    color: var(--stop);
  }
</style>
