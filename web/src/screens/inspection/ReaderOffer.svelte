<script lang="ts">
  import PlainButton from "../../parts/controls/PlainButton.svelte";
  import * as texts from "../../texts/inspection";
  import { say } from "../../texts/say";
  import type { InspectionForm } from "./inspectionForm.svelte";

  /** What a reader sent for a field that already has a figure: the owner says which holds. */
  let { form, at }: { form: InspectionForm; at: string } = $props();
</script>

{#if form.offered?.at === at}
  <p class="doubt" role="alert">
    {say(texts.theReaderSendsTextYou, { text: form.offered.text, typed: form.offered.typed })}
    <PlainButton onclick={() => form.offered!.take()}>{say(texts.useText, { text: form.offered.text })}</PlainButton>
    <PlainButton onclick={() => (form.offered = null)}
      >{say(texts.keepTyped, { typed: form.offered.typed })}</PlainButton
    >
  </p>
{/if}
