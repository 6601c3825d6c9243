<script lang="ts">
  import PlainButton from "../../parts/controls/PlainButton.svelte";
  import { onDestroy } from "svelte";
  import * as texts from "../../texts/atTheCar";
  import { spoken } from "./aloud";

  /** Counts down a waiting time and says its end aloud. It only reminds: judge by what you see. */
  let { of, seconds }: { of: string; seconds: number } = $props();
  let ends = $state<number | null>(null);
  let left = $state(0);
  let timer: ReturnType<typeof setInterval> | undefined;
  const shown = $derived(ends === null ? seconds : left);

  function start() {
    ends = Date.now() + seconds * 1000;
    left = seconds;
    clearInterval(timer);
    timer = setInterval(run, 250);
  }
  function run() {
    left = Math.max(0, Math.ceil((ends! - Date.now()) / 1000));
    if (left > 0) return;
    clearInterval(timer);
    spoken(texts.timeIsUp);
  }
  function stop() {
    clearInterval(timer);
    ends = null;
  }
  onDestroy(() => clearInterval(timer));
  const said = (value: number) => `${Math.floor(value / 60)}:${String(value % 60).padStart(2, "0")}`;
</script>

<div class="timer" class:over={ends !== null && left === 0}>
  <div>
    <span>{of}</span>
    <strong class="number" role="timer">{said(shown)}</strong>
    {#if ends !== null && left === 0}<span role="status">{texts.timeIsUp}</span>{/if}
  </div>
  {#if ends === null}<PlainButton onclick={start}>{texts.startTimer}</PlainButton>
  {:else}<PlainButton onclick={stop}>{texts.resetTimer}</PlainButton>{/if}
</div>

<style>
  .timer {
    display: flex;
    justify-content: space-between;
    align-items: center;
    gap: 1rem;
    border: 2px solid var(--ink);
    padding: 0.5rem 0.75rem;
  }
  .timer div {
    display: grid;
  }
  strong {
    font-size: 2.5rem;
    line-height: 1.05;
  }
  .over {
    border-color: var(--good);
    border-width: 4px;
  }
</style>
