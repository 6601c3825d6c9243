<script lang="ts">
  import * as texts from "../../texts/brake";
  import { untrack } from "svelte";
  import type { Schemas } from "../../api/client";
  import { upperFirst } from "../../format/words";
  import { say } from "../../texts/say";
  import BrakePicture from "./BrakePicture.svelte";
  import { stepShown } from "./stepShown";

  /** The owner's own brake as far as the job has got, with what the steps at hand are about. */
  interface Props {
    drawing: Schemas["JobDrawing"];
    steps: Schemas["JobStep"][];
    ratio?: number;
    tallest?: number;
  }
  let { drawing, steps, ratio = 0.8, tallest }: Props = $props();
  const found = $derived(stepShown(drawing, steps));
  // Asking for another device's ticks brings the same steps anew: a picture that was turned stays as it is.
  const same = $derived(JSON.stringify([found?.corner.side, found?.corner.axle, found?.shown, found?.labels]));
  const here = $derived(same ? untrack(() => found) : null);
  let picked = $state<Schemas["DrawnPart"] | null>(null);
  const named = (ids: string[]) =>
    here!.corner.parts
      .filter((part) => ids.includes(part.id))
      .map((part) => part.label)
      .join(", ");
  const said = $derived(
    here
      ? say(texts.drawnAt, {
          place: upperFirst([here.corner.axle, here.corner.side].filter(Boolean).join(" ")),
          parts: named(here.shown.of),
        })
      : "",
  );
</script>

{#if here}
  <div class="picture">
    <BrakePicture
      parts={here.corner.parts}
      shown={here.shown}
      labels={here.labels}
      {said}
      {ratio}
      {tallest}
      picked={picked?.id ?? null}
      pick={(part) => (picked = picked?.id === part.id ? null : part)}
    />
    {#if picked}<p class="picked" role="status">
        <strong>{picked.label}.</strong>
        {picked.about ?? ""}
        {#each picked.data as { label, value } (label)}<span class="datum">{label}: <b>{value}</b></span>{/each}
      </p>{/if}
  </div>
{/if}

<style>
  .picture {
    border: 1px solid var(--line);
    min-width: 0;
  }
  .picked {
    margin: 0;
    padding: 0.35rem 0.75rem 0.6rem;
  }
  .datum {
    display: block;
  }
</style>
