<script lang="ts">
  import * as texts from "../texts/parts";
  import { Button, Modal } from "carbon-components-svelte";
  import type { Refusal } from "../api/client";

  /** Both versions of what another window changed; the owner says which one counts. */
  let { refusal, choose }: { refusal: Refusal; choose: (mine: boolean) => void } = $props();
</script>

<Modal open passiveModal modalHeading={texts.changedElsewhere} on:close={() => choose(false)}>
  <p>{texts.whichVersion}</p>
  <ul>
    {#each refusal.faults as fault (fault.field)}
      <li>{fault.message}</li>
    {/each}
  </ul>
  <div class="row">
    <Button data-modal-primary-focus on:click={() => choose(false)}>{texts.showTheOther}</Button>
    <Button kind="secondary" on:click={() => choose(true)}>{texts.saveMine}</Button>
  </div>
</Modal>

<style>
  ul {
    margin: 1rem 0;
    padding-left: 1.1rem;
    list-style: disc;
  }
  li {
    margin-bottom: 0.5rem;
    font-weight: 600;
  }
</style>
