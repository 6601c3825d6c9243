<script lang="ts">
  import PlainButton from "../../parts/controls/PlainButton.svelte";
  import * as texts from "../../texts/inspection";
  import { say } from "../../texts/say";
  import { flushSync } from "svelte";
  import { expectedIn } from "../../format/lengths";
  import type { Schemas } from "../../api/client";
  import ReadingKeys from "./ReadingKeys.svelte";
  import ReadingSays from "./ReadingSays.svelte";
  import { keyed } from "./readingKeys";
  import { BOUNDS } from "./inspectionContent";
  import type { Place, InspectionForm } from "./inspectionForm.svelte";

  interface Props {
    form: InspectionForm;
    wheel: Schemas["Wheel"];
    place: Place;
    active: boolean;
    large?: boolean;
    onfocus: () => void;
    onnext: () => void;
  }
  let { form, wheel, place, active, large = false, onfocus, onnext }: Props = $props();

  const entry = $derived(form.entry(place));
  const fault = $derived(form.faultAt(place));
  const question = $derived(form.questionAt(place));
  const open = $derived(!!question && !entry.answer);
  const expected = $derived(form.expected(wheel, place));
  const event = $derived(form.sheet?.events.find((each) => each.id === entry.event));
  const photo = $derived(entry.method === "photo");
  const gauge = $derived(BOUNDS.includes(entry.method) && !event);
  let measuring = $state(false);
  const close = () => ((measuring = false), refocus());
  const several = $derived(place.part === "rotor" || place.part === "drum");
  const label = $derived(`${wheel.label} ${place.label}`);
  const photoKey = (key: string) => key === "f" && place.part === "pad" && !entry.text.trim();
  const byKey = (key: string) => (photoKey(key) ? (measuring = true) : keyed(form, wheel, place, key, send));

  async function send() {
    if ((await form.sendFrom(wheel, place)) && large) {
      // both hands are at the brake: a value that came is taken, unless it is asked about
      setTimeout(
        () =>
          !form.questionAt(place) &&
          !form.faultAt(place) &&
          (several && entry.places.length < 3 ? form.takePlace(place) : onnext()),
        350,
      );
    }
  }

  function press(event: KeyboardEvent, last: boolean) {
    if ((event.ctrlKey || event.metaKey) && event.key === "z" && !entry.text && form.undoable)
      return (event.preventDefault(), void form.undo().then(refocus));
    if (event.ctrlKey || event.metaKey || event.altKey) return;
    const key = event.key.length === 1 ? event.key.toLowerCase() : event.key;
    if (key === "Enter") {
      event.preventDefault();
      if (several && !last && form.takePlace(place)) return;
      if (gauge && !last) document.getElementById(`upper-${place.id}`)?.focus();
      else onnext();
    } else if (key === "+" && several && !last) {
      event.preventDefault();
      form.takePlace(place);
    } else if (key.length === 1 && !last && byKey(key)) {
      event.preventDefault();
      refocus();
    }
  }

  // An event takes the field's place: the hands stay where they are.
  function refocus() {
    flushSync();
    document.getElementById(`value-${place.id}`)?.focus();
  }
</script>

