<script lang="ts">
  import * as common from "../../texts/common";
  import * as texts from "../../texts/findings";
  import { Button } from "carbon-components-svelte";
  import { lazyApi } from "../../api/lazyApi";
  import type { Schemas } from "../../api/client";
  import { FormState } from "../../parts/formState.svelte";
  import Fault from "../../parts/Fault.svelte";

  /** "They say 2 mm front": compared with the log. */
  let { findings }: { findings: Schemas["Findings"] } = $props();
  let axle = $state<number | null>(null);
  let part = $state<"pad" | "rotor">("pad");
  let value = $state("");
  let said = $state<Schemas["ClaimChecked"] | null>(null);
  const form = new FormState();
  /** Into the log, once it was compared. */
  let odometer = $state("");
  let logged = $state(false);
  const log = new FormState();
  const chosen = $derived(axle ?? findings.axles[0]!.id);
  const loggable = $derived(said !== null && part === "pad");

  const save = async (event: SubmitEvent) => {
    event.preventDefault();
    const unit = findings.vehicle.distance_unit;
    logged = await log.act(() =>
      lazyApi.logClaim(findings.vehicle.id, { axle: chosen, part: "pad", value, odometer: { value: odometer, unit } }),
    );
  };

  async function check(event: SubmitEvent) {
    event.preventDefault();
    logged = false;
    const taken = await form.act(
      async () => (said = await lazyApi.claim(findings.vehicle.id, { axle: chosen, part, value })),
    );
    if (!taken) said = null;
  }
</script>

<form class="row" onsubmit={check} novalidate>
  <label
    >{texts.theySay}
    <input
      inputmode="decimal"
      autocomplete="off"
      aria-label={texts.thicknessTheySay}
      placeholder={texts.claimPlaceholder}
      bind:value
      aria-invalid={!!form.refused}
    />
  </label>
  <label
    >{texts.ofThe}
    <select bind:value={part} aria-label={texts.part}
      ><option value="pad">{texts.pads}</option><option value="rotor">{common.rotors}</option></select
    >
  </label>
  <select bind:value={axle} aria-label={texts.axle}
    >{#each findings.axles as each, at (each.id)}<option value={at === 0 ? null : each.id}>{each.name}</option
      >{/each}</select
  >
  <Button type="submit" size="field" kind="tertiary">{texts.compareWithMyReadings}</Button>
</form>
<Fault text={form.first} />
{#if said}<p class="said {said.verdict}" role="status">{logged ? texts.claimCountsALittle : said.sentence}</p>{/if}
{#if loggable && !logged}
  <form class="row" onsubmit={save} novalidate>
    <label
      >{texts.odometerForTheLog}
      <input inputmode="decimal" autocomplete="off" bind:value={odometer} aria-invalid={!!log.refused} />
      {findings.vehicle.distance_unit}</label
    >
    <Button type="submit" size="field" kind="tertiary">{texts.saveClaimToTheLog}</Button>
  </form>
  <Fault text={log.first} />
{/if}

<style>
  label {
    display: inline-flex;
    gap: 0.5rem;
    align-items: center;
  }
  input,
  select {
    font: inherit;
    font-size: 1.05rem;
    min-height: 48px;
    border: 1px solid var(--quiet);
    background: var(--sheet);
    color: var(--ink);
    padding: 0 0.5rem;
    box-sizing: border-box;
  }
  input {
    width: 6rem;
    font-weight: 600;
  }
  .said {
    border-left: 5px solid var(--good);
    padding-left: 0.75rem;
    margin-top: 0.6rem;
  }
  .contradicts,
  .doubtful {
    border-left-color: var(--doubt);
  }
</style>
