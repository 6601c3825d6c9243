<script lang="ts">
  import PlainButton from "../../parts/controls/PlainButton.svelte";
  import * as common from "../../texts/common";
  import * as texts from "../../texts/inspection";
  import { say } from "../../texts/say";
  import { flushSync } from "svelte";
  import { mm, partMm, partName } from "../../format/words";
  import type { Schemas } from "../../api/client";
  import { keyOf } from "./inspectionContent";
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
  const measured = $derived(form.measured(place));
  const question = $derived(form.questionAt(place));
  const open = $derived(!!question && !entry.answer);
  const expected = $derived(form.expected(wheel, place));
  const method = $derived(form.methods(place.part).find((each) => each.id === entry.method));
  const tools = $derived(form.instrumentsFor(entry.method));
  const tool = $derived(tools.find((each) => each.id === entry.instrument));
  const event = $derived(form.sheet?.events.find((each) => each.id === entry.event));
  const gauge = $derived(entry.method === "gauge" && !event);
  const several = $derived(place.part === "rotor");
  const label = $derived(`${wheel.label} ${place.label}`);
  const history = $derived(
    [
      expected === null ? "" : say(texts.expectedMm, { partMm: partMm(expected, place.part) }),
      place.before && say(texts.lastTime, { text: place.before.text }),
    ]
      .filter(Boolean)
      .join(", "),
  );
  const runoutUsual = $derived(
    form.sheet?.usual.find(
      (limit) => limit.id === (place.part === "runout" ? "lateral_runout_mm" : "thickness_variation_mm"),
    ),
  );

  // In an empty field letters are keys, and their action can be undone; once something is typed they are text.
  const fitted = (part: "pad" | "rotor") =>
    `${form.isNew(wheel.axle, part) ? texts.newOnes : texts.noNew} ${wheel.axle_name} ${partName(part, true)}`;
  let set = 0;
  const keyed: Record<string, [() => string, () => void]> = {
    u: [() => say(texts.unitSwitch, { unit: entry.unit }), () => form.nextUnit(place)],
    p: [() => (entry.overall ? texts.withPlate : texts.frictionOnlyLabel), () => form.togglePlate(place)],
    i: [() => say(texts.toolName, { name: tool?.name ?? "any" }), () => form.nextInstrument(place)],
    n: [() => fitted("pad"), () => form.toggleFit(wheel.axle, "pad")],
    r: [() => fitted("rotor"), () => form.toggleFit(wheel.axle, "rotor")],
    o: [() => say(texts.itemsMarkedOk, { set }), () => (set = form.allInOrder(wheel))],
  };
  // With a question open its answers have keys, whatever stands in the field.
  const answerOf = (key: string) => question?.answers.find((answer) => keyOf(answer.id) === key);
  const picked = () => (event ? event.label : `Method: ${method?.label ?? entry.method}`);

  /** True when the key meant something here. */
  function byKey(key: string): boolean {
    const answer = answerOf(key);
    if (answer)
      form.action(
        () => texts.answered,
        () => form.answer(place, answer),
      );
    else if (entry.text.trim()) return false;
    else if (keyed[key]) form.action(...keyed[key]!);
    else if (key === "z" && form.content?.device) void send();
    else if (form.means(place, key)) form.action(picked, () => form.pick(place, key));
    else return false;
    return true;
  }

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
        placeholder={expected === null ? "" : partMm(expected, place.part)}
        bind:value={entry.text}
        oninput={() => ((entry.simulated = false), form.retyped(place))}
        onkeydown={(pressed) => press(pressed, false)}
        onfocus={(focused) => (focused.currentTarget.select(), onfocus())}
        aria-invalid={!!fault}
        aria-describedby="says-{place.id}"
      />
      {#if gauge}
        <span class="quiet">{texts.fits}</span>
        <input
          id="upper-{place.id}"
          class="short"
          inputmode="decimal"
          autocomplete="off"
          aria-label={say(texts.thinnestGauge, { label })}
          bind:value={entry.upper}
          oninput={() => form.retyped(place)}
          onkeydown={(pressed) => press(pressed, true)}
          {onfocus}
        />
        <span class="quiet">{texts.doesnt}</span>
      {/if}
      {#each entry.places as taken, at (at)}
        <PlainButton
          onclick={() => form.dropPlace(place, at)}
          aria-label={say(texts.removePlace, { value: at + 1, taken })}
          >{taken} <span aria-hidden="true">×</span></PlainButton
        >
      {/each}
      <PlainButton
        tabindex={-1}
        onclick={() => form.nextUnit(place)}
        aria-label={say(texts.unitSwitch, { unit: entry.unit })}>{entry.unit}<kbd>u</kbd></PlainButton
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
      {#if place.part === "pad" && entry.method !== "percent"}
        <PlainButton tabindex={-1} pressed={entry.overall} onclick={() => form.togglePlate(place)}
          >{entry.overall ? common.withPlate : texts.frictionOnly}<kbd>p</kbd></PlainButton
        >
      {/if}
      {#if form.content?.device && place.part !== "runout"}
        <PlainButton tabindex={-1} onclick={send}>{texts.send}<kbd>z</kbd></PlainButton>
      {/if}
    {/if}
  </div>
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
      {#if measured.lower_mm !== null}{say(texts.intervalMm, {
          mm: mm(measured.lower_mm),
          mm2: mm(measured.upper_mm),
        })}{:else}{say(texts.readingWithError, {
          mm: mm(measured.mm, measured.sd_mm),
          value: (2 * measured.sd_mm!).toFixed(measured.sd_mm! < 0.05 ? 2 : 1),
        })}{/if}{#if measured.spread_mm != null}; {say(texts.spread, {
          what: place.part === "pad" ? texts.taper : texts.variesBy,
          spreadMm: measured.spread_mm.toFixed(place.part === "pad" ? 1 : 3),
        })}{/if}{#if runoutUsual && (place.part === "runout" ? measured.mm : place.part === "rotor" ? (measured.spread_mm ?? 0) : 0) > runoutUsual.value}.
        <strong class="much">{runoutUsual.label}.</strong>{/if}
      {#if history}<span class="quiet"> ({history})</span>{/if}
    {:else if history}
      {history}{#if active && several}; {texts.rotorPlacesShort}{/if}
    {:else if active && several}
      {texts.rotorPlacesHint}
    {:else if active && place.part === "pad"}
      {texts.padPlacesHint}
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
  .says {
    grid-column: 2;
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
  .answers {
    display: inline-flex;
    gap: 0.4rem;
    margin-top: 0.25rem;
  }
  .says {
    min-height: 1.25rem;
    font-size: 0.9375rem;
    line-height: 1.3;
    color: var(--quiet);
    margin-top: 0.1rem;
  }
  .much {
    color: var(--plan);
  }
  .bad .says {
    color: var(--stop);
  }
  .questioned .says,
  .doubt {
    color: var(--doubt);
    --petrol: var(--doubt);
    --petrol: var(--doubt);
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
  .large .says {
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
  .undo {
    display: flex;
    gap: 0.5rem;
    align-items: center;
  }
  @media (max-width: 46rem) {
    label {
      margin-bottom: 0.3rem;
    }
    .reading {
      grid-template-columns: 1fr;
    }
    .says {
      grid-column: 1;
    }
  }
  @media (max-width: 30rem) {
    kbd {
      display: none;
    }
    .reading {
      --control-height: 48px;
    }
    .large input {
      width: 11rem;
    }
  }
</style>
