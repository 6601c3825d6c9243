<script lang="ts">
  import * as texts from "../../texts/brakeData";
  import DataCell from "./DataCell.svelte";
  import { DIAMETER, drawBrake, type Lane } from "./brakeDrawing";
  import { drawDrum } from "./drumDrawing";
  import type { BrakeData } from "./brakeData.svelte";

  /** The brake of the axle cut through, every dimension where it belongs; each is changed by a press. */
  let { form }: { form: BrakeData } = $props();
  let width = $state(640);
  const fields = $derived(new Map(form.data!.fields.map((field) => [field.key, field])));
  const drums = $derived(form.data!.axle.brakes === "drum");
  const drawing = $derived((drums ? drawDrum : drawBrake)((key) => fields.get(key)?.mm ?? null, width));
  const isAbove = (lane: Lane) => drawing.above.includes(lane);
  const vented = $derived(fields.get("rotor.kind")?.value === "vented");
  const padTop = $derived(drawing.top + 26);
  const padTall = $derived(drawing.body - 52);
  const middle = $derived((drawing.rotor[0] + drawing.rotor[1]) / 2);
  const vane = $derived((drawing.rotor[1] - drawing.rotor[0]) * 0.34);
  /** Where the line lies in its lane: beside its text, under it or over it. */
  const MIDDLE = 16;
  const UNDER = 33;
  const OVER = 4;
  /** Beside its line where there is room, else over it from the left edge. */
  const textAt = (lane: Lane) => (width - lane.to > 250 ? lane.to + 10 : 0);
  const room = (lane: Lane) => `calc(100% - ${px(textAt(lane))})`;
  const topOf = (lane: Lane) => lane.y + (textAt(lane) ? 0 : isAbove(lane) ? -6 : 8);
  const px = (length: number) => `${length}px`;
  const kind = (key: string) => (/new_|backing/.test(key) ? "" : /^(pad|lining)/.test(key) ? "pad" : "rotor");
</script>

<div class="drawing" bind:clientWidth={width} style:height={px(drawing.height)}>
  <svg {width} height={drawing.height} role="img" aria-label={drums ? texts.drumDrawnToScale : texts.drawnToScale}>
    {#each drawing.plates as [from, to] (from)}
      <rect class="plate" x={from} y={padTop - 4} width={to - from} height={padTall + 8} />
    {/each}
    {#each drawing.pads as [from, to] (from)}
      <rect class="friction" x={from} y={padTop} width={to - from} height={padTall} />
    {/each}
    <rect
      class="rotor"
      x={drawing.rotor[0]}
      y={drawing.top}
      width={drawing.rotor[1] - drawing.rotor[0]}
      height={drawing.body}
    />
    {#if vented}<rect class="vane" x={middle - vane / 2} y={drawing.top} width={vane} height={drawing.body} />{/if}
    {#each drawing.padLimits as at (at)}<path class="limit pad" d="M{at} {padTop - 8}v{padTall + 16}" />{/each}
    {#each drawing.discard ?? [] as at (at)}<path
        class="limit rotor-limit"
        d="M{at} {drawing.top}v{drawing.body}"
      />{/each}
    {#each drawing.above as lane (lane.key)}
      {@render dimension(lane, padTop)}
    {/each}
    {#each drawing.below as lane (lane.key)}
      {@render dimension(lane, drawing.top + drawing.body)}
    {/each}
  </svg>
  {#each [...drawing.above, ...drawing.below] as lane (lane.key)}
    {@const field = fields.get(lane.key)}
    {#if field}
      <div class="at" style:top={px(topOf(lane))} style:left={px(textAt(lane))} style:max-width={room(lane)}>
        <DataCell {form} {field} sources={form.data!.sources} lane />
      </div>
    {/if}
  {/each}
  {#if fields.get(DIAMETER)}
    <div class="at" style:top={px(drawing.height - 36)} style:left={px(textAt(drawing.below[0]!))}>
      <DataCell {form} field={fields.get(DIAMETER)!} sources={form.data!.sources} lane />
    </div>
  {/if}
</div>

{#snippet dimension(lane: Lane, edge: number)}
  {@const above = isAbove(lane)}
  {@const at = lane.y + (textAt(lane) ? MIDDLE : above ? UNDER : OVER)}
  <g class="dimension {kind(lane.key)}" class:guessed={!lane.known}>
    <path class="lead" d="M{lane.from} {edge}V{at}M{lane.to} {edge}V{at}" />
    <path d="M{lane.from} {at}H{lane.to}M{lane.from} {at - 4}v8M{lane.to} {at - 4}v8" />
  </g>
{/snippet}

<style>
  .drawing {
    position: relative;
    overflow: hidden;
  }
  svg {
    position: absolute;
    inset: 0;
  }
  .at {
    position: absolute;
    height: 36px;
    background: var(--sheet);
  }
  .plate {
    fill: var(--plate);
  }
  .friction {
    fill: var(--friction);
  }
  .rotor {
    fill: var(--rotor);
    stroke: var(--rotor-edge);
  }
  .vane {
    fill: var(--sheet);
    opacity: 0.7;
  }
  .limit {
    stroke-width: 2;
  }
  .limit.pad {
    stroke: var(--pad-limit);
  }
  .rotor-limit {
    stroke: var(--rotor-limit);
    stroke-dasharray: 1.5 3.5;
    stroke-linecap: round;
  }
  .dimension path {
    stroke: var(--ink);
    fill: none;
    stroke-width: 1.5;
  }
  .dimension .lead {
    stroke: var(--line);
    stroke-width: 1;
  }
  .dimension.pad path:not(.lead) {
    stroke: var(--pad-limit);
  }
  .dimension.rotor path:not(.lead) {
    stroke: var(--rotor-limit);
  }
  .dimension.guessed path:not(.lead) {
    stroke-dasharray: 3 3;
  }
</style>
