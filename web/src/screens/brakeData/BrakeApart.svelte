<script lang="ts">
  import * as texts from "../../texts/brakeData";
  import { say } from "../../texts/say";
  import { axleWord, upperFirst } from "../../format/words";
  import { lazyApi } from "../../api/lazyApi";
  import type { Schemas } from "../../api/client";
  import BrakePicture from "../../parts/brake/BrakePicture.svelte";
  import PlainButton from "../../parts/controls/PlainButton.svelte";
  import type { BrakeData } from "./brakeData.svelte";

  /** This axle's brake taken apart: a tapped part opens its data, what is drawn from a gap is dashed. */
  let { form }: { form: BrakeData } = $props();
  let corner = $state.raw<Schemas["CornerDrawing"] | null>(null);
  let picked = $state<string | null>(null);
  $effect(() => {
    void form.data;
    lazyApi.axleDrawing(form.axle).then(
      (drawn) => (corner = drawn),
      () => {},
    );
  });
  const WHEEL = ["wheel", "hook", "cylinder_clamp"];
  const shown = { off: [], out: [], in: [], hidden: WHEEL, of: [] };
  const parts = $derived((corner?.parts ?? []).filter((part) => !WHEEL.includes(part.id)));
  const fields = $derived(new Map(form.data!.fields.map((field) => [field.key, field])));
  const part = $derived(parts.find((each) => each.id === picked));
  const mine = $derived((part?.fields ?? []).flatMap((key) => fields.get(key) ?? []));
  const gaps = $derived(parts.filter((each) => !each.known));

  function pick(chosen: Schemas["DrawnPart"]) {
    picked = chosen.id;
    const known = chosen.fields.flatMap((key) => fields.get(key) ?? []);
    const next = known.find((field) => field.value === null) ?? known[0];
    if (next) form.show(next);
  }
</script>

{#if corner}
  <BrakePicture
    {parts}
    {shown}
    said={say(texts.apartDrawn, { name: upperFirst(axleWord(form.data!.axle.name)) })}
    ratio={0.72}
    apart
    dashed
    {picked}
    {pick}
    labels={part ? [{ part: part.id, lines: [part.label] }] : []}
  />
  <p class="quiet">{texts.pressAPart}</p>
  {#if part}
    <p role="status">
      <strong>{part.label}.</strong>
      {#if mine.length === 0}{texts.nothingToEnter}{:else}
        {#each mine as field (field.key)}
          <PlainButton look="link" onclick={() => form.show(field)}>{field.label}</PlainButton>
        {/each}
      {/if}
    </p>
  {:else if gaps.length}
    <p class="gaps">
      {texts.unknownParts}
      {#each gaps as each (each.id)}
        <PlainButton look="link" onclick={() => pick(each)}>{each.label}</PlainButton>
      {/each}
    </p>
  {/if}
{/if}

<style>
  p {
    margin: 0.25rem 0 0;
  }
  .gaps,
  [role="status"] {
    display: flex;
    flex-wrap: wrap;
    gap: 0 1rem;
    align-items: baseline;
  }
</style>
