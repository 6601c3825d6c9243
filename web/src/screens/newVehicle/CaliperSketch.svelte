<script lang="ts">
  import type { Schemas } from "../../api/client";

  /** A caliper seen from above over its rotor: what slides, where the pistons are, what holds the pads. A drum from its
   * open side. */
  let { drawn }: { drawn: Schemas["DataChoice"]["drawn"] } = $props();
  const shows = $derived(new Set(drawn));
  const fixed = $derived(shows.has("opposed"));
  const swings = $derived(shows.has("swings"));
</script>

{#if shows.has("drum")}
  <svg width="120" height="76" viewBox="0 0 120 76" aria-hidden="true">
    <circle class="rotor" cx="60" cy="38" r="36" /><circle class="body" cx="60" cy="38" r="31" />
    <path
      class="pad"
      d="M56 12.3a26 26 0 0 0-12 46l-4 4.6a32 32 0 0 1 14-56.4zM64 12.3a26 26 0 0 1 12 46l4 4.6a32 32 0 0 0-14-56.4z"
    />
    <rect class="piston" x="48" y="12" width="24" height="9" rx="2" />
    {#if shows.has("servo")}<path class="pin" d="M48 60h24" /><circle class="piston" cx="60" cy="60" r="5" />
    {:else}<path class="pin" d="M42 62h36" /><path class="spring" d="M46 30h28" />{/if}
    <circle class="rotor" cx="60" cy="38" r="8" />
  </svg>
{:else}
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
{/if}

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
