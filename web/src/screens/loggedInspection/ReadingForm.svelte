<script lang="ts">
  import SelectField from "../../parts/controls/SelectField.svelte";
  import TextField from "../../parts/controls/TextField.svelte";
  import "./correct.css";
  import * as common from "../../texts/common";
  import * as texts from "../../texts/loggedInspection";
  import { say } from "../../texts/say";
  import { Button } from "carbon-components-svelte";
  import type { Schemas } from "../../api/client";
  import Fault from "../../parts/Fault.svelte";
  import type { Correction } from "./correction.svelte";
  import ReasonField from "./ReasonField.svelte";

  let { reading, correction }: { reading: Schemas["LoggedReading"]; correction: Correction } = $props();
  const { fault } = $derived(correction);
  const units = $derived(reading.method === "percent" ? ["percent", "share"] : ["mm", "in", "32nd", "thou", "100th"]);
</script>

<form
  class="correct"
  aria-label={say(texts.changeLabel, { label: reading.label })}
  onsubmit={(event) => (event.preventDefault(), correction.saveReading(reading))}
  novalidate
>
  {#if reading.value !== null && !reading.void}
    <TextField
      label={texts.value}
      id="value"
      inputmode="decimal"
      bind:value={correction.value}
      fault={fault("value")}
    />
    {#if reading.upper !== null}<TextField
        label={texts.doesntFit}
        id="upper"
        inputmode="decimal"
        bind:value={correction.upper}
        fault={fault("upper")}
      />{/if}
    <SelectField
      label={texts.unit}
      id="unit"
      bind:value={correction.unit}
      options={units.map((each) => ({ id: each, label: each }))}
    />
  {/if}
  <ReasonField id="reason" {correction} />
  <div class="row">
    {#if reading.value !== null && !reading.void}<Button size="field" type="submit">{common.save}</Button>{/if}
    <Button
      size="field"
      kind="danger-tertiary"
      on:click={() => correction.send({ reading: reading.id, void: !reading.void })}
      >{reading.void ? common.restore : texts.strikeItOut}</Button
    >
    <Button size="field" kind="ghost" on:click={correction.close}>{common.cancel}</Button>
  </div>
  <Fault
    text={fault("value") ||
      fault("upper") ||
      fault("unit") ||
      fault("reason") ||
      correction.other ||
      correction.form.first}
  />
</form>
