<script lang="ts">
  import PlainButton from "../../parts/controls/PlainButton.svelte";
  import * as common from "../../texts/common";
  import * as texts from "../../texts/inspection";
  import { say } from "../../texts/say";
  import { lengthFigure, thickness, withError } from "../../format/lengths";
  import type { Schemas } from "../../api/client";
  import { keyOf } from "./inspectionContent";
  import type { Place, InspectionForm } from "./inspectionForm.svelte";

  /** What there is to say of a reading: what it means, what is wrong with it, what is asked about it. */
  interface Props {
    form: InspectionForm;
    wheel: Schemas["Wheel"];
    place: Place;
    active: boolean;
    refocus: () => void;
  }
  let { form, wheel, place, active, refocus }: Props = $props();
  const entry = $derived(form.entry(place));
  const fault = $derived(form.faultAt(place));
  const measured = $derived(form.measured(place));
  const question = $derived(form.questionAt(place));
  const expected = $derived(form.expected(wheel, place));
  const several = $derived(place.part === "rotor" || place.part === "drum");
  const history = $derived(
    [
      expected === null ? "" : say(texts.expectedRead, { thickness: thickness(expected, place.part) }),
      place.before && say(texts.lastTime, { text: place.before.text }),
    ]
      .filter(Boolean)
      .join(", "),
  );
  /** What is usual of a reading, or of how far its places differ. */
  const USUAL: Record<string, string> = {
    runout: "lateral_runout_mm",
    rotor: "thickness_variation_mm",
    drum: "drum_ovality_mm",
  };
  const usual = $derived(form.sheet?.usual.find((limit) => limit.id === USUAL[place.part]));
  const judged = $derived((place.part === "runout" ? measured?.mm : measured?.spread_mm) ?? 0);
</script>

<p class="says" id="says-{place.id}" role={fault ? "alert" : undefined}>
  {#if question}
    <span class="doubt">{entry.answer ? texts.ANSWERED[entry.answer] : ""}{question.sentence}</span>
    <span class="row answers">
      {#each question.answers as answer (answer.id)}
        <PlainButton pressed={entry.answer === answer.id} onclick={() => form.answer(place, answer)}
          >{answer.label}<kbd>{keyOf(answer.id)}</kbd></PlainButton
        >
      {/each}
    </span>
  {:else if fault}
    {fault.message}
  {:else if measured?.mm != null}
    {#if measured.lower_mm !== null}{say(texts.interval, {
        least: lengthFigure(measured.lower_mm, place.part),
        most: thickness(measured.upper_mm, place.part),
      })}{:else}{withError(measured.mm, measured.sd_mm!, place.part)}{/if}{#if measured.spread_mm != null}; {say(
        texts.spread,
        {
          what: place.part === "pad" ? texts.taper : texts.variesBy,
          spread: thickness(measured.spread_mm, place.part, { digits: place.part === "pad" ? 1 : 3 }),
        },
      )}{/if}{#if usual && judged > usual.value}.
      <strong class="much">{usual.label}.</strong>{/if}
    {#if history}<span class="quiet"> ({history})</span>{/if}
  {:else if history}
    {history}{#if active && several}; {texts.rotorPlacesShort}{/if}
  {:else if active && place.part === "drum"}
    {texts.drumPlacesHint}
  {:else if active && several}
    {texts.rotorPlacesHint}
  {:else if active && place.part === "pad"}
    {wheel.brakes === "drum" ? texts.liningHint : texts.padPlacesHint}
  {:else if place.part === "runout"}
    {texts.runoutHint}
  {/if}
  {#if entry.simulated && entry.text}<strong class="doubt">
      {texts.simulated}
      {form.sample ? "" : texts.simulatedNeverCounts}</strong
    >{/if}
</p>
{#if form.offered?.at === place.id}
  <p class="says doubt" role="alert">
    {say(texts.theGaugeSendsTextYou, { text: form.offered.text, typed: form.offered.typed })}
    <PlainButton onclick={() => (form.offered!.take(), refocus())}
      >{say(texts.useText, { text: form.offered.text })}</PlainButton
    >
    <PlainButton onclick={() => ((form.offered = null), refocus())}
      >{say(texts.keepTyped, { typed: form.offered.typed })}</PlainButton
    >
  </p>
{/if}
{#if active && form.undoable}
  <p class="says undo" role="status">
    {form.undoable.said}.
    <PlainButton onclick={() => void form.undo().then(refocus)}>{common.undo}<kbd>Ctrl Z</kbd></PlainButton>
  </p>
{/if}

<style>
  .answers {
    display: inline-flex;
    gap: 0.4rem;
    margin-top: 0.25rem;
  }
  .doubt {
    --petrol: var(--doubt);
  }
  .says {
    min-height: 1.25rem;
    font-size: inherit;
    line-height: 1.3;
    margin-top: 0.1rem;
  }
  .much {
    color: var(--plan);
  }
  .undo {
    display: flex;
    gap: 0.5rem;
    align-items: center;
  }
</style>
