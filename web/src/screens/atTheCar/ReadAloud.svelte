<script lang="ts">
  import * as texts from "../../texts/aloud";
  import PlainButton from "../../parts/controls/PlainButton.svelte";
  import type { StepGroup } from "../../format/jobs";
  import { canSpeak, hush, spoken, told } from "./aloud";

  /** Reads a step with the device's own voice, when asked or each as it comes. It never ticks anything. */
  let { stepGroup }: { stepGroup: StepGroup } = $props();
  const KEPT = "graver.aloud";
  let every = $state(localStorage.getItem(KEPT) === "on");
  const key = $derived(stepGroup.key);
  function toggle() {
    every = !every;
    localStorage.setItem(KEPT, every ? "on" : "off");
    if (every) spoken(told(stepGroup));
    else hush();
  }
  let last = "";
  $effect(() => {
    if (every && key !== last) spoken(told(stepGroup));
    last = key;
  });
  $effect(() => hush);
</script>

{#if canSpeak()}
  <p>
    <PlainButton look="link" onclick={() => spoken(told(stepGroup))}>{texts.read}</PlainButton>
    <PlainButton look="link" pressed={every} onclick={toggle}>{texts.everyStep}</PlainButton>
  </p>
{/if}

<style>
  p {
    display: flex;
    flex-wrap: wrap;
    gap: 0 1.25rem;
    margin: 0;
  }
</style>
