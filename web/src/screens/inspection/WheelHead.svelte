<script lang="ts">
  import CheckField from "../../parts/controls/CheckField.svelte";
  import * as common from "../../texts/common";
  import * as texts from "../../texts/inspection";
  import { say } from "../../texts/say";
  import { ofAxle, ofBrake, partName } from "../../format/words";
  import type { InspectionForm } from "./inspectionForm.svelte";
  import { turned, worn } from "./readingKeys";

  /** Which wheel it is, and whether its axle got new parts. */
  let { form, wheel }: { form: InspectionForm; wheel: InspectionForm["wheels"][number] } = $props();
  const disc = $derived(turned(wheel));
  const said = (text: string) => ofAxle(ofBrake(text, wheel.brakes), wheel.axle_name);
</script>

<div class="row spread">
  <h2>{wheel.label}</h2>
  <div class="row ticks">
    <CheckField checked={form.isNew(wheel.axle, "pad")} oncheck={() => form.toggleFit(wheel.axle, "pad")}
      >{said(texts.newPadsFitted)} <kbd>n</kbd></CheckField
    >
    <CheckField checked={form.isNew(wheel.axle, disc)} oncheck={() => form.toggleFit(wheel.axle, disc)}
      >{said(texts.newRotors)} <kbd>r</kbd></CheckField
    >
  </div>
</div>
{#if form.isNew(wheel.axle, "pad") || form.isNew(wheel.axle, disc)}<p class="quiet">
    {say(ofAxle(texts.newPartsNote, wheel.axle_name), {
      filter: (["pad", disc] as const)
        .filter((part) => form.isNew(wheel.axle, part))
        .map((part) => partName(part === "pad" ? worn(wheel) : part, true))
        .join(common.and),
    })}
  </p>{/if}

<style>
  .ticks {
    gap: 0 1rem;
  }
</style>
