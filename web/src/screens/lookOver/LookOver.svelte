<script lang="ts">
  import { whereabouts } from "../../parts/whereabouts.svelte";
  import * as common from "../../texts/common";
  import * as texts from "../../texts/lookOver";
  import { say } from "../../texts/say";
  import { Button, InlineNotification } from "carbon-components-svelte";
  import { beside } from "../../api/beside";
  import { api, type Schemas } from "../../api/client";
  import PhotoStrip from "../../parts/PhotoStrip.svelte";
  import TakePhoto from "../../parts/TakePhoto.svelte";
  import * as photoTexts from "../../texts/photos";
  import Problem from "../../parts/Problem.svelte";
  import { focusOn } from "../../parts/focus";
  import { asRead, day, upperFirst } from "../../format/words";
  import { Loader } from "../../parts/loader.svelte";
  import { FormState } from "../../parts/formState.svelte";
  import Fault from "../../parts/Fault.svelte";

  let { params }: { params: { id: string } } = $props();
  const id = $derived(Number(params.id));
  const loaded = new Loader<Schemas["LoggedLookOver"]>();
  $effect(() => {
    const of = id;
    loaded.load(() => api.lookOver(of));
  });
  const lookOver = $derived(loaded.value);
  $effect(() =>
    whereabouts.at(
      { vehicle: lookOver?.vehicle_id },
      "log",
      lookOver && say(texts.lookOverOf, { day: day(lookOver.date) }),
    ),
  );

  type Reading = Schemas["LoggedReading"];
  /** what is being corrected: a reading's id, "itself", or nothing */
  let open = $state<number | "itself" | null>(null);
  let value = $state("");
  let upper = $state("");
  let unit = $state("mm");
  let date = $state("");
  let odometer = $state("");
  let reason = $state("");
  const form = new FormState();
  const fault = form.fault;
  const other = $derived(
    form.refused?.faults.find(
      (each) => !["value", "upper", "unit", "reason", "date", "odometer.value"].includes(each.field),
    )?.message ?? "",
  );

  function correct(reading: Reading) {
    [open, value, upper, unit, reason] = [
      reading.id,
      reading.value ?? "",
      reading.upper ?? "",
      reading.unit ?? "mm",
      "",
    ];
    form.clear();
  }

  function correctItself(of: Schemas["LoggedLookOver"]) {
    [open, date, odometer, reason] = ["itself", of.date, of.odometer.value, ""];
    form.clear();
  }

  async function send(correction: Schemas["Correction"]) {
    await form.act(async () => {
      loaded.value = await api.correct(id, correction);
      [open, openMark] = [null, null];
    });
  }

  type Mark = Schemas["LoggedMark"];
  let openMark = $state<number | null>(null);
  let markId = $state("");
  function changeMark(mark: Mark) {
    [openMark, markId, reason] = [mark.id, mark.mark_id ?? mark.entered, ""];
    form.clear();
  }
  const keepMark = (mark: Mark) =>
    send({ condition: mark.id, reason, ...(mark.choices.length ? { mark: markId } : { value: markId.trim() }) });

  const keepReading = (reading: Reading) =>
    send({
      reading: reading.id,
      reason,
      ...(value.trim() === reading.value ? {} : { value: value.trim() }),
      ...(upper.trim() && upper.trim() !== reading.upper ? { upper: upper.trim() } : {}),
      ...(unit === reading.unit ? {} : { unit }),
    });
  const keepItself = (of: Schemas["LoggedLookOver"]) =>
    send({
      reason,
      ...(date === of.date ? {} : { date }),
      ...(odometer.trim() === of.odometer.value
        ? {}
        : { odometer: { value: odometer.trim(), unit: of.odometer.unit } }),
    });
  const figure = (reading: Reading) =>
    reading.value === null
      ? reading.event
      : [
          reading.value,
          reading.upper && say(texts.toUpper, { upper: reading.upper }),
          reading.unit,
          reading.overall && common.withPlate,
        ]
          .filter(Boolean)
          .join(" ");
</script>

