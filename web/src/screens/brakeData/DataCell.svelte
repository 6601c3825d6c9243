<script lang="ts">
  import PlainButton from "../../parts/controls/PlainButton.svelte";
  import * as common from "../../texts/common";
  import * as texts from "../../texts/brakeData";
  import { say } from "../../texts/say";
  import { upperFirst } from "../../format/words";
  import type { Schemas } from "../../api/client";
  import type { BrakeData, Field } from "./brakeData.svelte";

  /** One value as it stands; a press opens it where values are changed. lane: in one line, on the drawing. */
  let {
    form,
    field,
    label = field.label,
    sources,
    terse = false,
    lane = false,
  }: {
    form: BrakeData;
    field: Field;
    label?: string;
    sources: Schemas["Choice"][];
    terse?: boolean;
    lane?: boolean;
  } = $props();

  const proposal = $derived(form.proposal(field.key));
  const fault = $derived(form.faults[field.key]);
  const named = (value: string) => field.choices.find((choice) => choice.id === value)?.label;
  const shown = $derived(field.value === null ? null : (named(field.value) ?? field.value));
  const proposedText = $derived(proposal && (named(proposal.value) ?? `${proposal.value} ${proposal.unit ?? ""}`));
  const sourceLabel = $derived(sources.find((each) => each.id === field.source)?.label);
</script>

<div
  class="cell"
  class:lane
  class:unknown={field.value === null}
  class:needed={field.value === null && field.needed_for.length > 0}
  class:bad={!!fault}
  class:open={form.open === field.key}
  id="cell-{field.key}"
>
  <button type="button" class="show" onclick={() => form.show(field)}>
    <span class="label">{label}</span>
    {#if shown !== null}
      <span class="value number" class:severity={field.choices.length > 0}
        >{shown}{#if field.unit}<span class="unit">{field.unit}</span>{/if}</span
      >
      <span class="from">{sourceLabel ?? ""}</span>
    {:else}
      <span class="value none">{field.looked_for ? texts.cantBeFound : common.unknown}</span>
    {/if}
  </button>
  {#if field.rivals.length}
    <p class="proposed">
      {texts.sourcesDisagree}
      {#each field.rivals as rival (rival.source)}<PlainButton
          onclick={() =>
            form.save([{ key: field.key, value: rival.value, unit: rival.unit, source: rival.source, chosen: true }])}
          >{say(texts.useRivalValue, {
            rival: rival.value,
            unit: rival.unit,
            toLowerCase: rival.label.toLowerCase(),
          })}</PlainButton
        >{/each}
    </p>
  {/if}
  {#if proposal}
    <p class="proposed">
      {proposedText}?
      <PlainButton
        aria-label={say(texts.saveProposal, { proposedText, label })}
        onclick={() =>
          form.save([{ key: proposal.key, value: proposal.value, unit: proposal.unit, source: proposal.source }])}
        >{texts.saveProposed}</PlainButton
      >
    </p>
  {/if}
  <p class="says">
    {#if fault}<strong class="fault">{form.drafts[field.key]?.text}: {fault}</strong>
    {:else if field.doubt}<strong class="doubt">{field.doubt}</strong>
    {:else if field.value === null && !terse && !lane}{upperFirst(field.waits)}{/if}
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
  .cell.open {
    outline: 3px solid var(--petrol);
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
  .lane {
    display: flex;
    align-items: center;
    gap: 0.5rem;
    border: 0;
  }
  .lane .show {
    display: flex;
    align-items: baseline;
    gap: 0.5rem;
    /* the source is left out where the line has no room for it */
    flex-wrap: wrap;
    height: 36px;
    line-height: 36px;
    overflow: hidden;
    min-height: 36px;
    padding: 0 0.4rem;
    white-space: nowrap;
  }
  .lane .value {
    order: -1;
    line-height: inherit;
    font-size: 1.25rem;
  }
  .lane .none {
    order: 1;
    font-size: 1rem;
  }
  .lane.needed .none {
    color: var(--plan);
    font-weight: 600;
  }
  .label {
    font-size: 0.875rem;
    line-height: 1.2;
    color: var(--quiet);
  }
  .lane .label {
    line-height: inherit;
    color: var(--ink);
    font-size: 1rem;
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
  .proposed {
    padding: 0 0.6rem;
    color: var(--doubt);
    font-weight: 600;
    font-size: 1rem;
    white-space: nowrap;
  }
  .says {
    padding: 0 0.6rem 0.45rem;
    font-size: 0.8125rem;
    line-height: 1.25;
    color: var(--quiet);
  }
  .lane .says {
    padding: 0;
  }
  .says:empty {
    display: none;
  }
  .doubt {
    color: var(--doubt);
  }
  @media (max-width: 46rem) {
    .lane .from {
      display: none;
    }
    .lane .label {
      font-size: 0.9375rem;
      white-space: normal;
      line-height: 1.1;
    }
  }
</style>
