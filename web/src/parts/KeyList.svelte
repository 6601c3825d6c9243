<script lang="ts">
  import * as texts from "../texts/parts";
  import { Modal } from "carbon-components-svelte";
  import { keysAt, type KeyGroup } from "./keys";

  /** The keys of this screen, then those of the others. */
  let { open = $bindable() }: { open: boolean } = $props();
  const [here, elsewhere] = keysAt(location.hash.slice(1).split("?")[0] || "/");
</script>

{#snippet list(group: KeyGroup)}
  <h3>{group.title}</h3>
  <dl>
    {#each group.keys as [key, meaning] (key)}
      <dt><kbd>{key}</kbd></dt>
      <dd>{meaning}</dd>
    {/each}
  </dl>
{/snippet}

<Modal bind:open passiveModal modalHeading={texts.keys}>
  {#each here as group (group.title)}{@render list(group)}{/each}
  {#if here.some((group) => group.title === texts.keysInspectionForm)}<p class="note">
      {texts.inTheInspectionFormLetters}
    </p>{/if}
  <details>
    <summary>{texts.keysElsewhere}</summary>
    {#each elsewhere as group (group.title)}{@render list(group)}{/each}
  </details>
</Modal>

<style>
  h3 {
    font-size: 1.1rem;
    margin-top: 0.75rem;
  }
  dl {
    display: grid;
    grid-template-columns: 8rem 1fr;
    gap: 0.5rem;
    margin-top: 0.4rem;
  }
  .note {
    margin-top: 0.75rem;
  }
</style>
