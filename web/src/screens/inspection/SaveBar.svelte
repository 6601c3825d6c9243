<script lang="ts">
  import PlainButton from "../../parts/controls/PlainButton.svelte";
  import * as common from "../../texts/common";
  import * as texts from "../../texts/inspection";
  import { say } from "../../texts/say";
  import { Button } from "carbon-components-svelte";
  import type { InspectionForm } from "./inspectionForm.svelte";

  /** Saves the inspection, and says why it was not saved. */
  let { form, save, primary }: { form: InspectionForm; save: () => unknown; primary: boolean } = $props();
  const readings = $derived(form.refused.find((each) => each.field === "readings")?.message);
</script>

{#if readings}<p class="fault" role="alert">{readings}</p>{/if}
{#if form.refused.length}<p class="fault" role="alert">
    {say(texts.notSavedYetFields, { count: form.refused.length })}
  </p>{/if}
<div class="row">
  <Button id="save" kind={primary ? "primary" : "tertiary"} disabled={form.saving} on:click={save}
    >{texts.saveInspection}</Button
  >
  <Button kind="ghost" on:click={() => form.startOver()}>{texts.startOver}</Button>
  {#if form.undoable}<p role="status">
      {form.undoable.said}.
      <PlainButton onclick={() => form.undo()}>{common.undo}</PlainButton>
    </p>{/if}
</div>
{#if form.unreached}<p class="fault" role="alert">
    {texts.notSavedNoConnection}
  </p>{/if}