<div class="reading" class:active class:large class:bad={fault && fault.code !== "questioned"} class:questioned={open}>
  <label for="value-{place.id}">{label}</label>
  <div class="row entry">
    {#if event}
      <button
        id="value-{place.id}"
        type="button"
        class="event"
        onclick={() => form.pick(place, event.key)}
        onkeydown={(pressed) => press(pressed as KeyboardEvent, false)}
        {onfocus}>{event.label} <span aria-hidden="true">×</span></button
      >
    {:else}
      <input
        id="value-{place.id}"
        inputmode="decimal"
        autocomplete="off"
        placeholder={expected === null ? "" : expectedIn(expected, entry.unit, place.part)}
        bind:value={entry.text}
        oninput={() => ((entry.simulated = false), form.retyped(place))}
        onkeydown={(pressed) => press(pressed, false)}
        onfocus={(focused) => (focused.currentTarget.select(), onfocus())}
        aria-invalid={!!fault}
        aria-describedby="says-{place.id}"
      />
      {#if gauge}
        <span class="quiet">{photo ? texts.to : texts.fits}</span>
        <input
          id="upper-{place.id}"
          class="short"
          inputmode="decimal"
          autocomplete="off"
          aria-label={say(photo ? texts.upperBound : texts.thinnestGauge, { label })}
          bind:value={entry.upper}
          oninput={() => form.retyped(place)}
          onkeydown={(pressed) => press(pressed, true)}
          {onfocus}
        />
        {#if !photo}<span class="quiet">{texts.doesnt}</span>{/if}
      {/if}
      {#each entry.places as taken, at (at)}
        <PlainButton
          onclick={() => form.dropPlace(place, at)}
          aria-label={say(texts.removePlace, { value: at + 1, taken })}
          >{taken} <span aria-hidden="true">×</span></PlainButton
        >
      {/each}
      <ReadingKeys {form} {place} {send} measure={() => (measuring = !measuring)} />
    {/if}
  </div>
  {#if measuring}
    {#await import("./PhotoEntry.svelte") then photos}<photos.default {form} {wheel} {place} {close} />{/await}
  {/if}
  <div class="said">
    <ReadingSays {form} {wheel} {place} {active} {refocus} />
  </div>
</div>

<style>
  .reading {
    border-left: 4px solid var(--line);
    padding: 0.3rem 0 0.3rem 0.75rem;
    display: grid;
    grid-template-columns: 9.5rem 1fr;
    align-items: center;
    column-gap: 0.5rem;
    --control-height: 40px;
    --control-line: var(--line);
  }
  .active {
    border-left-color: var(--petrol);
  }
  .bad {
    border-left-color: var(--stop);
  }
  .questioned {
    border-left-color: var(--doubt);
  }
  label {
    font-weight: 600;
  }
  .entry {
    gap: 0.4rem;
  }
  input {
    font:
      600 1.6rem/1 "Barlow Semi Condensed",
      sans-serif;
    width: 6.5rem;
    min-height: 48px;
    padding: 0.2rem 0.5rem;
    border: 1px solid var(--quiet);
    background: var(--sheet);
    color: var(--ink);
    box-sizing: border-box;
  }
  input.short {
    width: 4.2rem;
  }
  input::placeholder {
    color: var(--gone);
    opacity: 0.75;
  }
  .event {
    min-height: 48px;
    padding: 0 0.6rem;
    border: 1px solid var(--plan);
    background: none;
    color: inherit;
    font: inherit;
    font-size: 1.1rem;
    font-weight: 600;
    cursor: pointer;
  }
  .said {
    grid-column: 2;
    font-size: 0.9375rem;
    color: var(--quiet);
  }
  .bad .said {
    color: var(--stop);
  }
  .questioned .said {
    color: var(--doubt);
  }
  .large {
    grid-template-columns: 1fr;
    --control-height: 56px;
  }
  .large label {
    margin-bottom: 0.75rem;
    font:
      600 2rem/1.1 "Barlow Semi Condensed",
      sans-serif;
  }
  .large .said {
    grid-column: 1;
    font-size: 1.25rem;
  }
  .large input {
    font-size: 4.5rem;
    width: 13rem;
    min-height: 6rem;
  }
  .large input.short {
    width: 8rem;
  }
  .large .event {
    min-height: 56px;
    font-size: 1.15rem;
  }
  @media (max-width: 46rem) {
    label {
      margin-bottom: 0.3rem;
    }
    .reading {
      grid-template-columns: 1fr;
    }
    .said {
      grid-column: 1;
    }
  }
  @media (max-width: 30rem) {
    .reading {
      --control-height: 48px;
    }
    .large input {
      width: 11rem;
    }
  }
</style>
