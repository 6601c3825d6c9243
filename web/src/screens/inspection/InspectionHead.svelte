<script lang="ts">
  import PlainButton from "../../parts/controls/PlainButton.svelte";
  import * as texts from "../../texts/inspection";
  import { say } from "../../texts/say";
  import { upperFirst } from "../../format/words";
  import type { InspectionForm } from "./inspectionForm.svelte";

  /** What is inspected, and whether it is saved. */
  interface Props {
    form: InspectionForm;
    /** Only this one. */
    axle: number | null;
    large: boolean;
    toggleLarge: () => void;
  }
  let { form, axle, large, toggleLarge }: Props = $props();
</script>

<div class="head row spread">
  <div>
    <h1>
      {axle
        ? say(texts.axleNameInspection, { axleName: upperFirst(form.wheels[0]?.axle_name ?? "") })
        : texts.inspection}
    </h1>
  </div>
  <div class="row">
    <p class="quiet" role="status">
      {#if form.draft.state === "kept"}{texts.savedAsYouType}{:else if form.draft.state === "keeping"}{texts.saving}{:else if form.draft.state === "not kept"}{texts.notSavedYetTheServer}{/if}
    </p>
    {#if axle}<a href="#/vehicles/{form.vehicle}/inspection">{texts.allWheels}</a>{/if}
    <PlainButton pressed={large} onclick={toggleLarge}>{texts.oneAtATime}</PlainButton>
  </div>
</div>

<style>
  .head {
    margin-bottom: 0.75rem;
  }
</style>
