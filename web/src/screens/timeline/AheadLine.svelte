<script lang="ts">
  import type { Ahead } from "./ahead.svelte";

  /** The line of "now" as it is dragged along the timeline; the slider under it does the same by keyboard. */
  interface Props {
    ahead: Ahead;
    x: (days: number) => number;
    days: number;
    top: number;
    base: number;
  }
  let { ahead, x, days, top, base }: Props = $props();
  const left = $derived(x(0));
  const end = $derived(x(days));
  const at = $derived(x(ahead.step?.days ?? 0));
  let dragged = $state(false);

  function follow(event: PointerEvent & { currentTarget: SVGGraphicsElement }) {
    const box = event.currentTarget.getBoundingClientRect();
    ahead.to(((event.clientX - box.left) / box.width) * days);
  }
</script>

{#if ahead.steps.length > 1}
  <!-- svelte-ignore a11y_no_static_element_interactions -->
  <rect
    class="reach"
    class:dragged
    x={left}
    y={top - 8}
    width={end - left}
    height={base - top + 8}
    onpointerdown={(event) => (event.currentTarget.setPointerCapture(event.pointerId), (dragged = true), follow(event))}
    onpointermove={(event) => dragged && follow(event)}
    onpointerup={() => (dragged = false)}
    onpointercancel={() => (dragged = false)}
  />
  {#if ahead.at > 0}
    <path class="line" d="M{at} {top - 6}V{base}" />
    <circle class="knob" cx={at} cy={base} r="9" />
  {/if}
{/if}

<style>
  .reach {
    fill: transparent;
    cursor: ew-resize;
    touch-action: pan-y;
  }
  .line {
    stroke: var(--petrol);
    stroke-width: 2.5;
    pointer-events: none;
  }
  .knob {
    fill: var(--petrol);
    pointer-events: none;
  }
</style>
