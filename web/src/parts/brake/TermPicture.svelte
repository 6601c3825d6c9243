<script lang="ts">
  import * as texts from "../../texts/brake";
  import { say } from "../../texts/say";
  import type { Schemas } from "../../api/client";
  import BrakePicture from "./BrakePicture.svelte";
  import { showing } from "./showing";
  import { usualBrake } from "./usual";

  /** A word of the trade in colour on a usual brake. */
  let { term }: { term: Schemas["Term"] } = $props();
  const shown = $derived(showing(term.drawn?.parts ?? []));
</script>

{#if term.drawn}
  {#await usualBrake(term.drawn.brake) then corner}
    <div>
      <BrakePicture parts={corner.parts} {shown} said={say(texts.termDrawn, { term: term.term })} ratio={0.85} />
    </div>
  {:catch}{""}{/await}
{/if}

<style>
  div {
    width: min(24rem, 100%);
  }
</style>
