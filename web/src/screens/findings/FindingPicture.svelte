<script lang="ts">
  import * as texts from "../../texts/findings";
  import { say } from "../../texts/say";
  import { lazyApi } from "../../api/lazyApi";
  import type { Schemas } from "../../api/client";
  import { Loader } from "../../parts/loader.svelte";
  import { showing } from "../../parts/brake/showing";
  import BrakePicture from "../../parts/brake/BrakePicture.svelte";

  /** Where on the brake something was found, as thin as it was read. */
  let { finding }: { finding: Schemas["Finding"] } = $props();
  const loaded = new Loader<Schemas["CornerDrawing"]>();
  $effect(() => {
    const [axle, side] = [finding.axle_id!, finding.side];
    loaded.load(() => lazyApi.axleDrawing(axle, side ?? undefined));
  });
  const about = $derived(/^seen-(.+)-/.exec(finding.rule)?.[1] ?? finding.topic);
  const mine = $derived((loaded.value?.parts ?? []).filter((part) => part.found.includes(about)));
  /** One pad or shoe where only one is meant. */
  const one = $derived(mine.filter((part) => finding.pad !== null && part.id.startsWith(finding.pad)));
  const parts = $derived(one.length ? one : mine);
  const shown = $derived(showing(parts.map((part) => part.id)));
  const labels = $derived(parts.slice(0, 2).map((part) => ({ part: part.id, lines: [part.label] })));
</script>

{#if loaded.value && parts.length}
  <div>
    <BrakePicture
      parts={loaded.value.parts}
      {shown}
      {labels}
      said={say(texts.whereFound, { parts: parts.map((part) => part.label).join(", ") })}
      ratio={0.75}
    />
  </div>
{/if}

<style>
  div {
    max-width: 26rem;
    margin-top: 0.5rem;
  }
</style>
