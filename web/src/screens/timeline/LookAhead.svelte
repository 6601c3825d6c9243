<script lang="ts">
  import * as texts from "../../texts/timeline";
  import { say } from "../../texts/say";
  import type { Schemas } from "../../api/client";
  import { day, lowerFirst, percent, rough } from "../../format/words";
  import { axleParts } from "./axleParts";
  import type { Ahead } from "./ahead.svelte";

  /** The state on a future day: the chance of each axle, and events due by then. */
  interface Props {
    ahead: Ahead;
    events: Schemas["TimelineEvent"][];
    unit: Schemas["DistanceUnit"];
  }
  let { ahead, events, unit }: Props = $props();
  const step = $derived(ahead.step);
  const rows = $derived(axleParts(step?.axles ?? []));
  const due = $derived(
    events.filter((event) => !["trip", "driving"].includes(event.kind) && step && event.date <= step.date),
  );
  const when = $derived(step ? say(texts.onDayAfter, { day: day(step.date), far: rough(step.km, unit) }) : "");
</script>

{#if step && ahead.steps.length > 1}
  <div class="ahead">
    <label
      ><span>{texts.lookAhead}</span>
      <input type="range" min="0" max={ahead.steps.length - 1} bind:value={ahead.at} aria-valuetext={when} /></label
    >
    {#if ahead.at === 0}
      <p class="quiet">{texts.lookAheadHow}</p>
    {:else}
      <div aria-live="polite">
        <p><strong>{when}</strong></p>
        <ul class="plain-list">
          {#each rows as row (row.label)}
            <li>
              <span>{row.label}</span>
              <span class="bar" aria-hidden="true"><span style:width="{row.chance * 100}%"></span></span>
              <span class="number">{say(texts.chanceAtLimit, { percent: percent(row.chance) })}</span>
            </li>
          {/each}
        </ul>
        <p class="quiet">
          {due.length
            ? say(texts.byThen, { what: due.map((event) => lowerFirst(event.text).replace(/\.$/, "")).join("; ") })
            : texts.nothingByThen}
        </p>
      </div>
    {/if}
  </div>
{/if}

<style>
  .ahead {
    border-top: 1px solid var(--line);
    margin-top: 0.75rem;
    padding-top: 0.75rem;
    display: grid;
    gap: 0.4rem;
  }
  label {
    display: grid;
    grid-template-columns: auto 1fr;
    gap: 1rem;
    align-items: center;
    font-weight: 600;
  }
  input {
    min-height: 48px;
    accent-color: var(--petrol);
  }
  li {
    display: grid;
    grid-template-columns: 8rem minmax(4rem, 16rem) 1fr;
    gap: 1rem;
    align-items: center;
    padding: 0.15rem 0;
  }
  .bar {
    height: 0.8rem;
    border: 1px solid var(--band);
  }
  .bar span {
    display: block;
    height: 100%;
    background: var(--band);
  }
  @media (max-width: 46rem) {
    li {
      grid-template-columns: 7rem 1fr;
    }
    .bar {
      display: none;
    }
  }
</style>
