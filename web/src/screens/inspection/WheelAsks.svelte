<script lang="ts">
  import { usualUnit } from "../../format/units";
  import * as common from "../../texts/common";
  import * as texts from "../../texts/inspection";
  import { say } from "../../texts/say";
  import SelectField from "../../parts/SelectField.svelte";
  import { lowerFirst, upperFirst } from "../../format/words";
  import type { Schemas } from "../../api/client";
  import type { InspectionForm } from "./inspectionForm.svelte";

  /** Unknown data visible only while this wheel is off. */
  let { form, wheel }: { form: InspectionForm; wheel: Schemas["Wheel"] } = $props();
  let typed = $state<Record<string, string>>({});
  let units = $state<Record<string, string>>({});
  let faults = $state<Record<string, string>>({});

  async function tell(ask: Schemas["Ask"]) {
    if (!typed[ask.key]?.trim()) return;
    faults[ask.key] = await form.tell(wheel, ask, typed[ask.key]!, units[ask.key] ?? usualUnit(ask.units) ?? "");
  }
</script>

{#if wheel.asks.length}
  <details class="asks">
    <summary
      >{say(texts.whileYouCanSeeIt, {
        count: wheel.asks.length,
        asks: wheel.asks.map((ask) => lowerFirst(ask.label)).join(", "),
      })}</summary
    >
    {#each wheel.asks as ask (ask.key)}
      <div class="ask">
        <label for="ask-{ask.key}">{ask.label}</label>
        {#if ask.choices.length}
          <SelectField
            id="ask-{ask.key}"
            value={typed[ask.key] ?? ""}
            options={[{ id: "", label: common.unknown }, ...ask.choices]}
            onchoose={(id) => ((typed[ask.key] = id), void tell(ask))}
          />
        {:else}
          <span class="row">
            <input
              id="ask-{ask.key}"
              inputmode="decimal"
              autocomplete="off"
              bind:value={typed[ask.key]}
              onkeydown={(event) => event.key === "Enter" && (event.preventDefault(), tell(ask))}
              aria-invalid={!!faults[ask.key]}
            />
            {#if ask.units.length}
              <select aria-label={say(common.unitOfLabel, { label: ask.label })} bind:value={units[ask.key]}
                >{#each ask.units as unit (unit)}<option value={unit}>{unit}</option>{/each}</select
              >
            {/if}
            <button type="button" onclick={() => tell(ask)}>{common.save}</button>
          </span>
        {/if}
        <p class="quiet" class:fault={faults[ask.key]}>
          {faults[ask.key] || `${ask.waits} ${upperFirst(ask.find)}.`}
        </p>
      </div>
    {/each}
  </details>
{/if}

<style>
  .asks {
    border: 1px dashed var(--plan);
    padding: 0 0.75rem 0.5rem;
  }
  summary {
    cursor: pointer;
    min-height: 48px;
    display: flex;
    align-items: center;
    color: var(--plan);
    font-weight: 600;
    line-height: 1.25;
  }
  .ask {
    display: grid;
    grid-template-columns: 11rem auto 1fr;
    gap: 0.25rem 0.75rem;
    align-items: center;
    padding: 0.25rem 0;
  }
  label {
    font-weight: 600;
  }
  input,
  select,
  button {
    min-height: 44px;
    font: inherit;
    font-size: 1.05rem;
    background: var(--sheet);
    color: var(--ink);
    border: 1px solid var(--quiet);
    padding: 0 0.5rem;
    box-sizing: border-box;
    max-width: 16rem;
  }
  input {
    width: 6rem;
  }
  @media (max-width: 46rem) {
    .ask {
      grid-template-columns: 1fr;
    }
  }
</style>
