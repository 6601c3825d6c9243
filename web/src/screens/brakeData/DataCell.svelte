<script lang="ts">
  import * as common from "../../texts/common";
  import * as texts from "../../texts/brakeData";
  import { say } from "../../texts/say";
  import { tick } from "svelte";
  import Choose from "../../parts/Choose.svelte";
  import { upperFirst } from "../../format/words";
  import type { Schemas } from "../../api/client";
  import type { BrakeData, Field } from "./brakeData.svelte";

  /** One value as it stands; a press opens it in place, Enter keeps it. */
  let {
    form,
    field,
    label = field.label,
    sources,
    terse = false,
  }: { form: BrakeData; field: Field; label?: string; sources: Schemas["Choice"][]; terse?: boolean } = $props();

  let editing = $state(false);
  let text = $state("");
  let unit = $state("");
  let source = $state("");
  let cell: HTMLElement | undefined = $state();

  const proposal = $derived(form.proposal(field.key));
  const fault = $derived(form.faults[field.key]);
  const shown = $derived(
    field.value === null ? null : (field.choices.find((choice) => choice.id === field.value)?.label ?? field.value),
  );
  const proposedText = $derived(
    proposal &&
      (field.choices.find((choice) => choice.id === proposal.value)?.label ??
        `${proposal.value} ${proposal.unit ?? ""}`),
  );
  const sourceLabel = $derived(sources.find((each) => each.id === field.source)?.label);

  async function open() {
    [text, unit, source, editing] = [
      field.value ?? "",
      field.unit ?? field.units[0] ?? "",
      field.source ?? (field.quantity === "torque" ? "manual" : "measured"),
      true,
    ];
    await tick();
    cell?.querySelector<HTMLElement>("input, select")?.focus();
  }

  async function keep(onwards: boolean) {
    const value = text.trim() || null;
    const same =
      value === field.value &&
      (value === null || (source === (field.source ?? source) && (field.units.length === 0 || unit === field.unit)));
    if (
      same ||
      (await form.save([
        { key: field.key, value, unit: field.units.length ? unit : null, source: value ? source : null },
      ]))
    ) {
      editing = false;
      delete form.faults[field.key];
      await tick();
      if (onwards) cell?.querySelector("button")?.focus();
    }
  }

  async function notToBeFound() {
    if (await form.save([{ key: field.key, value: null, source: "unknown" }])) await close();
  }

  /** Leaving the cell keeps what was typed. */
  function leave(event: FocusEvent) {
    if (cell && !cell.contains(event.relatedTarget as Node)) void keep(false);
  }

  function press(event: KeyboardEvent) {
    if (event.key === "Enter") (event.preventDefault(), void keep(true));
    if (event.key === "Escape") void close();
  }

  /** The keyboard stays at the cell. */
  async function close() {
    editing = false;
    await tick();
    cell?.querySelector("button")?.focus();
  }
</script>

<div
  class="cell"
  class:unknown={field.value === null}
  class:needed={field.value === null && field.needed_for.length > 0}
  class:bad={!!fault}
  bind:this={cell}
  id="cell-{field.key}"
