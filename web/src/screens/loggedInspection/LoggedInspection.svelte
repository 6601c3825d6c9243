<script lang="ts">
  import TextField from "../../parts/controls/TextField.svelte";
  import "./correct.css";
  import { currentPage } from "../../parts/currentPage.svelte";
  import * as common from "../../texts/common";
  import * as texts from "../../texts/loggedInspection";
  import { say } from "../../texts/say";
  import { Button, InlineNotification } from "carbon-components-svelte";
  import { lazyApi } from "../../api/lazyApi";
  import { api, type Schemas } from "../../api/client";
  import PhotoStrip from "../../parts/PhotoStrip.svelte";
  import TakePhoto from "../../parts/TakePhoto.svelte";
  import * as photoTexts from "../../texts/photos";
  import Problem from "../../parts/Problem.svelte";
  import { asRead, day, listed, lowerFirst, upperFirst } from "../../format/words";
  import { Loader } from "../../parts/loader.svelte";
  import Fault from "../../parts/Fault.svelte";
  import { Correction } from "./correction.svelte";
  import { corners } from "./corners";
  import CornerTable from "./CornerTable.svelte";
  import MarkEntry from "./MarkEntry.svelte";
  import ReadingEntry from "./ReadingEntry.svelte";
  import ReadingForm from "./ReadingForm.svelte";
  import ReasonField from "./ReasonField.svelte";

  let { params }: { params: { id: string } } = $props();
  const id = $derived(Number(params.id));
  const loaded = new Loader<Schemas["LoggedInspection"]>();
  $effect(() => {
    const of = id;
    loaded.load(() => api.inspection(of));
  });
  const inspection = $derived(loaded.value);
  $effect(() =>
    currentPage.at(
      { vehicle: inspection?.vehicle_id },
      "log",
      inspection && say(texts.inspectionOf, { day: day(inspection.date) }),
    ),
  );
  const correction = new Correction(() => id, loaded);
  const fault = correction.fault;
  const found = $derived(inspection ? corners(inspection) : null);
  const marks = $derived(found ? [...found.corners.flatMap((corner) => corner.marks), ...found.marks] : []);
</script>

{#if loaded.error}<Problem error={loaded.error} />{/if}
{#if inspection}
  <div class="stack">
    <div>
      <h1 class:void={inspection.void}>
        {day(inspection.date)}, {asRead(inspection.odometer.value)}
        {inspection.odometer.unit}
      </h1>
      {#if inspection.note}<p>{inspection.note}</p>{/if}
      {#if inspection.done_by}<p class="quiet">{say(texts.enteredBy, { person: inspection.done_by })}</p>{/if}
      {#if inspection.imported}<p class="quiet">{texts.imported}</p>{/if}
    </div>
    {#if inspection.void}<InlineNotification
        kind="warning"
        lowContrast
        hideCloseButton
        title={texts.struckOut}
        subtitle={texts.notCounted}
      />{/if}
    {#each inspection.corrections as correction (correction)}<p class="history">
        {listed(day(correction.date), correction.done_by)}: {correction.change}. {correction.reason}
      </p>{/each}

    {#if found?.corners.some((corner) => corner.first.length + corner.second.length + corner.rotor.length + corner.more.length)}
      <section class="sheet">
        <h2>{texts.readings}</h2>
        <CornerTable corners={found.corners} {correction} />
      </section>
    {/if}
    {#if found?.readings.length}
      <section class="sheet">
        <h2>{texts.alsoNoted}</h2>
        {#each found.readings as reading (reading.id)}
          <div class="also">
            <strong>{upperFirst(reading.label)}</strong><ReadingEntry {reading} {correction} />
          </div>
          {#if correction.reading === reading.id}<ReadingForm {reading} {correction} />{/if}
        {/each}
      </section>
    {/if}
    {#if marks.length}
      <section class="sheet">
        <h2>{common.inspected}</h2>
        <ul class="plain-list marks">
          {#each marks as mark (mark.id)}<MarkEntry {mark} {correction} />{/each}
        </ul>
      </section>
    {/if}
    {#if inspection.bolts.length}
      <section class="sheet">
        <h2>{texts.bolts}</h2>
        {#each inspection.bolts as bolt (bolt.axle + bolt.label)}
          <p><strong>{upperFirst(bolt.axle)}: {lowerFirst(bolt.label)}</strong> {bolt.reached.join(", ")}</p>
        {/each}
      </section>
    {/if}
    <section class="sheet">
      <h2>{photoTexts.photos}</h2>
      <PhotoStrip photos={inspection.photos} changed={() => loaded.load(() => api.inspection(id))} />
      <TakePhoto send={async (photo) => (loaded.value = await lazyApi.photographInspection(id, photo))} />
    </section>
    {#if correction.itself}
      <form
        class="sheet correct"
        onsubmit={(event) => (event.preventDefault(), correction.saveItself(inspection))}
        novalidate
      >
        {#if !inspection.void}
          <TextField label={common.day} id="date" type="date" bind:value={correction.date} fault={fault("date")} />
          <TextField
            label={say(common.odometerUnit, { unit: inspection.odometer.unit })}
            id="odometer"
            inputmode="decimal"
            bind:value={correction.odometer}
            fault={fault("odometer.value")}
          />
        {/if}
        <ReasonField id="reason" {correction} />
        <div class="row">
          {#if !inspection.void}<Button size="field" type="submit">{common.save}</Button>{/if}
          <Button size="field" kind="danger-tertiary" on:click={() => correction.send({ void: !inspection.void })}
            >{inspection.void ? common.restore : texts.strikeTheWholeInspection}</Button
          >
          <Button size="field" kind="ghost" on:click={correction.close}>{common.cancel}</Button>
        </div>
        <Fault
          text={fault("date") ||
            fault("odometer.value") ||
            fault("reason") ||
            correction.other ||
            correction.form.first}
        />
      </form>
    {:else}
      <div>
        <Button kind="ghost" size="small" style="max-width: none" on:click={() => correction.openItself(inspection)}
          >{inspection.void ? texts.restoreThisInspection : texts.changeServiceDate}</Button
        >
      </div>
    {/if}
  </div>
{/if}

<style>
  h1.void {
    text-decoration: line-through;
    text-decoration-thickness: 2px;
    color: var(--quiet);
  }
  .also {
    display: grid;
    grid-template-columns: minmax(8rem, 12rem) 1fr;
    gap: 0.25rem 1rem;
    align-items: center;
    border-top: 1px solid var(--line);
    padding: 0.25rem 0;
  }
  .marks {
    display: grid;
    grid-template-columns: repeat(auto-fill, minmax(min(20rem, 100%), 1fr));
    gap: 0.25rem 1rem;
  }
</style>
