<script lang="ts">
  import PlainButton from "../../parts/controls/PlainButton.svelte";
  import TextField from "../../parts/controls/TextField.svelte";
  import { usualUnit } from "../../format/units";
  import * as common from "../../texts/common";
  import * as texts from "../../texts/inspection";
  import { say } from "../../texts/say";
  import SelectField from "../../parts/controls/SelectField.svelte";
  import { lowerFirst, upperFirst } from "../../format/words";
  import type { Schemas } from "../../api/client";
  import type { InspectionForm } from "./inspectionForm.svelte";

  /** Unknown data visible only while this wheel is off. */
  let { form, wheel }: { form: InspectionForm; wheel: Schemas["Wheel"] } = $props();
  let typed = $state<Record<string, string>>({});
  let units = $state<Record<string, string>>({});
  let faults = $state<Record<string, string>>({});

  const unitOf = (ask: Schemas["Ask"]): string => units[ask.key] ?? usualUnit(ask.units, ask.key.split(".")[0]) ?? "";
  async function tell(ask: Schemas["Ask"]) {
    if (!typed[ask.key]?.trim()) return;
    faults[ask.key] = await form.tell(wheel, ask, typed[ask.key]!, unitOf(ask));
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
        {#if ask.choices.length}
          <SelectField
            id="ask-{ask.key}"
            label={ask.label}
            value={typed[ask.key] ?? ""}
            options={[{ id: "", label: common.unknown }, ...ask.choices]}
            onchoose={(id) => ((typed[ask.key] = id), void tell(ask))}
          />
        {:else}
          <TextField
            id="ask-{ask.key}"
            label={ask.label}
            inputmode="decimal"
            bind:value={typed[ask.key]}
            onkeydown={(event) => event.key === "Enter" && (event.preventDefault(), tell(ask))}
            fault={faults[ask.key]}
          >
            {#snippet beside()}
              {#if ask.units.length}
                <SelectField
                  label={say(common.unitOfLabel, { label: ask.label })}
                  unseen
                  width="unit"
                  bind:value={() => unitOf(ask), (unit) => (units[ask.key] = unit)}
                  options={ask.units}
                />
              {/if}
              <PlainButton onclick={() => tell(ask)}>{common.save}</PlainButton>
            {/snippet}
          </TextField>
        {/if}
        <p class="quiet">{ask.waits} {upperFirst(ask.find)}.</p>
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
    color: var(--plan);
    font-weight: 600;
    line-height: 1.25;
  }
  .ask {
    display: grid;
    grid-template-columns: minmax(16rem, auto) 1fr;
    gap: 0.25rem 0.75rem;
    align-items: end;
    padding: 0.25rem 0;
  }
  @media (max-width: 46rem) {
    .ask {
      grid-template-columns: 1fr;
    }
  }
</style>
