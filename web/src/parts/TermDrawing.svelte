<script lang="ts">
  import { TERM_DRAWINGS } from "./termDrawings";

  /** A word of the trade as a small drawing, what it means marked; nothing where there is none. The text says the same. */
  let { term }: { term: string } = $props();
  const shapes = $derived(TERM_DRAWINGS[term]);
</script>

{#if shapes}
  <svg viewBox="0 0 160 80" width="160" height="80" aria-hidden="true">
    {#each shapes as [stuff, path], at (at)}<path class={stuff} d={path} />{/each}
  </svg>
{/if}

<style>
  svg {
    display: block;
    margin: 0.5rem 0 0.25rem;
    max-width: 100%;
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
  .body,
  .line {
    fill: none;
    stroke: var(--quiet);
    stroke-width: 1.5;
  }
  .gone {
    fill: none;
    stroke: var(--gone);
    stroke-dasharray: 3 3;
  }
  .limit {
    fill: none;
    stroke: var(--rotor-limit);
    stroke-width: 2;
    stroke-dasharray: 6 3;
  }
  .mark {
    fill: none;
    stroke: var(--petrol);
    stroke-width: 3;
  }
</style>
