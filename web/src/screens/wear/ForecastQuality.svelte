<script lang="ts">
  import * as common from "../../texts/common";
  import * as texts from "../../texts/wear";
  import { heldSentence } from "../../format/held";
  import { say } from "../../texts/say";
  import type { Schemas } from "../../api/client";
  import { brakesAt, day, listed, ofBrake, position, rough, upperFirst } from "../../format/words";

  /** What to measure next, and how earlier forecasts turned out. */
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

  const brakes = (worth: Schemas["Worth"]) => brakesAt(worth.positions[0]!);
  function which(worth: Schemas["Worth"]): string {
    return worth.positions.length > 1
      ? ofBrake(say(texts.allCountPads, { count: worth.positions.length }), brakes(worth))
      : ofBrake(say(texts.thePositionPad, { position: position(worth.positions[0]!) }), brakes(worth));
  }

  function outcome(forecast: Schemas["ForecastGiven"]): string {
    if (forecast.was_km !== null)
      return listed(
        say(texts.wasRough, {
          rough: rough(forecast.was_km, unit),
          where: forecast.interval_covered ? texts.insideTheRange : texts.outsideTheRange,
        }),
        forecast.late && texts.inspectedTooLate,
      );
    const lasted = { rough: rough(forecast.at_least_km, unit) };
    if (forecast.replaced) return say(texts.replacedAfter, lasted);
    return forecast.at_least_km > 99 ? say(texts.stillOnAfter, lasted) : texts.stillOn;
  }
</script>

<div class="columns">
  <section class="sheet">
    <h2>{common.mostUsefulNextMeasurement}</h2>
    {#if useful.length}
      <ol class="worth">
        {#each useful as worth (worth.positions.join() + worth.method)}
          <li>
            {say(texts.measureWhichWithAMethod, {
              which: which(worth),
              method: worth.method,
              round: Math.round(worth.narrows * 100),
            })} <span class="quiet">({rough(worth.narrows_km, unit)})</span>
          </li>
        {/each}
      </ol>
    {:else}
      <p>
        {texts.noReadingTodayWouldNarrow}
      </p>
    {/if}
  </section>
  <section class="sheet">
    <h2>{texts.howEarlierForecastsDid}</h2>
    {#if quality.backtest.forecasts.length}
      <div class="scroll">
        <table>
          <thead><tr><th>{texts.on}</th><th>{texts.forecast8In10}</th><th>{texts.actual}</th></tr></thead>
          <tbody>
            {#each quality.backtest.forecasts as forecast, at (at)}
              <tr>
                <td
                  >{day(forecast.date)}{#if forecast.afterwards}<span class="quiet" title={texts.calculatedLater}
                      >*</span
                    >{/if}</td
                >
                <td
                  >{say(texts.distanceRange, {
                    rough: rough(forecast.low_km, unit),
                    rough2: rough(forecast.high_km, unit),
                  })}</td
                >
                <td class:missed={forecast.interval_covered === false}>{upperFirst(outcome(forecast))}</td>
              </tr>
            {/each}
          </tbody>
        </table>
      </div>
      {#if quality.backtest.forecasts.some((forecast) => forecast.afterwards)}<p class="quiet">
          {texts.calculatedLaterNote}
        </p>{/if}
    {:else}
      <p>
        {texts.forecastsKeptNote}
      </p>
    {/if}
    <p>
      {#if garage.known}{heldSentence(garage)}{:else}{texts.noForecastOfYourGarage}{/if}
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
