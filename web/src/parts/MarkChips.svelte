<script lang="ts">
  import type { Schemas } from "../api/client";

  /** The marks of an item, one tap each. */
  let { marks, held, toggle }: { marks: Schemas["Mark"][]; held: string[]; toggle: (mark: Schemas["Mark"]) => void } =
    $props();
</script>

<span class="chips">
  {#each marks as mark (mark.id)}
    <button
      type="button"
      class="chip {mark.severity ?? ''}"
      aria-pressed={held.includes(mark.id)}
      onclick={() => toggle(mark)}>{mark.label}</button
    >
  {/each}
</span>

<style>
  .chips {
    display: flex;
    flex-wrap: wrap;
    gap: 0.3rem;
  }
  .chip {
    min-height: 36px;
    padding: 0 0.65rem;
    border: 1px solid var(--line);
    background: var(--sheet);
    color: inherit;
    font: inherit;
    font-size: 0.9375rem;
    cursor: pointer;
    border-radius: 2px;
  }
  .chip[aria-pressed="true"] {
    border-color: currentColor;
    box-shadow:
      inset 0 0 0 1px currentColor,
      inset 0 -4px currentColor;
    font-weight: 600;
    color: var(--good);
  }
  .chip.watch[aria-pressed="true"] {
    color: var(--watch);
  }
  .chip.plan[aria-pressed="true"] {
    color: var(--plan);
  }
  .chip.stop[aria-pressed="true"] {
    color: var(--stop);
  }
  @media (max-width: 46rem) {
    .chip {
      min-height: 48px;
    }
  }
</style>
