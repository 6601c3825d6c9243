<script lang="ts">
  import * as texts from "../../texts/wear";
  import type { Schemas } from "../../api/client";
  import TermText from "../../parts/TermText.svelte";

  /** What the axle's state and forecast rest on. */
  let { axle, why }: { axle: Schemas["Axle"]; why: string[] } = $props();
</script>

<section class="sheet">
  <h2>{texts.whyItSaysSo}</h2>
  <ul>
    {#each axle.reasons as reason (reason.rule)}<li>
        <strong>{axle.state.label}:</strong>
        {reason.sentence} <span class="quiet">({reason.source})</span>
      </li>{/each}
    {#each why as line (line)}<li><TermText text={line} /></li>{/each}
  </ul>
</section>

<style>
  ul {
    display: grid;
    gap: 0.35rem;
    padding-left: 1.1rem;
    list-style: disc;
    line-height: 1.4;
  }
</style>
