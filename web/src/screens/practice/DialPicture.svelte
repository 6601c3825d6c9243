<script lang="ts">
  import * as texts from "../../texts/practice";

  /** A dial gauge with the two places its needle swings between. numbered: what its face counts for a division. */
  let { low, high, divisions, numbered }: { low: number; high: number; divisions: number; numbered: number } = $props();
  const [SIZE, RADIUS] = [320, 140];
  const middle = SIZE / 2;
  const marks = $derived(Array.from({ length: divisions }, (_, at) => at));
  const point = (at: number, radius: number): [number, number] => {
    const angle = (at / divisions) * 2 * Math.PI;
    return [middle + radius * Math.sin(angle), middle - radius * Math.cos(angle)];
  };
</script>

<svg viewBox="0 0 {SIZE} {SIZE}" role="img" aria-label={texts.aDialGauge}>
  <circle cx={middle} cy={middle} r={RADIUS + 12} class="face" />
  {#each marks as mark (mark)}
    {@const long = mark % 10 === 0 ? 18 : mark % 5 === 0 ? 12 : 7}
    {@const [x1, y1] = point(mark, RADIUS)}
    {@const [x2, y2] = point(mark, RADIUS - long)}
    <line {x1} {y1} {x2} {y2} class="ink" />
  {/each}
  {#each [low, high] as mark (mark)}
    {@const [x2, y2] = point(mark, RADIUS - 6)}
    <line x1={middle} y1={middle} {x2} {y2} class="needle" class:other={mark === low} />
  {/each}
  {#each marks.filter((mark) => mark % 10 === 0) as mark (mark)}
    {@const [x, y] = point(mark, RADIUS - 32)}
    <text {x} y={y + 6} text-anchor="middle">{mark * numbered}</text>
  {/each}
  <circle cx={middle} cy={middle} r="7" class="hub" />
</svg>

<style>
  svg {
    width: min(320px, 100%);
    height: auto;
  }
  .face {
    fill: var(--paper);
    stroke: var(--rotor-edge);
    stroke-width: 3;
  }
  .ink {
    stroke: var(--ink);
  }
  .needle {
    stroke: var(--pad-limit);
    stroke-width: 2.5;
  }
  .other {
    stroke-dasharray: 6 4;
  }
  .hub {
    fill: var(--ink);
  }
  text {
    fill: var(--ink);
    font-size: 15px;
    paint-order: stroke;
    stroke: var(--paper);
    stroke-width: 5px;
    font-variant-numeric: tabular-nums;
  }
</style>
