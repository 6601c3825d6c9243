<script lang="ts">
  import type { Schemas } from "../../api/client";
  import { day, position, rough, upperFirst } from "../../format/words";

  /** What to measure next, and how what was said before turned out. */
  let { quality, unit }: { quality: Schemas["ForecastQuality"]; unit: Schemas["DistanceUnit"] } = $props();
  // The best instrument for each choice of positions; all of them at once only where that gains something over one.
  const useful = $derived.by(() => {
    const kept: Schemas["Worth"][] = [];
    for (const worth of [...quality.worth].sort(
      (one, other) => one.positions.length - other.positions.length || other.narrows - one.narrows,
    )) {
      const same = kept.some((other) => other.positions.join() === worth.positions.join());
      const covered = worth.positions.length > 1 && kept.some((other) => other.narrows > 0.9 * worth.narrows);
      if (worth.narrows >= 0.03 && worth.narrows_km >= 100 && !same && !covered) kept.push(worth);
    }
    return kept.sort((one, other) => other.narrows - one.narrows).slice(0, 4);
  });
  const garage = $derived(quality.backtest.garage);

  function which(worth: Schemas["Worth"]): string {
    return worth.positions.length > 1
      ? `all ${worth.positions.length} pads`
      : `the ${position(worth.positions[0]!)} pad`;
  }

  function outcome(forecast: Schemas["ForecastGiven"]): string {
    if (forecast.was_km !== null)
      return `was ${rough(forecast.was_km, unit)}: ${forecast.interval_covered ? "inside" : "outside"}${forecast.late ? "; the look was too late" : ""}`;
    return forecast.interval_covered === false
      ? `lasted more than ${rough(forecast.at_least_km, unit)}: outside`
      : `open${forecast.at_least_km > 99 ? `, ${rough(forecast.at_least_km, unit)} so far` : ""}`;
  }
</script>

<div class="columns">
  <section class="sheet">
    <h2>Most useful next measurement</h2>
    {#if useful.length}
      <ol class="worth">
        {#each useful as worth (worth.positions.join() + worth.method)}
          <li>
            Measure {which(worth)} with a {worth.method}: the band shrinks by about {Math.round(
              worth.narrows * 100,
            )}&nbsp;% <span class="quiet">({rough(worth.narrows_km, unit)})</span>
          </li>
        {/each}
      </ol>
    {:else}
      <p>
        No reading today would narrow it by much: what is open is how the pads will wear, not how thick they are. Look
        again when it is due.
      </p>
    {/if}
  </section>
  <section class="sheet">
    <h2>How earlier forecasts did</h2>
    {#if quality.backtest.forecasts.length}
      <div class="scroll">
        <table>
          <thead><tr><th>On</th><th>It said (8 in 10)</th><th>It came</th></tr></thead>
          <tbody>
            {#each quality.backtest.forecasts as forecast, at (at)}
              <tr>
                <td
                  >{day(forecast.date)}{#if forecast.afterwards}<span
                      class="quiet"
                      title="worked out afterwards from what was known that day">*</span
                    >{/if}</td
                >
                <td>{rough(forecast.low_km, unit)} to {rough(forecast.high_km, unit)}</td>
                <td class:missed={forecast.interval_covered === false}>{upperFirst(outcome(forecast))}</td>
              </tr>
            {/each}
          </tbody>
        </table>
      </div>
      {#if quality.backtest.forecasts.some((forecast) => forecast.afterwards)}<p class="quiet">
          * worked out afterwards from what was known that day
        </p>{/if}
    {:else}
      <p>
        Forecasts are kept from the first look-over on. When pads reach their limit you see here what was said, and how
        it came.
      </p>
    {/if}
    <p>
      {#if garage.known}Over your garage {garage.covered} of {garage.known} forecasts held whose end is known; 8 in 10 should.{:else}No
        forecast of your garage has met its end yet.{/if}
    </p>
  </section>
</div>

<style>
  .worth {
    padding-left: 1.2rem;
    list-style: decimal;
    display: grid;
    gap: 0.4rem;
  }
  .missed {
    color: var(--doubt);
    font-weight: 600;
  }
</style>
