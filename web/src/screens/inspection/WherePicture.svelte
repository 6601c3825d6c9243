<script lang="ts">
  import * as texts from "../../texts/inspection";
  import { say } from "../../texts/say";
  import { lazyApi } from "../../api/lazyApi";
  import type { Schemas } from "../../api/client";
  import { Loader } from "../../parts/loader.svelte";
  import { showing } from "../../parts/brake/showing";
  import BrakePicture from "../../parts/brake/BrakePicture.svelte";
  import PlainButton from "../../parts/controls/PlainButton.svelte";

  /** Where each thing to look at sits on this wheel's brake: named by a press on it, or on its name. */
  interface Props {
    axle: number;
    side: string;
    items: Schemas["LookedAt"][];
  }
  let { axle, side, items }: Props = $props();
  const loaded = new Loader<Schemas["CornerDrawing"]>();
  $effect(() => {
    const [at, on] = [axle, side];
    loaded.load(() => lazyApi.axleDrawing(at, on));
  });
  const drawn = $derived(items.filter((item) => loaded.value?.parts.some((part) => part.found.includes(item.id))));
  let chosen = $state<string | null>(null);
  const item = $derived(drawn.find((each) => each.id === chosen));
  const parts = $derived((loaded.value?.parts ?? []).filter((part) => item && part.found.includes(item.id)));
  const shown = $derived(showing(parts.map((part) => part.id)));
  const labels = $derived(parts.slice(0, 1).map((part) => ({ part: part.id, lines: [item!.label] })));
</script>

{#if loaded.value && drawn.length}
  <div class="names">
    {#each drawn as each (each.id)}
      <PlainButton pressed={each.id === chosen} onclick={() => (chosen = each.id === chosen ? null : each.id)}
        >{each.label}</PlainButton
      >
    {/each}
  </div>
  <div class="picture">
    <BrakePicture
      parts={loaded.value.parts}
      {shown}
      {labels}
      said={say(texts.whereItSits, { item: item?.label ?? texts.nothingChosen })}
      pick={(part) => (chosen = drawn.find((each) => part.found.includes(each.id))?.id ?? null)}
      ratio={0.8}
    />
  </div>
{/if}

<style>
  .names {
    display: flex;
    flex-wrap: wrap;
    gap: 0.3rem;
    margin: 0.5rem 0;
  }
  .picture {
    max-width: 30rem;
  }
</style>
