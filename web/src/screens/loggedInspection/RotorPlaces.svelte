<script lang="ts">
  import type { Schemas } from "../../api/client";
  import type { Correction } from "./correction.svelte";
  import ReadingEntry from "./ReadingEntry.svelte";

  /** A rotor's readings: several places drawn round, the thinnest named. */
  let { readings, correction }: { readings: Schemas["LoggedReading"][]; correction: Correction } = $props();
  const SIZE = 132;
  const least = $derived(readings.find((each) => each.thinnest) ?? null);
  const counted = $derived(readings.filter((each) => !each.void && each.value !== null));
  const round = $derived(
    counted.length < 3
      ? []
      : counted.map((reading, at) => {
          const angle = (2 * Math.PI * at) / counted.length - Math.PI / 2;
          return { reading, x: SIZE / 2 + 50 * Math.cos(angle), y: SIZE / 2 + 50 * Math.sin(angle) };
        }),
  );
</script>

<div class="rotor">
  {#if round.length}
    <svg width={SIZE} height={SIZE} viewBox="0 0 {SIZE} {SIZE}" aria-hidden="true">
      <circle class="face" cx={SIZE / 2} cy={SIZE / 2} r="34" />
      <circle class="hat" cx={SIZE / 2} cy={SIZE / 2} r="15" />
      {#each round as { reading, x, y } (reading.id)}
        <text {x} y={y + 4} class:least={reading === least} text-anchor="middle">{reading.value}</text>
      {/each}
    </svg>
  {/if}
  <div class="places">
    {#each readings as reading (reading.id)}<ReadingEntry {reading} {correction} counts={reading === least} />{/each}
  </div>
</div>

<style>
  .rotor {
    display: flex;
    flex-wrap: wrap;
    gap: 0.25rem 1.25rem;
    align-items: center;
  }
  .places {
    display: grid;
    grid-template-columns: repeat(auto-fill, minmax(9.5rem, 1fr));
    gap: 0 1rem;
    flex: 1 1 9.5rem;
  }
  .face {
    fill: var(--rotor);
    stroke: var(--rotor-edge);
  }
  .hat {
    fill: var(--sheet);
    stroke: var(--rotor-edge);
  }
  text {
    font:
      500 13px "Barlow",
      sans-serif;
    fill: var(--ink);
    paint-order: stroke;
    stroke: var(--sheet);
    stroke-width: 4px;
  }
  .least {
    font-weight: 700;
    fill: var(--petrol);
  }
</style>
