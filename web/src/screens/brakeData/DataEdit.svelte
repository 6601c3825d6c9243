<script lang="ts">
  import * as common from "../../texts/common";
  import * as texts from "../../texts/brakeData";
  import { say } from "../../texts/say";
  import { tick, untrack } from "svelte";
  import TermText from "../../parts/TermText.svelte";
  import SelectField from "../../parts/SelectField.svelte";
  import type { Schemas } from "../../api/client";
  import type { BrakeData, Field } from "./brakeData.svelte";

  /** The value at hand, always at the same spot: Enter saves it, Escape leaves it, going elsewhere saves it. */
  let { form, opened, sources }: { form: BrakeData; opened: Field; sources: Schemas["Choice"][] } = $props();
  /** One panel a value: it stays the same while the panel goes. */
  const field = untrack(() => opened);

  let panel: HTMLElement | undefined = $state();
  const typed = $derived(form.typed(field));
  const fault = $derived(form.faults[field.key]);

  $effect(() => {
    void tick().then(() => panel?.querySelector<HTMLElement>(`[id='edit-${field.key}']`)?.focus());
  });

  const back = () => document.querySelector<HTMLElement>(`[id='cell-${field.key}'] button`)?.focus();

  async function keep(onwards: boolean) {
    if ((await form.keep(field)) && onwards) back();
  }
  function leave(event: FocusEvent) {
    if (form.open === field.key && panel && !panel.contains(event.relatedTarget as Node)) void keep(false);
  }
  function press(event: KeyboardEvent) {
    if (event.key === "Enter" && !(event.target instanceof HTMLButtonElement))
      (event.preventDefault(), void keep(true));
    if (event.key === "Escape") (form.cancel(field), back());
  }
  async function notToBeFound() {
    if (await form.notFound(field)) back();
  }
</script>

<!-- svelte-ignore a11y_no_static_element_interactions -->
<div class="edit" bind:this={panel} onkeydown={press} onfocusout={leave}>
  <label for="edit-{field.key}">{field.label}</label>
  {#if field.quantity === "choice"}
    <SelectField
      id="edit-{field.key}"
      value={typed.text}
      options={[{ id: "", label: common.unknown }, ...field.choices]}
      onchoose={(id) => ((typed.text = id), void keep(true))}
    />
  {:else}
    <span class="row tight">
      <input
        id="edit-{field.key}"
        inputmode={["text", "name"].includes(field.quantity) ? "text" : "decimal"}
        autocomplete="off"
        placeholder={field.hint ?? ""}
        bind:value={typed.text}
        aria-invalid={!!fault}
        aria-describedby="says-{field.key}"
      />
      {#if field.units.length > 1}<select
          aria-label={say(common.unitOfLabel, { label: field.label })}
          bind:value={typed.unit}
          >{#each field.units as each (each)}<option value={each}>{each}</option>{/each}</select
        >{:else if field.units.length}<span>{field.units[0]}</span>{/if}
    </span>
  {/if}
  <select class="source" aria-label={say(texts.whereLabelComesFrom, { label: field.label })} bind:value={typed.source}
    >{#each sources as each (each.id)}<option value={each.id}>{each.label}</option>{/each}</select
  >
  <p class="says" id="says-{field.key}" role={fault ? "alert" : undefined}>
    {#if fault}<strong class="fault">{fault}</strong>{/if}
    <TermText text={say(texts.findItFind, { find: field.find })} />
    {#if field.earlier.length}{say(texts.earlierEarlier, { earlier: field.earlier.join(", ") })}{/if}
  </p>
  <span class="row tight"
    ><button type="button" class="small main" onclick={() => keep(true)}>{common.save}</button><button
      type="button"
      class="small"
      onclick={notToBeFound}>{texts.iCantFindIt}</button
    ></span
  >
</div>

<style>
  .edit {
    display: grid;
    gap: 0.5rem;
  }
  label {
    font-weight: 600;
  }
  .tight {
    gap: 0.35rem;
  }
  input,
  select {
    font: inherit;
    font-size: 1.05rem;
    min-height: 48px;
    box-sizing: border-box;
    max-width: 100%;
    background: var(--sheet);
    color: var(--ink);
    border: 1px solid var(--quiet);
    padding: 0 0.4rem;
  }
  input {
    width: 8rem;
    font-weight: 600;
    font-size: 1.35rem;
  }
  .source {
    font-size: 0.9375rem;
  }
  .small {
    min-height: 48px;
    background: none;
    border: 1px solid var(--line);
    color: var(--petrol);
    font: inherit;
    padding: 0 0.9rem;
    cursor: pointer;
  }
  .main {
    border-color: var(--petrol);
    font-weight: 600;
  }
  .says {
    font-size: 0.9375rem;
    line-height: 1.3;
    color: var(--quiet);
  }
  .fault {
    display: block;
  }
</style>
