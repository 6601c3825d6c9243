<script lang="ts">
  import type { PlannedStep } from "../../parts/timelineScale";
  import type { TripMove } from "./tripMove.svelte";

  /** A trip on the timeline, moved by dragging; by keyboard it is moved in the list of planned events. */
  interface Props {
    trips: TripMove;
    mark: PlannedStep;
    x: (days: number) => number;
    days: number;
    y: number;
  }
  let { trips, mark, x, days, y }: Props = $props();
  const wide = $derived(Math.max(x(mark.until ?? mark.at) - x(mark.at), 5));
  const moved = $derived(trips.entry === mark.entry);
  let from = $state<{ clientX: number; days: number } | null>(null);

  function hold(event: PointerEvent & { currentTarget: SVGElement }) {
    event.currentTarget.setPointerCapture(event.pointerId);
    trips.hold(mark);
    from = { clientX: event.clientX, days: trips.days };
  }
  function move(event: PointerEvent) {
    if (!from) return;
    const perDay = (x(days) - x(0)) / days;
    trips.to(Math.max(from.days + (event.clientX - from.clientX) / perDay, 0));
  }
  function drop() {
    if (from) trips.let();
    from = null;
  }
</script>

{#if moved}<rect class="ghost" x={x(trips.days)} y={y - 7} width={wide} height="14" />{/if}
<!-- svelte-ignore a11y_no_static_element_interactions -->
<rect
  class="handle"
  x={x(moved ? trips.days : mark.at) - 8}
  y={y - 11}
  width={wide + 16}
  height="22"
  onpointerdown={hold}
  onpointermove={move}
  onpointerup={drop}
  onpointercancel={drop}
/>

<style>
  .handle {
    fill: transparent;
    cursor: ew-resize;
    touch-action: none;
  }
  .ghost {
    fill: var(--friction);
    stroke: var(--ink);
    stroke-width: 2;
  }
</style>
