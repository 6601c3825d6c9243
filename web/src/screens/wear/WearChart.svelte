<script lang="ts">
  import ReadingsTable from "./ReadingsTable.svelte";
  import WearAxes from "./WearAxes.svelte";
  import * as texts from "../../texts/wear";
  import { say } from "../../texts/say";
  import { scaleLinear } from "d3-scale";
  import { line } from "d3-shape";
  import type { Schemas } from "../../api/client";
  import { inUnit, position as named, upperFirst } from "../../format/words";
  import { coursePaths, dateTicks, picture, runs, spaced, staggered, type Point } from "./wearScale";

  /** Thickness over the odometer, with the dates beside it. Points are reached by Tab and say themselves; a table lies behind. */
  let { wear, positions }: { wear: Schemas["Wear"]; positions: string[] } = $props();
  const HEIGHT = 380;
  const EDGE = { top: 26, right: 18, bottom: 62, left: 46 };

  let width = $state(900);
  let told = $state<Point | null>(null);
  const unit = $derived(wear.axle_name.distance_unit);
  const distance = (km: number) => inUnit(km, unit);
  const drawn = $derived(picture(wear, positions, distance));
  const x = $derived(scaleLinear(drawn.odometer, [EDGE.left, Math.max(width - EDGE.right, EDGE.left + 60)]));
  const y = $derived(scaleLinear([0, drawn.top], [HEIGHT - EDGE.bottom, EDGE.top]));
  const dates = $derived(spaced(dateTicks(wear, distance, drawn.odometer), x, 46));
  const course = $derived(
    line<Point>(
      (each) => x(each.at),
      (each) => y(each.mm),
    ),
  );
  const names = $derived(
    staggered(
      drawn.courses.map((each) => ({ id: each.position, at: each.to[1], mm: each.limit, label: named(each.position) })),
      x,
      84,
    ),
  );
  const part = $derived(positions.every((each) => !each.includes("_")) ? "rotor" : "pad");
  const today = $derived(x(distance(wear.as_of.odometer_km)));
</script>

