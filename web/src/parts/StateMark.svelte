<script lang="ts">
  import type { Schemas } from "../api/client";

  let { state, large = false }: { state: Schemas["State"]; large?: boolean } = $props();
</script>

<span class="mark {state.severity}" class:large title={state.meaning}>
  <svg viewBox="0 0 20 20" aria-hidden="true">
    {#if state.severity === "good"}
      <circle cx="10" cy="10" r="7" fill="none" stroke="currentColor" stroke-width="3" />
    {:else if state.severity === "watch"}
      <circle cx="10" cy="10" r="7" fill="none" stroke="currentColor" stroke-width="3" />
      <path d="M10 3a7 7 0 0 1 0 14z" fill="currentColor" />
    {:else if state.severity === "plan"}
      <path d="M10 1l9 9-9 9-9-9z" fill="currentColor" />
    {:else}
      <path d="M2 2h16v16H2z" fill="currentColor" /><path
        d="M6 6l8 8M14 6l-8 8"
        stroke="var(--sheet)"
        stroke-width="2.5"
      />
    {/if}
  </svg>
  <span>{state.label}</span>
</span>

<style>
  .mark {
    display: inline-flex;
    gap: 0.4em;
    align-items: center;
    font-weight: 600;
    font-size: 1rem;
    white-space: nowrap;
  }
  .mark svg {
    width: 1.1em;
    height: 1.1em;
  }
  .large {
    font-size: 1.35rem;
  }
  .stop {
    color: var(--stop);
  }
  .plan {
    color: var(--plan);
  }
  .watch {
    color: var(--watch);
  }
  .good {
    color: var(--good);
  }
</style>
