<script lang="ts">
  import * as texts from "../../texts/job";
  import { say } from "../../texts/say";
  import { lowerFirst, upperFirst } from "../../format/words";
  import type { Schemas } from "../../api/client";
  import { showing } from "../../parts/brake/showing";
  import BrakePicture from "../../parts/brake/BrakePicture.svelte";

  /** What has to come off an axle's brake for the works chosen, drawn off its place and named. */
  let { drawing, axle }: { drawing: Schemas["JobDrawing"]; axle: string } = $props();
  const corner = $derived(drawing.corners.find((each) => each.axle === axle && !each.key.endsWith(".new")));
  const steps = $derived(drawing.steps.filter((step) => corner && step.corner.startsWith(corner.key)));
  const off = $derived([...new Set(steps.flatMap((step) => step.out))]);
  const names = $derived((corner?.parts ?? []).filter((part) => off.includes(part.id)).map((part) => part.label));
  const named = $derived([...new Set(names)].map(lowerFirst).join(", "));
  const shown = $derived(showing([], off));
  // On a desk there is room for it.
  const wide = matchMedia("(min-width: 60rem)").matches;
</script>

{#if corner && off.length}
  <details open={wide}>
    <summary>{texts.whatComesOff} <span class="quiet">{named}</span></summary>
    <BrakePicture
      parts={corner.parts}
      {shown}
      said={say(texts.comesOffDrawn, { axle: upperFirst(axle), parts: named })}
      ratio={0.8}
    />
  </details>
{/if}
