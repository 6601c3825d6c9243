<script lang="ts">
  import type { Schemas } from "../../api/client";

  /** A caliper seen from above over its rotor: what slides, where the pistons are, what holds the pads. */
  let { drawn }: { drawn: Schemas["DataChoice"]["drawn"] } = $props();
  const shows = $derived(new Set(drawn));
  const fixed = $derived(shows.has("opposed"));
  const swings = $derived(shows.has("swings"));
</script>

<svg width="120" height="76" viewBox="0 0 120 76" aria-hidden="true">
  <rect class="rotor" x="2" y="35" width="116" height="6" />
  <rect class="body" x="30" y={fixed ? 12 : 8} width="60" height={fixed ? 18 : 20} rx="3" />
  <rect class="body" x="30" y={fixed ? 46 : 50} width="60" height={fixed ? 18 : 9} rx="3" />
  <path class="body" d="M30 20v36h-6v-36zM90 20v36h6v-36z" />
  <rect class="pad" x="36" y="30" width="48" height="5" /><rect class="pad" x="36" y="41" width="48" height="5" />
  <rect class="piston" x="48" y={fixed ? 16 : 14} width="24" height={fixed ? 12 : 14} />
  {#if fixed}<rect class="piston" x="48" y="48" width="24" height="12" />
  {:else}
    <path class="pin" d={swings ? "M102 8v34" : "M18 8v34M102 8v34"} />
    {#if swings}<circle class="pin" cx="18" cy="24" r="5" /><path class="move" d="M12 12a14 14 0 0 0-6 16" />{/if}
  {/if}
  {#if shows.has("spring")}<path class="spring" d="M26 66c10 10 58 10 68 0" />{/if}
  {#if shows.has("pad_pin")}<path class="spring" d="M60 26v26" />{/if}
</svg>

<style>
  .rotor {
    fill: var(--rotor);
    stroke: var(--rotor-edge);
  }
  .body {
    fill: var(--sheet);
    stroke: var(--ink);
  }
  .pad {
    fill: var(--friction);
  }
  .piston {
    fill: var(--plate);
  }
  .pin,
  .spring,
  .move {
    fill: none;
    stroke: var(--ink);
    stroke-width: 3;
  }
  .spring {
    stroke: var(--petrol);
  }
  .move {
    stroke-width: 1.5;
  }
</style>
