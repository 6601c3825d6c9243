<script lang="ts">
  import PlainButton from "../../parts/controls/PlainButton.svelte";
  import * as common from "../../texts/common";
  import * as texts from "../../texts/inspection";
  import * as photoTexts from "../../texts/photoMeasure";
  import { say } from "../../texts/say";
  import type { Place, InspectionForm } from "./inspectionForm.svelte";

  /** How a reading is taken, each a tap or a key: its unit, method, tool, with or without the plate, the gauge. */
  interface Props {
    form: InspectionForm;
    place: Place;
    send: () => unknown;
    /** Opens or closes the photo. */
    measure: () => void;
  }
  let { form, place, send, measure }: Props = $props();
  const photo = $derived(form.methods(place.part).find((each) => each.id === "photo"));
  const entry = $derived(form.entry(place));
  const method = $derived(form.methods(place.part).find((each) => each.id === entry.method));
  const tools = $derived(form.instrumentsFor(entry.method));
  const tool = $derived(tools.find((each) => each.id === entry.instrument));
</script>

<PlainButton tabindex={-1} onclick={() => form.nextUnit(place)} aria-label={say(texts.unitSwitch, { unit: entry.unit })}
  >{entry.unit}<kbd>u</kbd></PlainButton
>
<PlainButton
  tabindex={-1}
  onclick={() => form.nextMethod(place)}
  aria-label={say(texts.methodLabel, { label: method?.label ?? entry.method })}
  >{method?.label ?? entry.method}<kbd>{method?.key}</kbd></PlainButton
>
{#if tools.length}
  <PlainButton
    tabindex={-1}
    onclick={() => form.nextInstrument(place)}
    aria-label={say(texts.toolName, { name: tool?.name ?? texts.any })}
    >{tool?.name ?? texts.anyTool}<kbd>i</kbd></PlainButton
  >
{/if}
{#if form.plated(place) && entry.method !== "percent"}
  <PlainButton tabindex={-1} pressed={entry.overall} onclick={() => form.togglePlate(place)}
    >{entry.overall ? common.withPlate : texts.frictionOnly}<kbd>p</kbd></PlainButton
  >
{/if}
{#if photo && entry.method !== "photo"}
  <PlainButton tabindex={-1} onclick={measure}>{photoTexts.open}<kbd>{photo.key}</kbd></PlainButton>
{/if}
{#if form.content?.device && place.part !== "runout"}
  <PlainButton tabindex={-1} onclick={send}>{texts.send}<kbd>z</kbd></PlainButton>
{/if}
