<script lang="ts">
  import RadioGroup from "../../parts/controls/RadioGroup.svelte";
  import TextBox from "../../parts/controls/TextBox.svelte";
  import CheckField from "../../parts/controls/CheckField.svelte";
  import SelectField from "../../parts/controls/SelectField.svelte";
  import TextField from "../../parts/controls/TextField.svelte";
  import * as common from "../../texts/common";
  import * as texts from "../../texts/job";
  import { say } from "../../texts/say";
  import { Button } from "carbon-components-svelte";
  import type { Schemas } from "../../api/client";
  import { lowerFirst, upperFirst } from "../../format/words";
  import type { JobPlanState } from "../../parts/jobPlan.svelte";

  /** Finishes a job: odometer, new parts, time and money. Open steps are listed as links. */
  let { job, close }: { job: JobPlanState; close: (done: boolean) => void } = $props();
  const plan = $derived(job.plan!);
  // svelte-ignore state_referenced_locally
  const fits = $state(
    job.plan!.fits.map((fit) => ({ ...fit, value: fit.value ?? "", method: fit.method ?? "stated" })),
  );
  let followUps = $state("");
  // svelte-ignore state_referenced_locally
  let odometer = $state(job.plan!.odometer.known ? (job.plan!.odometer.value ?? "") : "");
  let hours = $state("");
  let spent = $state("");
  let keep = $state(false);
  let parked = $state(false);
  /** Earlier symptoms: gone, still there, or not answered. */
  let gone = $state<Record<string, boolean>>({});
  const undriven = $derived(plan.stops.length > 0 || plan.undriven || job.code("do_not_drive") !== "");
  const questioned = $derived(["too_far_ahead", "other_distance_unit"].includes(job.code("odometer.value")));
  const open = $derived((job.refused?.faults ?? []).filter((fault) => fault.code === "mandatory_open"));

  async function finish(event: SubmitEvent) {
    event.preventDefault();
    const fitted: Schemas["Fitted"][] = fits.map((fit) => ({
      axle: fit.axle_id,
      part: fit.part,
      value: fit.value.trim() || null,
      unit: fit.unit,
      method: fit.method as Schemas["Fitted"]["method"],
    }));
    const asked: Schemas["JobFinish"] = {
      odometer: { value: odometer, unit: plan.vehicle.distance_unit, ...(keep ? { keep } : {}) },
      fitted,
      hours: hours.trim() || null,
      spent: spent.trim() || null,
      do_not_drive: undriven && parked,
      symptoms: Object.entries(gone).map(([id, is]) => ({ id, gone: is })),
      follow_ups: followUps.split("\n").filter((line) => line.trim()),
    };
    if (await job.finish(asked)) close(true);
  }
</script>

{#snippet wrong(field: string)}{#if job.fault(field)}<span class="fault" role="alert">{job.fault(field)}</span
    >{/if}{/snippet}

<form class="sheet finish" onsubmit={finish} novalidate aria-label={texts.finishTheJob}>
  <h2>{texts.finishTheJob}</h2>
  <p class="quiet">{texts.finishNote}</p>
  <div class="row">
    <TextField
      label={say(texts.odometerTodayDistanceUnit, { distanceUnit: plan.vehicle.distance_unit })}
      first
      inputmode="decimal"
      bind:value={odometer}
      fault={job.fault("odometer.value")}
    />
    {#each fits as fit (fit.axle_id + fit.part)}
      <TextField
        label="{upperFirst(fit.axle)}: {lowerFirst(fit.label)} ({fit.unit})"
        inputmode="decimal"
        placeholder={texts.notMeasured}
        bind:value={fit.value}
        fault={job.fault(`fitted.${fit.axle_id}.${fit.part}`)}
      />
      <SelectField
        label={texts.measuredWith}
        bind:value={fit.method}
        options={Object.entries(texts.FITTED_METHODS).map(([id, label]) => ({ id, label }))}
      />
    {/each}
    <TextField
      label={texts.hoursItTook}
      inputmode="decimal"
      placeholder={texts.notTimed}
      bind:value={hours}
      fault={job.fault("hours")}
    />
    <TextField
      label={say(texts.spentCurrency, { currency: plan.money.currency })}
      inputmode="decimal"
      placeholder={plan.money.total ? String(plan.money.total) : common.unknown}
      bind:value={spent}
      fault={job.fault("spent")}
    />
  </div>
  <TextBox
    label={texts.anythingLeftOpen}
    placeholder={texts.onePerLine}
    bind:value={followUps}
    fault={job.fault("follow_ups")}
  />
  {#if questioned}<CheckField bind:checked={keep} label={texts.theOdometerIsRightAs} />{/if}
  {#each plan.symptoms as symptom (symptom.id)}
    <RadioGroup
      legend={say(texts.noticedBefore, { symptom: symptom.label })}
      options={[
        { id: "gone", label: texts.itIsGone },
        { id: "there", label: texts.itIsStillThere },
      ]}
      chosen={symptom.id in gone ? (gone[symptom.id] ? "gone" : "there") : null}
      onpick={(id) => void (gone[symptom.id] = id === "gone")}
    />
    {@render wrong(`symptoms.${symptom.id}`)}
  {/each}
  {#if undriven}
    <div class="undriven">
      <p><strong>{texts.doNotDrive}.</strong> {plan.stops.join(" ")}</p>
      <CheckField bind:checked={parked} label={texts.togetherNotDriven} />
      {@render wrong("do_not_drive")}
    </div>
  {/if}
  {#each ["state", "date"] as field (field)}{@render wrong(field)}{/each}
  {#if open.length}
    <div role="alert">
      <p class="fault">{texts.stillToBeDone}</p>
      <ul>
        {#each open as fault (fault.field)}<li>
            <a href="#/jobs/{plan.id}/steps?at={fault.field.slice('steps.'.length)}">{upperFirst(fault.message)}</a>
          </li>{/each}
      </ul>
    </div>
  {/if}
  <div class="row">
    <Button type="submit" size="field" disabled={job.busy}>{texts.finishJob}</Button>
    <Button size="field" kind="ghost" on:click={() => close(false)}>{common.cancel}</Button>
  </div>
</form>

<style>
  .undriven {
    border-left: 8px solid var(--stop);
    padding-left: 0.75rem;
    display: grid;
    gap: 0.4rem;
  }
  .undriven p {
    margin: 0;
  }
  .finish {
    display: grid;
    gap: 0.75rem;
    border-left: 6px solid var(--petrol);
  }
  ul {
    margin: 0.2rem 0 0;
    padding-left: 1.2rem;
    list-style: disc;
    display: grid;
    gap: 0.2rem;
  }
</style>
