<script lang="ts">
  import type { Schemas } from "../../api/client";
  import { upperFirst } from "../../format/words";
  import type { WalkRound } from "./walkRound.svelte";

  /** Quick marks of what was looked at: one tap each. */
  let { round, rows }: { round: WalkRound; rows: [string, Schemas["LookedAt"], string][] } = $props();

  const cautions = $derived(
    rows.flatMap(([key, item, face]) =>
      item.marks
        .filter((mark) => round.marks(key).includes(mark.id) && mark.caution)
        .map((mark) => ({
          severity: mark.severity,
          id: `${key}|${mark.id}`,
          what: upperFirst([face, item.label.toLowerCase()].filter(Boolean).join(" ") + ": " + mark.label),
          caution: mark.caution,
        })),
    ),
  );
</script>

<div class="marks">
  {#each rows as [key, item, face] (key)}
    <div
      class="item"
      role="group"
      aria-label="{face ? `${upperFirst(face)} ` : ''}{face ? item.label.toLowerCase() : item.label}"
    >
      <span class="what">{face ? `${upperFirst(face)} ${item.label.toLowerCase()}` : item.label}</span>
      <span class="chips">
        {#each item.marks as mark (mark.id)}
          <button
            type="button"
            class="chip {mark.severity ?? ''}"
            aria-pressed={round.marks(key).includes(mark.id)}
            onclick={() => round.toggleMark(key, item, mark)}>{mark.label}</button
          >
        {/each}
      </span>
    </div>
  {/each}
</div>
{#each cautions as caution (caution.id)}
  <p class="caution {caution.severity}" role="alert"><strong>{caution.what}.</strong> {caution.caution}</p>
{/each}

<style>
  .marks {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(min(24rem, 100%), 1fr));
    gap: 0.35rem 1.5rem;
  }
  .item {
    display: grid;
    grid-template-columns: 6.5rem 1fr;
    gap: 0.4rem;
    align-items: baseline;
  }
  .what {
    font-size: 0.9375rem;
    line-height: 1.2;
    color: var(--quiet);
  }
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
  .caution {
    border-left: 5px solid var(--plan);
    padding: 0.3rem 0.75rem;
    margin-top: 0.5rem;
  }
  .caution.stop {
    border-left-color: var(--stop);
    color: var(--stop);
    font-weight: 600;
  }
  @media (max-width: 46rem) {
    .chip {
      min-height: 48px;
    }
    .item {
      grid-template-columns: 1fr;
    }
  }
</style>
