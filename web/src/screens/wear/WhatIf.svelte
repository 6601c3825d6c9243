<script lang="ts">
  import SelectField from "../../parts/controls/SelectField.svelte";
  import TextField from "../../parts/controls/TextField.svelte";
  import * as common from "../../texts/common";
  import * as texts from "../../texts/wear";
  import { say } from "../../texts/say";
  import { untrack } from "svelte";
  import { lazyApi } from "../../api/lazyApi";
  import type { Schemas } from "../../api/client";
  import { inUnit, month, ofBrake, rough, span } from "../../format/words";
  import { FormState } from "../../parts/formState.svelte";

  interface Props {
    axle: number;
    sides: string[];
    brakes: Schemas["Brakes"];
    unit: Schemas["DistanceUnit"];
    today: string;
    limit: string;
    kmPerDay: number;
    choices: Schemas["WhatIfChoices"];
  }
  /** Hypotheses of the owner, answered as they are typed; nothing of it is kept. */
  let { axle, sides, brakes, unit, today, limit, kmPerDay, choices }: Props = $props();
  const nothing = { year_distance: "", use: "", factor: "", freed: "", pads: "", pads_mm: "" };
  let asked = $state({ ...nothing });
  let answer = $state.raw<Schemas["WhatIf"] | null>(null);
  const form = new FormState();
  let turn = 0;
  const fault = form.fault;
  const supposed = $derived(Object.values(asked).some((text) => text !== ""));

  $effect(() => {
    const query = { ...asked, ...(limit ? { limit_mm: limit } : {}) };
    untrack(() => void ask(query));
  });

  async function ask(query: Record<string, string>) {
    const mine = ++turn;
    const found = Object.fromEntries(Object.entries(query).filter(([, text]) => text !== ""));
    const asking = new FormState();
    await asking.act(async () => mine === turn && (answer = await lazyApi.whatIf(axle, found)));
    if (mine === turn) form.refused = asking.refused;
  }

  const rows = $derived(
    answer
      ? [
          { id: "before", label: texts.asItStands, of: answer.before },
          ...(supposed ? [{ id: "after", label: texts.whatIfTitle, of: answer.after }] : []),
        ]
      : [],
  );
  const most = $derived(Math.max(...rows.map((row) => row.of.pads_life?.distance_km.p90 ?? 0), 1));
  const at = (km: number) => `${(100 * km) / most}%`;
</script>

<div class="ask">
  <TextField
    label={say(texts.drivenPerYear, { unit })}
    placeholder={String(Math.round(inUnit(kmPerDay * 365.25, unit) / 100) * 100)}
    inputmode="decimal"
    bind:value={asked.year_distance}
    fault={fault("year_distance")}
  />
  <SelectField
    label={texts.usedFor}
    bind:value={asked.use}
    options={[
      { id: "", label: texts.asNow },
      ...choices.uses.map((use) => ({ id: use.id, label: `× ${use.factor} ${use.label}` })),
    ]}
  />
  <TextField
    label={common.wearFactorYourGuess}
    placeholder="1"
    inputmode="decimal"
    bind:value={asked.factor}
    fault={fault("factor")}
  />
  {#if sides.length > 1}
    <SelectField
      label={brakes === "drum" ? texts.cylinderFreed : texts.slidePinsFreed}
      bind:value={asked.freed}
      options={[{ id: "", label: texts.no }, ...sides.map((side) => ({ id: side, label: side }))]}
    />
  {/if}
  <SelectField
    label={ofBrake(texts.newPadsNow, brakes)}
    bind:value={asked.pads}
    options={[
      { id: "", label: texts.no },
      { id: "same", label: common.theSameKind },
      ...choices.pads.map((pads) => ({ id: pads.id, label: `× ${pads.factor} ${pads.label}` })),
    ]}
  />
  {#if asked.pads}
    <TextField
      label={texts.theirThicknessMm}
      placeholder={texts.asSpecified}
      inputmode="decimal"
      bind:value={asked.pads_mm}
      fault={fault("pads_mm")}
    />
  {/if}
</div>
<div class="answer" aria-live="polite">
  {#each rows as row (row.id)}
    {@const life = row.of.pads_life}
    {#if life}
      <p class="label">{row.label}</p>
      <div class="track" role="img" aria-label="{row.label}: {span(life.distance_km, unit)}">
        <span
          class="band"
          class:new={row.id === "after"}
          style:left={at(life.distance_km.p10)}
          style:width={at(life.distance_km.p90 - life.distance_km.p10)}
        ></span>
        <span class="middle" style:left={at(life.distance_km.p50)}></span>
        <span class="look" style:left={at(Math.min(row.of.look_again.distance_km, most))}></span>
      </div>
      <p class="words">
        <span class="number">{span(life.distance_km, unit)}</span>, {say(
          ofBrake(row.of.look_again.renew ? texts.mostLikelyAndRenew : texts.mostLikelyAndInspect, brakes),
          {
            month: month(life.date.p50, today),
            by:
              row.of.look_again.distance_km > 99
                ? say(common.inspectByRange, {
                    rough: rough(row.of.look_again.distance_km, unit),
                    month: month(row.of.look_again.date, today),
                  })
                : common.now,
          },
        )}
      </p>
    {/if}
  {/each}
</div>
{#if supposed && answer?.said.length}<p class="quiet">
    {say(texts.assuming, { said: answer.said.join("; ") })}
  </p>{/if}

<style>
  .ask {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(10.5rem, 1fr));
    gap: 0.75rem 1rem;
    align-items: end;
  }
  .answer {
    margin-top: 1rem;
    display: grid;
    gap: 0.2rem 0.9rem;
    grid-template-columns: 7rem 1fr;
    align-items: center;
    min-height: 4rem;
    align-content: start;
  }
  .label {
    font-weight: 600;
  }
  .track {
    position: relative;
    height: 20px;
    background: var(--paper);
    border: 1px solid var(--line);
  }
  .band {
    position: absolute;
    inset-block: 0;
    background: var(--quiet);
    opacity: 0.35;
  }
  .new {
    background: var(--band);
    opacity: 0.45;
  }
  .middle {
    position: absolute;
    inset-block: -3px;
    width: 3px;
    background: var(--ink);
  }
  .look {
    position: absolute;
    inset-block: -3px;
    border-left: 2px dashed var(--ink);
  }
  .words {
    grid-column: 2;
    margin-bottom: 0.5rem;
  }
</style>
