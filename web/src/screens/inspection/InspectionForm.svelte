<script lang="ts">
  import { currentPage } from "../../parts/currentPage.svelte";
  import * as common from "../../texts/common";
  import * as texts from "../../texts/inspection";
  import { say } from "../../texts/say";
  import { flushSync } from "svelte";
  import { Button, InlineNotification } from "carbon-components-svelte";
  import { push, router } from "svelte-spa-router";
  import AxleSection from "../../parts/AxleSection.svelte";
  import Problem from "../../parts/Problem.svelte";
  import ReadingInput from "./ReadingInput.svelte";
  import TwoVersions from "./TwoVersions.svelte";
  import InspectionOrder from "./InspectionOrder.svelte";
  import WheelAsks from "./WheelAsks.svelte";
  import WheelMarks from "./WheelMarks.svelte";
  import WheelStrip from "./WheelStrip.svelte";
  import { day, partName, upperFirst } from "../../format/words";
  import { InspectionForm } from "./inspectionForm.svelte";

  let { params }: { params: { id: string } } = $props();
  $effect(() => currentPage.at({ vehicle: Number(params.id) }, "check"));
  const axle = $derived(Number(new URLSearchParams(router.querystring ?? "").get("axle")) || null);
  const form = $derived(new InspectionForm(Number(params.id), axle));
  let at = $state(0);
  let active = $state<string | null>(null);
  let narrow = $state(false);

  $effect(() => {
    const mine = form;
    at = 0;
    mine
      .load()
      .then(() => setTimeout(() => document.getElementById(mine.content?.odometer ? "" : "odometer")?.focus()));
    const wide = window.matchMedia("(max-width: 46rem)");
    const measure = () => (narrow = wide.matches);
    measure();
    wide.addEventListener("change", measure);
    return () => {
      wide.removeEventListener("change", measure);
      mine.draft.flush();
    };
  });

  const wheel = $derived(form.wheels[at] ?? null);
  const corners = $derived(
    (form.preview?.axles ?? []).find((each) => each.id === (wheel ?? form.wheels.at(-1))?.axle)?.corners ?? [],
  );
  // On a phone only the wheel at hand.
  const shown = $derived(narrow && wheel ? corners.filter((corner) => corner.side === wheel.side) : corners);
  const here = $derived.by(() => {
    const place = wheel?.positions.find((each) => each.id === active);
    return place ? [place.side, place.pad].filter(Boolean).join("_") : null;
  });
  const large = $derived(form.content?.large ?? false);
  const single = $derived(wheel ? (wheel.positions.find((place) => place.id === active) ?? wheel.positions[0]!) : null);
  const gauges = $derived(form.bench.all.filter((device) => device.method));
  const device = $derived(form.bench.find(form.content?.device));
  const fault = (field: string) =>
    form.refused.find((each) => each.field === field)?.message ??
    (form.content?.odometer && field === "odometer.value" && !form.preview?.odometer_question
      ? form.faultOf(field)?.message
      : undefined);

  // At once, so that the next digit already lands where it belongs.
  function focus(id: string) {
    flushSync();
    document.getElementById(id)?.focus();
  }

  /** The position after (or before) one, over the wheel's edge too. */
  function step(from: string | null, by: 1 | -1) {
    const all = form.wheels.flatMap((each, index) => each.positions.map((place) => ({ index, id: place.id })));
    const next = all[all.findIndex((each) => each.id === from) + by];
    if (next) {
      at = next.index;
      active = next.id;
      focus(`value-${next.id}`);
    } else {
      at = by > 0 ? form.wheels.length : at;
      focus(by > 0 ? "save" : "odometer");
    }
  }

  function pick(index: number) {
    at = index;
    const places = form.wheels[index]?.positions ?? [];
    // where nothing stands yet, so that what was left out is found again
    active = (places.find((place) => !form.isFilled(place)) ?? places[0])?.id ?? null;
    focus(active ? `value-${active}` : "save");
  }

  function begin(event: KeyboardEvent) {
    if (event.key !== "Enter") return;
    event.preventDefault();
    pick(at < form.wheels.length ? at : 0);
  }

  async function save() {
    if (await form.save()) {
      await push(`/vehicles/${form.vehicle}/findings`);
      return;
    }
    const bad = form.filled.find(([, place]) => form.faultAt(place));
    if (bad) at = form.wheels.findIndex((each) => each.label === bad[0].label);
    setTimeout(() => document.querySelector<HTMLElement>("[aria-invalid='true']")?.focus(), 30);
  }

  function toggleLarge() {
    form.content!.large = !large;
    active ??= wheel?.positions[0]?.id ?? null;
    form.changed();
    if (active) focus(`value-${active}`);
  }
