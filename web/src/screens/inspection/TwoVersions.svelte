<script lang="ts">
  import * as common from "../../texts/common";
  import * as texts from "../../texts/inspection";
  import { Button } from "carbon-components-svelte";
  import { api } from "../../api/client";
  import { push } from "svelte-spa-router";
  import type { InspectionForm } from "./inspectionForm.svelte";

  /** Another window went on with this inspection: both versions beside each other, and the owner chooses. */
  let { form }: { form: InspectionForm } = $props();

  // Entries made here go to the bin.
  async function discard() {
    await api.keepDraft(form.vehicle, { content: $state.snapshot(form.content) as never, revision: 0 });
    await api.binDraft(form.vehicle);
    form.draft.done();
    await push(`/vehicles/${form.vehicle}`);
  }
</script>

<section class="sheet two" role="alert" aria-label={texts.twoVersions}>
  {#if !form.theirs}
    <p>{texts.continuedElsewhere}</p>
  {:else if form.theirs.content === null}
    <h2>{texts.savedElsewhereTitle}</h2>
    <p>{texts.savedElsewhereNote}</p>
    <div class="row">
      <Button size="field" on:click={() => form.keepMine()}>{texts.continueWithTheseEntries}</Button>
      <Button size="field" kind="ghost" on:click={discard}>{texts.discardTheseEntries}</Button>
    </div>
  {:else}
    <h2>{texts.continuedElsewhereTitle}</h2>
    {#if form.differences.length}
      <div class="scroll">
        <table>
          <thead><tr><th>{common.where}</th><th>{texts.here}</th><th>{texts.theOtherWindow}</th></tr></thead>
          <tbody
            >{#each form.differences as [where, here, there] (where)}<tr
                ><th scope="row">{where}</th><td>{here || common.nothing}</td><td>{there || common.nothing}</td></tr
              >{/each}</tbody
          >
        </table>
      </div>
    {:else}
      <p>{texts.bothSayTheSame}</p>
    {/if}
    <div class="row">
      <Button size="field" on:click={() => form.keepMine()}>{texts.keepThisVersion}</Button>
      <Button size="field" kind="tertiary" on:click={() => form.takeTheirs()}>{texts.useTheOtherWindows}</Button>
    </div>
  {/if}
</section>

<style>
  .two {
    border-left: 6px solid var(--doubt);
    display: grid;
    gap: 0.6rem;
    margin-bottom: 0.75rem;
  }
  tbody th {
    font-weight: 600;
  }
</style>