{#snippet reasonField(id: string)}
  <div class="field wide">
    <label for={id}>{common.reason}</label><input
      {id}
      class="text"
      autocomplete="off"
      maxlength="400"
      bind:value={reason}
      aria-invalid={!!fault("reason")}
    />
  </div>
{/snippet}

{#if loaded.error}<Problem error={loaded.error} />{/if}
{#if lookOver}
  <div class="stack">
    <div>
      <h1 class:void={lookOver.void}>
        {day(lookOver.date)}, {asRead(lookOver.odometer.value)}
        {lookOver.odometer.unit}
      </h1>
      {#if lookOver.note}<p>{lookOver.note}</p>{/if}
      {#if lookOver.imported}<p class="quiet">{texts.importedFromAFile}</p>{/if}
    </div>
    {#if lookOver.void}<InlineNotification
        kind="warning"
        lowContrast
        hideCloseButton
        title={texts.struckOut}
        subtitle={texts.nothingOfItCountsIt}
      />{/if}
    {#each lookOver.corrections as correction (correction)}<p class="history">
        {day(correction.date)}: {correction.change}. {correction.reason}
      </p>{/each}

    {#if lookOver.readings.length}
      <section class="sheet">
        <h2>{texts.readings}</h2>
        <ul class="plain-list readings">
          {#each lookOver.readings as reading (reading.id)}
            <li class:void={reading.void}>
              <div class="line">
                <span class="what">{upperFirst(reading.label)}</span>
                <span class="number figure">{figure(reading)}</span>
                <span class="quiet"
                  >{reading.method_label ?? ""}{reading.kept ? texts.markedDoubtful : ""}{reading.simulated
                    ? texts.simulated
                    : ""}{reading.void ? texts.struckOut2 : ""}</span
                >
                {#if open !== reading.id}<Button
                    size="small"
                    kind="ghost"
                    aria-label={say(texts.changeLabel, { label: reading.label })}
                    on:click={() => correct(reading)}>{common.change}</Button
                  >{/if}
              </div>
              {#each reading.doubts as doubt (doubt)}<p class="history doubt">
                  {doubt.value}: {doubt.question} <strong>{doubt.answer}.</strong>
                </p>{/each}
              {#each reading.corrections as correction (correction)}<p class="history">
                  {day(correction.date)}: {correction.change}{reading.entered && correction.voids !== true
                    ? say(texts.enteredAsEntered, { entered: reading.entered })
                    : ""}. {correction.reason}
                </p>{/each}
              {#if open === reading.id}
                <form class="correct" onsubmit={(event) => (event.preventDefault(), keepReading(reading))} novalidate>
                  {#if reading.value !== null && !reading.void}
                    <div class="field">
                      <label for="value">{texts.value}</label><input
                        id="value"
                        inputmode="decimal"
                        autocomplete="off"
                        bind:value
                        aria-invalid={!!fault("value")}
                      />
                    </div>
                    {#if reading.upper !== null}<div class="field">
                        <label for="upper">{texts.doesNotGo}</label><input
                          id="upper"
                          inputmode="decimal"
                          autocomplete="off"
                          bind:value={upper}
                          aria-invalid={!!fault("upper")}
                        />
                      </div>{/if}
                    <div class="field">
                      <label for="unit">{texts.unit}</label><select id="unit" bind:value={unit}
                        >{#each reading.method === "percent" ? ["percent", "share"] : ["mm", "in", "32nd", "thou", "100th"] as each (each)}<option
                            value={each}>{each}</option
                          >{/each}</select
                      >
                    </div>
                  {/if}
                  {@render reasonField("reason")}
                  <div class="row">
                    {#if reading.value !== null && !reading.void}<Button size="field" type="submit"
                        >{common.save}</Button
                      >{/if}
                    <Button
                      size="field"
                      kind="danger-tertiary"
                      on:click={() => send({ reading: reading.id, reason, void: !reading.void })}
                      >{reading.void ? common.restore : texts.strikeItOut}</Button
                    >
                    <Button size="field" kind="ghost" on:click={() => (open = null)}>{common.cancel}</Button>
                  </div>
                  <Fault
                    text={fault("value") || fault("upper") || fault("unit") || fault("reason") || other || form.first}
                  />
                </form>
              {/if}
            </li>
          {/each}
        </ul>
      </section>
    {/if}
    {#if lookOver.marks.length}
      <section class="sheet">
        <h2>{common.lookedAt}</h2>
        <ul class="plain-list marks">
          {#each lookOver.marks as mark (mark.id)}
            <li class={mark.severity} class:void={mark.void}>
              <div class="row">
                <span
                  ><span class="quiet">{upperFirst(mark.place || "vehicle")}:</span>
                  {mark.item.toLowerCase()} <strong>{mark.mark}</strong>{mark.simulated
                    ? texts.simulated
                    : ""}{mark.void ? texts.struckOut2 : ""}</span
                >
                {#if openMark !== mark.id}<Button
                    size="small"
                    kind="ghost"
                    aria-label={say(texts.changeTheMarkPlaceToLowerCase, {
                      place: mark.place,
                      toLowerCase: mark.item.toLowerCase(),
                    })}
                    on:click={() => changeMark(mark)}>{common.change}</Button
                  >{/if}
              </div>
              {#each mark.corrections as correction (correction)}<p class="history">
                  {day(correction.date)}: {correction.voids !== null
                    ? correction.change
                    : say(texts.wasEntered, { entered: mark.entered })}. {correction.reason}
                </p>{/each}
              {#if openMark === mark.id}
                <form class="correct" onsubmit={(event) => (event.preventDefault(), keepMark(mark))} novalidate>
                  {#if !mark.void}
                    {#if mark.choices.length}<div class="field">
                        <label for="mark">{texts.whatItIs}</label><select id="mark" bind:value={markId}
                          >{#each mark.choices as choice (choice.id)}<option value={choice.id}>{choice.label}</option
                            >{/each}</select
                        >
                      </div>
                    {:else}<div class="field">
                        <label for="mark">{texts.value}</label><input
                          id="mark"
                          use:focusOn
                          inputmode="decimal"
                          autocomplete="off"
                          bind:value={markId}
                        />
                      </div>{/if}
                  {/if}
                  {@render reasonField("mark-reason")}
                  <div class="row">
                    {#if !mark.void}<Button size="field" type="submit">{common.save}</Button>{/if}
                    <Button
                      size="field"
                      kind="danger-tertiary"
                      on:click={() => send({ condition: mark.id, reason, void: !mark.void })}
                      >{mark.void ? common.restore : texts.strikeItOut}</Button
                    >
                    <Button size="field" kind="ghost" on:click={() => (openMark = null)}>{common.cancel}</Button>
                  </div>
                  <Fault text={form.first} />
                </form>
              {/if}
            </li>
          {/each}
        </ul>
      </section>
    {/if}
    <section class="sheet">
      <h2>{photoTexts.photos}</h2>
      <PhotoStrip photos={lookOver.photos} changed={() => loaded.load(() => api.lookOver(id))} />
      <TakePhoto send={async (photo) => (loaded.value = await beside.photographLookOver(id, photo))} />
    </section>
    {#if open === "itself"}
      <form class="sheet correct" onsubmit={(event) => (event.preventDefault(), keepItself(lookOver))} novalidate>
        {#if !lookOver.void}
          <div class="field">
            <label for="date">{common.day}</label><input
              id="date"
              type="date"
              class="text"
              bind:value={date}
              aria-invalid={!!fault("date")}
            />
          </div>
          <div class="field">
            <label for="odometer">{say(common.odometerUnit, { unit: lookOver.odometer.unit })}</label><input
              id="odometer"
              inputmode="decimal"
              bind:value={odometer}
              aria-invalid={!!fault("odometer.value")}
            />
          </div>
        {/if}
        {@render reasonField("reason")}
        <div class="row">
          {#if !lookOver.void}<Button size="field" type="submit">{common.save}</Button>{/if}
          <Button size="field" kind="danger-tertiary" on:click={() => send({ reason, void: !lookOver.void })}
            >{lookOver.void ? common.restore : texts.strikeTheWholeLookOver}</Button
          >
          <Button size="field" kind="ghost" on:click={() => (open = null)}>{common.cancel}</Button>
        </div>
        <Fault text={fault("date") || fault("odometer.value") || fault("reason") || other || form.first} />
      </form>
    {:else}
      <div>
        <Button kind="ghost" size="small" style="max-width: none" on:click={() => correctItself(lookOver)}
          >{lookOver.void ? texts.restoreThisLookOver : texts.changeTheDayOrThe}</Button
        >
      </div>
    {/if}
  </div>
{/if}

<style>
  .readings {
    display: grid;
  }
  .readings li {
    border-top: 1px solid var(--line);
    padding: 0.35rem 0;
  }
  .line {
    display: grid;
    grid-template-columns: 15rem 11rem 1fr auto;
    gap: 0.25rem 1rem;
    align-items: center;
  }
  .what {
    font-weight: 600;
  }
  .figure {
    font-size: 1.4rem;
  }
  .void .figure,
  h1.void {
    text-decoration: line-through;
    text-decoration-thickness: 2px;
    color: var(--quiet);
  }
  .history {
    color: var(--quiet);
    font-size: 0.9375rem;
    padding-left: 0.75rem;
    border-left: 3px solid var(--line);
  }
  .doubt {
    border-left-color: var(--doubt);
  }
  .correct {
    display: flex;
    flex-wrap: wrap;
    gap: 0.75rem;
    align-items: end;
    padding: 0.6rem 0.75rem;
  }
  .field label {
    display: block;
    font-weight: 600;
  }
  .field input,
  .field select {
    font:
      600 1.25rem/1 "Barlow Semi Condensed",
      sans-serif;
    min-height: 48px;
    width: 8rem;
    border: 1px solid var(--quiet);
    background: var(--sheet);
    color: var(--ink);
    padding: 0 0.5rem;
    box-sizing: border-box;
    color-scheme: inherit;
  }
  .wide {
    flex: 1 1 16rem;
  }
  .field .text {
    font: inherit;
    font-size: 1.05rem;
    width: 100%;
  }
  .field input[aria-invalid="true"] {
    border-color: var(--stop);
    box-shadow: 0 0 0 1px var(--stop);
  }
  .marks {
    display: grid;
    grid-template-columns: repeat(auto-fill, minmax(20rem, 1fr));
    gap: 0.25rem 1rem;
  }
  .marks .stop strong {
    color: var(--stop);
  }
  .marks .plan strong {
    color: var(--plan);
  }
  @media (max-width: 46rem) {
    .line {
      grid-template-columns: 1fr auto;
    }
  }
</style>