>
  {#if editing}
    <!-- svelte-ignore a11y_no_static_element_interactions -->
    <div class="edit" onkeydown={press} onfocusout={leave}>
      <label for="edit-{field.key}">{label}</label>
      {#if field.quantity === "choice"}
        <Choose
          id="edit-{field.key}"
          value={text}
          options={[{ id: "", label: common.notKnown }, ...field.choices]}
          onchoose={(id) => ((text = id), void keep(true))}
        />
      {:else}
        <span class="row tight">
          <input
            id="edit-{field.key}"
            inputmode={["text", "name"].includes(field.quantity) ? "text" : "decimal"}
            autocomplete="off"
            placeholder={field.hint ?? ""}
            bind:value={text}
            aria-invalid={!!fault}
            aria-describedby="says-{field.key}"
          />
          {#if field.units.length > 1}<select aria-label={say(common.unitOfLabel, { label })} bind:value={unit}
              >{#each field.units as each (each)}<option value={each}>{each}</option>{/each}</select
            >{:else if field.units.length}<span>{field.units[0]}</span>{/if}
        </span>
      {/if}
      <select class="source" aria-label={say(texts.whereLabelComesFrom, { label })} bind:value={source}
        >{#each sources as each (each.id)}<option value={each.id}>{each.label}</option>{/each}</select
      >
      <span class="row tight"
        ><button type="button" class="small" onclick={() => keep(true)}>{common.save}</button><button
          type="button"
          class="small"
          onclick={notToBeFound}>{texts.iCantFindIt}</button
        ></span
      >
    </div>
  {:else}
    <button type="button" class="show" onclick={open}>
      <span class="label">{label}</span>
      {#if shown !== null}
        <span class="value number" class:severity={field.choices.length > 0}
          >{shown}{#if field.unit}<span class="unit">{field.unit}</span>{/if}</span
        >
        <span class="from">{sourceLabel ?? ""}</span>
      {:else}
        <span class="value none">{field.looked_for ? texts.couldNotBeFound : common.notKnown}</span>
      {/if}
    </button>
    {#if field.rivals.length}
      <p class="proposed">
        {texts.sourcesDisagree}
        {#each field.rivals as rival (rival.source)}<button
            type="button"
            class="small"
            onclick={() =>
              form.save([{ key: field.key, value: rival.value, unit: rival.unit, source: rival.source, chosen: true }])}
            >{say(texts.useRivalUnitToLowerCase, {
              rival: rival.value,
              unit: rival.unit,
              toLowerCase: rival.label.toLowerCase(),
            })}</button
          >{/each}
      </p>
    {/if}
    {#if proposal}
      <p class="proposed">
        {proposedText}?
        <button
          type="button"
          class="small"
          aria-label={say(texts.saveProposedTextAsLabel, { proposedText, label })}
          onclick={() =>
            form.save([{ key: proposal.key, value: proposal.value, unit: proposal.unit, source: proposal.source }])}
          >{texts.saveProposed}</button
        >
      </p>
    {/if}
  {/if}
  <p class="says" id="says-{field.key}" role={fault ? "alert" : undefined}>
    {#if fault}<strong class="fault">{fault}</strong>
    {:else if field.doubt}<strong class="doubt">{field.doubt}</strong>
    {:else if editing}{say(texts.findItFind, { find: field.find })}{#if field.earlier.length}
        {say(texts.earlierEarlier, { earlier: field.earlier.join(", ") })}{/if}
    {:else if field.value === null && !terse}{upperFirst(field.waits)}.{/if}
  </p>
</div>

<style>
  .cell {
    border: 1px solid var(--line);
    border-top: 3px solid var(--petrol);
    background: var(--sheet);
    display: grid;
    align-content: start;
  }
  .unknown {
    border: 1px dashed var(--quiet);
  }
  .needed {
    border: 1px dashed var(--plan);
    border-top: 3px solid var(--plan);
  }
  .bad {
    border-color: var(--stop);
  }
  .show {
    display: grid;
    gap: 0.1rem;
    text-align: left;
    background: none;
    border: 0;
    color: inherit;
    font: inherit;
    cursor: pointer;
    padding: 0.45rem 0.6rem 0.2rem;
    min-height: 48px;
  }
  .label,
  label {
    font-size: 0.875rem;
    line-height: 1.2;
    color: var(--quiet);
  }
  .value {
    font-size: 1.5rem;
    line-height: 1.15;
  }
  .value.severity {
    font-size: 1.1rem;
  }
  .none {
    font-size: 1rem;
    font-style: italic;
    color: var(--quiet);
  }
  .unit {
    font-size: 1rem;
    margin-left: 0.3rem;
  }
  .from {
    font-size: 0.8125rem;
    line-height: 1.2;
    color: var(--quiet);
  }
  .edit {
    display: grid;
    gap: 0.35rem;
    padding: 0.45rem 0.6rem;
  }
  .tight {
    gap: 0.35rem;
  }
  input,
  select {
    font: inherit;
    font-size: 1.05rem;
    min-height: 44px;
    box-sizing: border-box;
    max-width: 100%;
    background: var(--sheet);
    color: var(--ink);
    border: 1px solid var(--quiet);
    padding: 0 0.4rem;
  }
  input {
    width: 6.5rem;
    font-weight: 600;
    font-size: 1.25rem;
  }
  .source {
    font-size: 0.9375rem;
    min-height: 40px;
  }
  .small {
    min-height: 40px;
    background: none;
    border: 1px solid var(--line);
    color: var(--petrol);
    font: inherit;
    font-size: 0.9375rem;
    padding: 0 0.6rem;
    cursor: pointer;
  }
  .proposed {
    padding: 0 0.6rem;
    color: var(--doubt);
    font-weight: 600;
    font-size: 1rem;
  }
  .says {
    padding: 0 0.6rem 0.45rem;
    font-size: 0.8125rem;
    line-height: 1.25;
    color: var(--quiet);
  }
  .says:empty {
    display: none;
  }
  .doubt {
    color: var(--doubt);
  }
</style>
