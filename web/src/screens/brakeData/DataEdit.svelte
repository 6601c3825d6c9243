<script lang="ts">
  import TextField from "../../parts/controls/TextField.svelte";
  import PlainButton from "../../parts/controls/PlainButton.svelte";
  import * as common from "../../texts/common";
  import * as texts from "../../texts/brakeData";
  import { say } from "../../texts/say";
  import { tick, untrack } from "svelte";
  import TermText from "../../parts/TermText.svelte";
  import SelectField from "../../parts/controls/SelectField.svelte";
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
  {#if field.quantity === "choice"}
    <SelectField
      id="edit-{field.key}"
      label={field.label}
      value={typed.text}
      options={[{ id: "", label: common.unknown }, ...field.choices]}
      onchoose={(id) => ((typed.text = id), void keep(true))}
    />
  {:else}
    <TextField
      id="edit-{field.key}"
      label={field.label}
      inputmode={["text", "name"].includes(field.quantity) ? "text" : "decimal"}
      placeholder={field.hint ?? ""}
      bind:value={typed.text}
      {fault}
    >
      {#snippet beside()}
        {#if field.units.length > 1}<SelectField
            label={say(common.unitOfLabel, { label: field.label })}
            unseen
            width="unit"
            bind:value={typed.unit}
            options={field.units}
          />{:else if field.units.length}<span>{field.units[0]}</span>{/if}
      {/snippet}
    </TextField>
  {/if}
  <SelectField
    label={say(texts.whereLabelComesFrom, { label: field.label })}
    unseen
    bind:value={typed.source}
    options={sources}
  />
  <p class="hint">
    <TermText text={say(texts.findItFind, { find: field.find })} />
    {#if field.earlier.length}{say(texts.earlierEarlier, { earlier: field.earlier.join(", ") })}{/if}
  </p>
  <span class="row tight"
    ><PlainButton onclick={() => keep(true)}>{common.save}</PlainButton><PlainButton onclick={notToBeFound}
      >{texts.iCantFindIt}</PlainButton
    ></span
  >
</div>

<style>
  .edit {
    display: grid;
    gap: 0.5rem;
  }
  .tight {
    gap: 0.35rem;
  }
  .hint {
    font-size: 0.9375rem;
    line-height: 1.3;
    color: var(--quiet);
  }
</style>
