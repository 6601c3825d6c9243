<script lang="ts">
  import PlainButton from "../../parts/controls/PlainButton.svelte";
  import * as texts from "../../texts/atTheCar";
  import { say } from "../../texts/say";
  import { spoken } from "./aloud";

  /** Counts by tap or by the space key, and says the count aloud. */
  let { of, target, value = $bindable(0) }: { of: string; target: number | null; value: number } = $props();

  function add(by: number) {
    value = Math.max(0, value + by);
    spoken(String(value));
  }
  function press(event: KeyboardEvent) {
    const busy = event.target instanceof HTMLElement && event.target.closest("input, textarea, button, summary");
    if (event.key !== " " || busy) return;
    event.preventDefault();
    add(1);
  }
</script>

<svelte:window onkeydown={press} />
<div class="counter">
  <button type="button" class="count" class:reached={target !== null && value >= target} onclick={() => add(1)}>
    <span>{of}</span>
    <strong class="number" aria-live="polite">{value}</strong>
    <span class="quiet">{target === null ? texts.tapOrSpace : say(texts.ofTarget, { target })}</span>
  </button>
  <div class="side">
    <PlainButton onclick={() => add(-1)} aria-label={texts.oneLess} disabled={value === 0}>−1</PlainButton>
    <PlainButton onclick={() => (value = 0)} disabled={value === 0}>{texts.reset}</PlainButton>
  </div>
</div>

<style>
  .counter {
    display: grid;
    grid-template-columns: 1fr 6rem;
    gap: 0.5rem;
  }
  .count {
    display: grid;
    justify-items: center;
    min-height: 7.5rem;
    padding: 0.25rem 0.75rem;
    border: 2px solid var(--ink);
    background: var(--sheet);
    color: var(--ink);
    font: inherit;
  }
  .count strong {
    font-size: 3.5rem;
    line-height: 1;
  }
  .reached {
    border-color: var(--good);
    border-width: 4px;
  }
  .side {
    display: grid;
    gap: 0.5rem;
  }
</style>
