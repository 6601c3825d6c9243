<script lang="ts">
  import PlainButton from "../../parts/controls/PlainButton.svelte";
  import TextBox from "../../parts/controls/TextBox.svelte";
  import TextField from "../../parts/controls/TextField.svelte";
  import * as common from "../../texts/common";
  import * as texts from "../../texts/inspection";
  import ReaderOffer from "./ReaderOffer.svelte";
  import WheelMarks from "./WheelMarks.svelte";
  import type { InspectionForm } from "./inspectionForm.svelte";

  /** What belongs to no wheel: the fluid, the lines, the pedal, a note. */
  let { form }: { form: InspectionForm } = $props();
  const content = $derived(form.content!);
  const sheet = $derived(form.sheet!);
</script>

<section class="part" aria-label={texts.vehicle}>
  <h2>{texts.vehicle}</h2>
  <div class="row top">
    {#each sheet.figures as figure (figure.id)}
      <TextField
        label="{figure.label} ({figure.unit})"
        id="figure-{figure.id}"
        inputmode="decimal"
        bind:value={content.figures[figure.id]}
        oninput={() => form.typed(figure.id)}
        fault={form.figureFault(figure.id)}
      >
        {#snippet under()}{#if !form.figureFault(figure.id)}<p class="quiet">{figure.hint}</p>{/if}{/snippet}
      </TextField>
    {/each}
    {#if form.bench.sending("fluid_level")}<PlainButton onclick={() => form.readVehicle("fluid_level")}
        >{texts.readLevel}</PlainButton
      >{/if}
  </div>
  <ReaderOffer {form} at="fluid_level" />
  {#if content.simulated?.fluid_level}<p class="doubt">
      {texts.simulatedLevel}
      {form.sample ? "" : texts.simulatedNeverCounts}
    </p>{/if}
  <WheelMarks {form} rows={sheet.vehicle_items.map((item) => [`|||${item.id}`, item, ""])} />
  <TextBox
    label={common.note}
    maxlength={2000}
    bind:value={content.note}
    oninput={() => form.changed()}
    placeholder={texts.whatYouNoticedForNext}
  />
</section>

<style>
  .part {
    display: grid;
    gap: 0.45rem;
  }
  .top {
    align-items: start;
  }
</style>
