<script lang="ts">
  import { scaleLinear, type ScaleLinear } from "d3-scale";
  import { grouped } from "../../format/words";
  import { lengthTicks, lengthUnit, tickLabel } from "../../format/lengths";

  /** The grid of the wear chart: thickness, odometer, and the dates beneath it. */
  interface Props {
    x: ScaleLinear<number, number>;
    y: ScaleLinear<number, number>;
    unit: string;
    part: string;
    dates: { at: number; label: string }[];
    width: number;
    height: number;
    edge: { top: number; right: number; bottom: number; left: number };
  }
  let { x, y, unit, part, dates, width, height, edge }: Props = $props();
  // the unit stands before the first figure, and no figure runs over the edge
  const kms = $derived(
    x
      .ticks(Math.max(Math.floor(width / 110), 2))
      .filter((km) => x(km) > edge.left + 24 && x(km) < width - edge.right - 8),
  );
  const heights = $derived(lengthTicks((from, to) => scaleLinear([from, to], [0, 1]).ticks(6), y.domain()[1]!, part));
</script>

{#each heights as mm (mm)}
  <line class="grid" x1={edge.left} x2={width - edge.right} y1={y(mm)} y2={y(mm)} />
  <text class="axis" x={edge.left - 8} y={y(mm) + 4} text-anchor="end">{tickLabel(mm, part)}</text>
{/each}
<text class="axis" x={edge.left - 8} y={edge.top - 10} text-anchor="end">{lengthUnit(part)}</text>
{#each kms as km (km)}
  <line class="tick" x1={x(km)} x2={x(km)} y1={height - edge.bottom} y2={height - edge.bottom + 5} />
  <text class="axis" x={x(km)} y={height - edge.bottom + 20} text-anchor="middle">{grouped(km)}</text>
{/each}
<text class="axis" x={edge.left - 8} y={height - edge.bottom + 20} text-anchor="end">{unit}</text>
{#each dates as date (date.label)}
  <line class="tick" x1={x(date.at)} x2={x(date.at)} y1={height - 26} y2={height - 21} />
  <text class="axis" x={x(date.at)} y={height - 7} text-anchor="middle">{date.label}</text>
{/each}
<line class="tick" x1={edge.left} x2={width - edge.right} y1={height - 26} y2={height - 26} />

<style>
  .grid {
    stroke: var(--line);
    stroke-width: 0.6;
  }
  .tick {
    stroke: var(--quiet);
  }
  .axis {
    fill: var(--quiet);
    font-variant-numeric: tabular-nums;
  }
</style>
