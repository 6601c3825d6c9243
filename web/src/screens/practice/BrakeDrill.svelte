<script lang="ts">
  import * as texts from "../../texts/practice";
  import type { Schemas } from "../../api/client";
  import { Loader } from "../../parts/loader.svelte";
  import { usualBrake } from "../../parts/brake/usual";
  import BrakePicture from "../../parts/brake/BrakePicture.svelte";

  /** A usual brake with the parts in colour that the question is about. */
  let { picture }: { picture: Schemas["DrillPicture"] } = $props();
  const loaded = new Loader<Schemas["CornerDrawing"]>();
  $effect(() => {
    const kind = picture.brake!;
    loaded.load(() => usualBrake(kind));
  });
  const WHEEL = ["wheel", "wheel_nut"];
  const parts = $derived(loaded.value?.parts ?? []);
  const of = $derived(picture.of ?? []);
  const hidden = $derived(["hook", "cylinder_clamp", ...(of.some((id) => WHEEL.includes(id)) ? [] : WHEEL)]);
  const shown = $derived({ off: [], out: [], in: [], hidden, of });
  const labels = $derived(
    parts.filter((part) => picture.named?.includes(part.id)).map((part) => ({ part: part.id, lines: [part.label] })),
  );
</script>

{#if parts.length}
  <div>
    <BrakePicture {parts} {shown} {labels} said={texts.brakeToName} ratio={0.8} />
  </div>
{/if}

<style>
  div {
    width: min(30rem, 100%);
  }
</style>
