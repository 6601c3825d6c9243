<script lang="ts">
  import type { Schemas } from "../api/client";
  import * as texts from "../texts/parts";
  import { say } from "../texts/say";

  /** Readings on file that cannot be right and do not count, each with the way to it. */
  let { readings }: { readings: Schemas["Vehicle"]["unusable"] } = $props();
  const MOST = 6;
</script>

{#if readings.length}
  <ul class="plain-list unusable">
    {#each readings.slice(0, MOST) as reading, at (at)}
      <li>
        <strong>{texts.doesNotCount}</strong>
        <a href="#/inspections/{reading.inspection}">{reading.text}</a>. {reading.because}
      </li>
    {/each}
    {#if readings.length > MOST}<li>{say(texts.andCountMore, { count: readings.length - MOST })}</li>{/if}
  </ul>
{/if}

<style>
  .unusable {
    border-left: 3px solid var(--doubt);
    padding-left: 0.75rem;
    margin: 0.5rem 0;
  }
  strong {
    color: var(--doubt);
  }
</style>
