<script lang="ts">
  import type { Schemas } from "../api/client";
  import * as texts from "../texts/parts";

  /** Readings on file that cannot be right and do not count, each with the way to it. */
  let { readings }: { readings: Schemas["Vehicle"]["unusable"] } = $props();
</script>

{#if readings.length}
  <ul class="plain-list unusable">
    {#each readings as reading (reading.text)}
      <li>
        <strong>{texts.doesNotCount}</strong>
        <a href="#/inspections/{reading.inspection}">{reading.text}</a>. {reading.because}
      </li>
    {/each}
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