</script>

{#snippet offer(at: string)}
  {#if form.offered?.at === at}
    <p class="doubt" role="alert">
      {say(texts.theReaderSendsTextYou, { text: form.offered.text, typed: form.offered.typed })}
      <button type="button" class="plain" onclick={() => form.offered!.take()}
        >{say(texts.useText, { text: form.offered.text })}</button
      >
      <button type="button" class="plain" onclick={() => (form.offered = null)}
        >{say(texts.keepTyped, { typed: form.offered.typed })}</button
      >
    </p>
  {/if}
{/snippet}

<svelte:window onpagehide={() => form.draft.flush()} />

{#if form.error}<Problem error={form.error} />{/if}
{#if form.sheet && form.content}
  {@const content = form.content}
  {@const vehicle = form.sheet.vehicle}
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
      {#if axle}<a href="#/vehicles/{vehicle.id}/inspection">{texts.allWheels}</a>{/if}
      <button type="button" class="plain" aria-pressed={large} onclick={toggleLarge}>{texts.oneAtATime}</button>
    </div>
  </div>
  {#if form.draft.state === "elsewhere"}
    <TwoVersions {form} />
  {/if}
  {#if form.bench.says}
    <InlineNotification kind="warning" lowContrast hideCloseButton title={form.bench.says}>
      <svelte:fragment slot="actions"
        >{#if device}<Button
            size="small"
            kind="ghost"
            on:click={() => form.bench.reconnect(device.id).then(() => active && focus(`value-${active}`))}
            >{texts.connectAgain}</Button
          >{/if}</svelte:fragment
      >
    </InlineNotification>
  {/if}
  <WheelStrip {form} {at} onpick={pick} />
  <div class="round" class:large>
    <div class="drawing">
      <div class="sheet">
        <AxleSection corners={shown} scale={narrow ? 4.4 : large ? 6 : 4.5} active={here} legend={!narrow && !large} />
      </div>
    </div>
    <form class="readings" onsubmit={(event) => event.preventDefault()} novalidate>
      {#if !large || at === 0}
        <div class="row top">
          <div class="field">
            <label for="odometer">{say(common.odometerUnit, { unit: content.unit })}</label>
            <input
              id="odometer"
              inputmode="decimal"
              autocomplete="off"
              placeholder={form.sheet.last?.odometer_value ?? ""}
              bind:value={content.odometer}
              oninput={() => ((content.keepOdometer = false), form.typed("odometer"))}
              onkeydown={begin}
              aria-invalid={!!fault("odometer.value")}
              aria-describedby="odometer-says"
            />
          </div>
          <div class="field">
            <label for="date">{common.day}</label>
            <input
              id="date"
              type="date"
              class="date"
              max={form.sheet.today}
              bind:value={content.date}
              oninput={() => form.changed()}
              aria-invalid={!!fault("date")}
            />
          </div>
          {#if form.bench.sending("odometer")}<button
              type="button"
              class="plain"
              onclick={() => form.readVehicle("odometer")}>{texts.readFromTheVehicle}</button
            >{/if}
          {#if gauges.length}
            <div class="field">
              <label for="device">{texts.connectedGauge}</label>
              <select id="device" bind:value={content.device} onchange={() => form.changed()}>
                <option value={null}>{common.none}</option>
                {#each gauges as gauge (gauge.id)}<option value={gauge.id}>{gauge.label}</option>{/each}
              </select>
            </div>
          {/if}
        </div>
        <p class="fault" id="odometer-says" role="alert">{fault("odometer.value") ?? fault("date") ?? ""}</p>
        {@render offer("odometer")}
        {#if content.simulated?.odometer}<p class="doubt">
            {texts.simulated}
            {form.sample ? "" : texts.simulatedOdometerNote}
          </p>{/if}
        {#if form.preview?.odometer_question}
          {@const question = form.preview.odometer_question}
          <p class="doubt" role="alert">
            {question.sentence}
            {#each question.answers as answer (answer.id)}<button
                type="button"
                class="plain"
                onclick={() => form.answerOdometer(answer)}>{answer.label}</button
              >{/each}
          </p>
        {/if}
        {#if !form.sheet.last}<p class="quiet">
            {texts.firstInspectionNote}
          </p>
        {:else if !content.odometer}<p class="quiet">
            {say(texts.lastOdometer, {
              odometerValue: form.sheet.last.odometer_value,
              odometerUnit: form.sheet.last.odometer_unit,
              day: day(form.sheet.last.date),
            })}
          </p>{/if}
      {/if}
      {#if wheel}
        <section class="wheel" aria-label={wheel.label}>
          <div class="row spread">
            <h2>{wheel.label}</h2>
            <div class="row ticks">
              <label class="tick"
                ><input
                  type="checkbox"
                  checked={form.isNew(wheel.axle, "pad")}
                  onchange={() => form.toggleFit(wheel.axle, "pad")}
                />
                {say(texts.newPadsFitted, { axleName: wheel.axle_name })} <kbd>n</kbd></label
              >
              <label class="tick"
                ><input
                  type="checkbox"
                  checked={form.isNew(wheel.axle, "rotor")}
                  onchange={() => form.toggleFit(wheel.axle, "rotor")}
                />
                {say(texts.newRotors, { axleName: wheel.axle_name })} <kbd>r</kbd></label
              >
            </div>
          </div>
          {#if form.isNew(wheel.axle, "pad") || form.isNew(wheel.axle, "rotor")}<p class="quiet">
              {say(texts.newPartsNote, {
                axleName: wheel.axle_name,
                filter: (["pad", "rotor"] as const)
                  .filter((part) => form.isNew(wheel.axle, part))
                  .map((part) => partName(part, true))
                  .join(common.and),
              })}
            </p>{/if}
          {#each large && single ? [single] : wheel.positions as place (place.id)}
            <ReadingInput
              {form}
              {wheel}
              {place}
              {large}
              active={active === place.id}
              onfocus={() => (active = place.id)}
              onnext={() => step(place.id, 1)}
            />
          {/each}
          <WheelAsks {form} {wheel} />
          {#if !large}
            <div class="row spread">
              <h3>{common.inspected}</h3>
              <button
                type="button"
                class="plain"
                onclick={() =>
                  form.action(
                    () => texts.restMarkedOk,
                    () => form.allInOrder(wheel),
                  )}>{texts.everythingElseOK}<kbd>o</kbd></button
              >
            </div>
            <WheelMarks {form} rows={form.rows(wheel)} />
          {/if}
          <div class="row">
            {#if at > 0 || large}<Button kind="tertiary" on:click={() => (large ? step(active, -1) : pick(at - 1))}
                >{texts.back}</Button
              >{/if}
            {#if large}<Button on:click={() => step(active, 1)}>{texts.next}</Button>{:else}<Button
                on:click={() => pick(at + 1)}>{form.wheels[at + 1]?.label ?? texts.vehicleAndFinish}</Button
              >{/if}
          </div>
        </section>
      {:else}
        <section class="wheel" aria-label={texts.vehicle}>
          <h2>{texts.vehicle}</h2>
          <div class="row top">
            {#each form.sheet.figures as figure (figure.id)}
              <div class="field">
                <label for="figure-{figure.id}">{figure.label} ({figure.unit})</label>
                <input
                  id="figure-{figure.id}"
                  class="date"
                  inputmode="decimal"
                  autocomplete="off"
                  bind:value={content.figures[figure.id]}
                  oninput={() => form.typed(figure.id)}
                  aria-invalid={!!form.figureFault(figure.id)}
                  aria-describedby="hint-{figure.id}"
                />
                <p class="quiet hint" class:fault={form.figureFault(figure.id)} id="hint-{figure.id}">
                  {form.figureFault(figure.id) || figure.hint}
                </p>
              </div>
            {/each}
            {#if form.bench.sending("fluid_level")}<button
                type="button"
                class="plain"
                onclick={() => form.readVehicle("fluid_level")}>{texts.readLevel}</button
              >{/if}
          </div>
          {@render offer("fluid_level")}
          {#if content.simulated?.fluid_level}<p class="doubt">
              {texts.simulatedLevel}
              {form.sample ? "" : texts.simulatedNeverCounts}
            </p>{/if}
          <WheelMarks {form} rows={form.sheet.vehicle_items.map((item) => [`|||${item.id}`, item, ""])} />
          <div class="field">
            <label for="note">{common.note}</label>
            <textarea
              id="note"
              rows="2"
              maxlength="2000"
              bind:value={content.note}
              oninput={() => form.changed()}
              placeholder={texts.whatYouNoticedForNext}
            ></textarea>
          </div>
        </section>
      {/if}
      <InspectionOrder {form} />
      {#if fault("readings")}<p class="fault" role="alert">{fault("readings")}</p>{/if}
      {#if form.refused.length}<p class="fault" role="alert">
          {say(texts.notSavedYetFields, { count: form.refused.length })}
        </p>{/if}
      <div class="row">
        <Button id="save" kind={wheel ? "tertiary" : "primary"} disabled={form.saving} on:click={save}
          >{texts.saveInspection}</Button
        >
        <Button kind="ghost" on:click={() => form.startOver()}>{texts.startOver}</Button>
        {#if form.undoable}<p role="status">
            {form.undoable.said}.
            <button type="button" class="plain" onclick={() => form.undo()}>{common.undo}</button>
          </p>{/if}
      </div>
      {#if form.unreached}<p class="fault" role="alert">
          {texts.notSavedNoConnection}
        </p>{/if}
    </form>
  </div>
{/if}

<style>
  .head {
    margin-bottom: 0.75rem;
  }
  .round {
    display: grid;
    grid-template-columns: minmax(0, 22rem) minmax(0, 1fr);
    gap: 1.25rem;
    align-items: start;
    margin-top: 0.75rem;
  }
  .round.large {
    grid-template-columns: minmax(0, 30rem) minmax(0, 1fr);
  }
  .drawing {
    position: sticky;
    top: 1rem;
  }
  .readings,
  .wheel {
    display: grid;
    gap: 0.45rem;
  }
  .top {
    align-items: start;
    gap: 0.5rem 1rem;
  }
  .top > .plain {
    margin-top: 1.35rem;
  }
  .field label {
    display: block;
    font-weight: 600;
    margin-bottom: 0.2rem;
  }
  .field input,
  .field select {
    font:
      600 1.4rem/1 "Barlow Semi Condensed",
      sans-serif;
    min-height: 48px;
    width: 9.5rem;
    padding: 0.2rem 0.5rem;
    border: 1px solid var(--quiet);
    background: var(--sheet);
    color: var(--ink);
    box-sizing: border-box;
    color-scheme: inherit;
  }
  .field select {
    width: 12rem;
  }
  .field .date,
  .field select {
    font-size: 1.05rem;
  }
  /* As high as its longest fault: what is tapped below does not move away under the finger. */
  .hint {
    max-width: 9.5rem;
    line-height: 1.2;
    min-height: 3.6em;
  }
  .ticks {
    gap: 0 1rem;
  }
  .tick {
    display: inline-flex;
    align-items: center;
    gap: 0.4rem;
    min-height: 48px;
  }
  .tick input {
    width: 1.3rem;
    height: 1.3rem;
  }
  .plain {
    min-height: 48px;
    background: none;
    border: 1px solid var(--line);
    color: var(--petrol);
    font: inherit;
    padding: 0 0.75rem;
    cursor: pointer;
  }
  .plain[aria-pressed="true"] {
    box-shadow: inset 0 -4px var(--petrol);
    font-weight: 600;
  }
  textarea {
    width: 100%;
    box-sizing: border-box;
    font: inherit;
    font-size: 1rem;
    padding: 0.5rem;
    background: var(--sheet);
    color: var(--ink);
    border: 1px solid var(--quiet);
  }
  .doubt {
    color: var(--doubt);
  }
  .fault:empty {
    display: none;
  }
  [aria-invalid="true"] {
    border-color: var(--stop);
    box-shadow: 0 0 0 1px var(--stop);
  }
  @media (max-width: 46rem) {
    .round,
    .round.large {
      grid-template-columns: 1fr;
    }
    .drawing {
      top: 0;
      z-index: 1;
    }
  }
</style>
