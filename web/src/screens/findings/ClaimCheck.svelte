<script lang="ts">
  import SelectField from "../../parts/controls/SelectField.svelte";
  import TextField from "../../parts/controls/TextField.svelte";
  import * as common from "../../texts/common";
  import * as texts from "../../texts/findings";
  import { Button } from "carbon-components-svelte";
  import { lazyApi } from "../../api/lazyApi";
  import type { Schemas } from "../../api/client";
  import { ofBrake } from "../../format/words";
  import { FormState } from "../../parts/formState.svelte";

  /** "They say 2 mm front": compared with the log. */
  let { findings }: { findings: Schemas["Findings"] } = $props();
  // svelte-ignore state_referenced_locally
  let axle = $state(String(findings.axles[0]!.id));
  let part = $state("pad");
  let value = $state("");
  let said = $state<Schemas["ClaimChecked"] | null>(null);
  const form = new FormState();
  /** Into the log, once it was compared. */
  let odometer = $state("");
  let logged = $state(false);
  const log = new FormState();
  const chosen = $derived(Number(axle));
  const here = $derived(findings.axles.find((each) => each.id === chosen) ?? findings.axles[0]!);
  const drums = $derived(here.corners[0]!.drum !== null);
  /** Of a drum brake a shop names the shoes' thickness only. */
  const asked = $derived(drums ? "pad" : part);
  const loggable = $derived(said !== null && asked === "pad");

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
      async () =>
        (said = await lazyApi.claim(findings.vehicle.id, { axle: chosen, part: asked as "pad" | "rotor", value })),
    );
    if (!taken) said = null;
  }
</script>

<form class="row" onsubmit={check} novalidate>
  <TextField
    label={texts.thicknessTheySay}
    inputmode="decimal"
    placeholder={texts.claimPlaceholder}
    bind:value
    fault={form.first}
  />
  <SelectField
    label={texts.part}
    bind:value={part}
    options={[
      { id: "pad", label: ofBrake(texts.pads, drums ? "drum" : "disc") },
      ...(drums ? [] : [{ id: "rotor", label: common.rotors }]),
    ]}
  />
  <SelectField
    label={texts.axle}
    width="short"
    bind:value={axle}
    options={findings.axles.map((each) => ({ id: String(each.id), label: each.name }))}
  />
  <Button type="submit" size="field" kind="tertiary">{texts.compareWithMyReadings}</Button>
</form>
{#if said}<p class="said {said.verdict}" role="status">{logged ? texts.claimCountsALittle : said.sentence}</p>{/if}
{#if loggable && !logged}
  <form class="row" onsubmit={save} novalidate>
    <TextField label={texts.odometerForTheLog} inputmode="decimal" bind:value={odometer} fault={log.first}>
      {#snippet beside()}{findings.vehicle.distance_unit}{/snippet}
    </TextField>
    <Button type="submit" size="field" kind="tertiary">{texts.saveClaimToTheLog}</Button>
  </form>
{/if}

<style>
  form {
    align-items: end;
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