<div class="chart" bind:clientWidth={width}>
  <svg
    viewBox="0 0 {width} {HEIGHT}"
    {width}
    height={HEIGHT}
    role="group"
    aria-label={say(texts.thicknessOverTheOdometerPositions, { positions: positions.map(named).join(", ") })}
  >
    <WearAxes {x} {y} {unit} {part} {dates} {width} height={HEIGHT} edge={EDGE} />

    {#each drawn.breaks as fitted (fitted.at)}
      <line class="fitted" x1={x(fitted.at)} x2={x(fitted.at)} y1={EDGE.top} y2={HEIGHT - EDGE.bottom}
        ><title>{upperFirst(fitted.label)}</title></line
      >
    {/each}
    {#each drawn.breaks.length ? spaced(drawn.breaks, x, 130) : [] as fitted (fitted.at)}
      <text class="axis" x={Math.min(x(fitted.at) + 4, width - EDGE.right - 100)} y={EDGE.top - 8}>{fitted.label}</text>
    {/each}
    <line class="today" x1={today} x2={today} y1={EDGE.top} y2={HEIGHT - EDGE.bottom} />

    {#each drawn.limits as limit (limit.part)}
      <line class="limit {limit.part}" x1={EDGE.left} x2={width - EDGE.right} y1={y(limit.mm)} y2={y(limit.mm)} />
      <text class="limit {limit.part}" x={EDGE.left + 6} y={y(limit.mm) + 15}>{limit.label}</text>
    {/each}

    {#each drawn.courses as each (each.position)}
      {@const paths = coursePaths(each, x, y)}
      <g class={each.position}>
        <path class="band" d={paths.band} />
        <path class="likely" d={paths.middle} />
      </g>
    {/each}
    {#each positions.length > 1 ? names : [] as label (label.id)}
      <text class="name {label.id}" x={x(label.at)} y={y(label.mm) + 17 + 17 * label.row} text-anchor="middle"
        >{label.label}</text
      >
    {/each}
    {#each runs(drawn.points, drawn.breaks) as run (run[0]!.id)}<path
        class="run {run[0]!.position}"
        d={course(run)}
      />{/each}
    {#each drawn.points as point (point.id)}
      <!-- svelte-ignore a11y_no_noninteractive_tabindex -->
      <g
        class={point.position}
        class:doubted={point.doubted}
        role="img"
        aria-label={upperFirst(point.text)}
        tabindex="0"
        onfocus={() => (told = point)}
        onmouseenter={() => (told = point)}
        onblur={() => (told = null)}
        onmouseleave={() => (told = null)}
      >
        {#if point.interval}
          <rect
            class="interval"
            x={x(point.at) - 5}
            y={y(point.high)}
            width="10"
            height={Math.max(y(point.low) - y(point.high), 2)}
          />
        {:else}
          <path
            class="error"
            d="M{x(point.at)} {y(point.high)}V{y(point.low)}M{x(point.at) - 4} {y(point.high)}h8M{x(point.at) - 4} {y(
              point.low,
            )}h8"
          />
          <circle cx={x(point.at)} cy={y(point.mm)} r="4.5" />
        {/if}
        <circle class="reach" cx={x(point.at)} cy={y(point.mm)} r="14" />
      </g>
    {/each}
  </svg>
  <p class="told" role="status">{told ? upperFirst(told.text) : "\u00a0"}</p>
</div>
<ReadingsTable {wear} {positions} />

<style>
  .chart {
    overflow: hidden;
  }
  svg {
    display: block;
    max-width: 100%;
    font:
      0.85rem "Barlow",
      system-ui,
      sans-serif;
  }
  svg {
    --of: #0d5a66;
  }
  .left_outer,
  .left_trailing {
    --of: #9a6413;
  }
  .right_inner,
  .right_leading {
    --of: #5a4fb0;
  }
  .right_outer,
  .right_trailing,
  .right {
    --of: #a3123f;
  }
  :global(:root[theme="g100"]) svg {
    --of: #63c2d1;
  }
  :global(:root[theme="g100"]) :is(.left_outer, .left_trailing) {
    --of: #d9a451;
  }
  :global(:root[theme="g100"]) :is(.right_inner, .right_leading) {
    --of: #aaa2f2;
  }
  :global(:root[theme="g100"]) :is(.right_outer, .right_trailing, .right) {
    --of: #ff7ba2;
  }
  .axis {
    fill: var(--quiet);
    font-variant-numeric: tabular-nums;
  }
  .fitted {
    stroke: var(--quiet);
    stroke-dasharray: 2 4;
  }
  .today {
    stroke: var(--quiet);
    stroke-width: 0.8;
  }
  line.limit {
    stroke: var(--pad-limit);
    stroke-width: 1.6;
  }
  text.limit {
    fill: var(--pad-limit);
    font-weight: 600;
  }
  line.limit.rotor {
    stroke: var(--rotor-limit);
    stroke-dasharray: 7 4;
  }
  text.limit.rotor {
    fill: var(--rotor-limit);
  }
  .band {
    fill: var(--of);
    fill-opacity: 0.16;
    stroke: var(--of);
    stroke-opacity: 0.5;
    stroke-width: 0.8;
  }
  .likely {
    fill: none;
    stroke: var(--of);
    stroke-width: 2.2;
  }
  .run {
    fill: none;
    stroke: var(--of);
    stroke-width: 1.2;
    stroke-dasharray: 1 3;
  }
  .name {
    fill: var(--of);
    font-weight: 600;
  }
  .error {
    fill: none;
    stroke: var(--of);
    stroke-width: 1.6;
  }
  .interval {
    fill: var(--of);
    fill-opacity: 0.35;
    stroke: var(--of);
  }
  .doubted :is(.error, .interval) {
    stroke-dasharray: 3 3;
  }
  circle {
    fill: var(--of);
  }
  .doubted circle:not(.reach) {
    fill: var(--sheet);
    stroke: var(--of);
    stroke-width: 2;
  }
  .reach {
    fill: transparent;
  }
  g[tabindex]:focus-visible {
    outline: none;
  }
  g[tabindex]:focus-visible .reach {
    stroke: var(--petrol);
    stroke-width: 2.5;
  }
  .told {
    min-height: 1.5em;
    font-weight: 600;
  }
</style>
