<script lang="ts">
  import PlainButton from "../../parts/controls/PlainButton.svelte";
  import SelectField from "../../parts/controls/SelectField.svelte";
  import TextField from "../../parts/controls/TextField.svelte";
  import * as common from "../../texts/common";
  import * as texts from "../../texts/inspection";
  import { say } from "../../texts/say";
  import { asRead, day } from "../../format/words";
  import ReaderOffer from "./ReaderOffer.svelte";
  import type { InspectionForm } from "./inspectionForm.svelte";

  /** The odometer, the day and the gauge that sends. begin: Enter in the odometer goes to the first reading. */
  interface Props {
    form: InspectionForm;
    fault: (field: string) => string | undefined;
    begin: (event: KeyboardEvent) => void;
  }
  let { form, fault, begin }: Props = $props();
  const content = $derived(form.content!);
  const gauges = $derived(form.bench.all.filter((device) => device.method));
  const sheet = $derived(form.sheet!);
</script>

<div class="row top">
  <TextField
    label={say(common.odometerUnit, { unit: content.unit })}
    id="odometer"
    inputmode="decimal"
    placeholder={sheet.last?.odometer_value ?? ""}
    bind:value={content.odometer}
    oninput={() => ((content.keepOdometer = false), form.typed("odometer"))}
    onkeydown={begin}
    fault={fault("odometer.value")}
  />
  <TextField
    label={common.day}
    id="date"
    type="date"
    width="short"
    max={sheet.today}
    bind:value={content.date}
    oninput={() => form.changed()}
    fault={fault("date")}
  />
  {#if form.bench.sending("odometer")}<PlainButton onclick={() => form.readVehicle("odometer")}
      >{texts.readFromTheVehicle}</PlainButton
    >{/if}
  {#if gauges.length}
    <SelectField
      id="device"
      label={texts.connectedGauge}
      value={content.device ?? ""}
      options={[{ id: "", label: common.none }, ...gauges]}
      onchoose={(id) => ((content.device = id || null), form.changed())}
    />
  {/if}
</div>
<ReaderOffer {form} at="odometer" />
{#if content.simulated?.odometer}<p class="doubt">
    {texts.simulated}
    {form.sample ? "" : texts.simulatedOdometerNote}
  </p>{/if}
{#if form.preview?.odometer_question}
  {@const question = form.preview.odometer_question}
  <p class="doubt" role="alert">
    {question.sentence}
    {#each question.answers as answer (answer.id)}<PlainButton onclick={() => form.answerOdometer(answer)}
        >{answer.label}</PlainButton
      >{/each}
  </p>
{/if}
{#if !sheet.last}<p class="quiet">
    {texts.firstInspectionNote}
  </p>
{:else if !content.odometer}<p class="quiet">
    {say(texts.lastOdometer, {
      odometerValue: asRead(sheet.last.odometer_value),
      odometerUnit: sheet.last.odometer_unit,
      day: day(sheet.last.date),
    })}
  </p>{/if}

<style>
  .top {
    align-items: start;
    gap: 0.5rem 1rem;
  }
  .top :global(input) {
    font:
      600 1.4rem/1 "Barlow Semi Condensed",
      sans-serif;
  }
  .top :global(input[type="date"]) {
    font-size: var(--control-size);
  }
  .top > :global(.boxed) {
    margin-top: 1.6rem;
  }
  /* As high as its longest fault: what is tapped below does not move away under the finger. */
  .top :global(.under-field) {
    min-height: 3.6em;
    line-height: 1.2;
  }
  @media (max-width: 46rem) {
    .top > :global(.boxed) {
      margin-top: 0;
    }
  }
</style>
