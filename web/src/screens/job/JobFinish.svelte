<script lang="ts">
  import * as common from "../../texts/common";
  import * as texts from "../../texts/job";
  import { say } from "../../texts/say";
  import { Button } from "carbon-components-svelte";
  import type { Schemas } from "../../api/client";
  import { focusOn } from "../../parts/focus";
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
  <div class="row fields">
    <label
      ><span>{say(texts.odometerTodayDistanceUnit, { distanceUnit: plan.vehicle.distance_unit })}</span><input
        use:focusOn
        inputmode="decimal"
        autocomplete="off"
        bind:value={odometer}
        aria-invalid={!!job.fault("odometer.value")}
      />{@render wrong("odometer.value")}</label
    >
    {#each fits as fit (fit.axle_id + fit.part)}
      <label
        ><span>{upperFirst(fit.axle)}: {lowerFirst(fit.label)} ({fit.unit})</span><input
          inputmode="decimal"
          autocomplete="off"
          placeholder={texts.notMeasured}
          bind:value={fit.value}
          aria-invalid={!!job.fault(`fitted.${fit.axle_id}.${fit.part}`)}
        />{@render wrong(`fitted.${fit.axle_id}.${fit.part}`)}</label
      >
      <label
        ><span>{texts.measuredWith}</span><select bind:value={fit.method}>
          {#each Object.entries(texts.FITTED_METHODS) as [id, label] (id)}<option value={id}>{label}</option>{/each}
        </select></label
      >
    {/each}
    <label
      ><span>{texts.hoursItTook}</span><input
        inputmode="decimal"
        autocomplete="off"
        placeholder={texts.notTimed}
        bind:value={hours}
        aria-invalid={!!job.fault("hours")}
      />{@render wrong("hours")}</label
    >
    <label
      ><span>{say(texts.spentCurrency, { currency: plan.money.currency })}</span><input
        inputmode="decimal"
        autocomplete="off"
        placeholder={plan.money.total ? String(plan.money.total) : common.unknown}
        bind:value={spent}
        aria-invalid={!!job.fault("spent")}
      />{@render wrong("spent")}</label
    >
  </div>
  <label class="follow-ups"
    ><span>{texts.anythingLeftOpen}</span><textarea
      rows="2"
      bind:value={followUps}
      placeholder={texts.onePerLine}
      aria-invalid={!!job.fault("follow_ups")}
    ></textarea>{@render wrong("follow_ups")}</label
  >
  {#if questioned}<label class="row keep"
      ><input type="checkbox" bind:checked={keep} /><span>{texts.theOdometerIsRightAs}</span></label
    >{/if}
  {#each plan.symptoms as symptom (symptom.id)}
    <fieldset class="symptom">
      <legend>{say(texts.noticedBefore, { symptom: symptom.label })}</legend>
      <label class="row keep"
        ><input type="radio" name={symptom.id} onchange={() => (gone[symptom.id] = true)} /><span>{texts.itIsGone}</span
        ></label
      >
      <label class="row keep"
        ><input type="radio" name={symptom.id} onchange={() => (gone[symptom.id] = false)} /><span
          >{texts.itIsStillThere}</span
        ></label
      >
      {@render wrong(`symptoms.${symptom.id}`)}
    </fieldset>
  {/each}
  {#if undriven}
    <div class="undriven">
      <p><strong>{texts.doNotDrive}.</strong> {plan.stops.join(" ")}</p>
      <label class="row keep"
        ><input type="checkbox" bind:checked={parked} /><span>{texts.togetherNotDriven}</span></label
      >
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
  .finish .follow-ups {
    width: min(44rem, 100%);
    max-width: none;
    display: grid;
    gap: 0.25rem;
    font-weight: 600;
  }
  .symptom {
    border: 0;
    margin: 0;
    padding: 0;
    display: flex;
    flex-wrap: wrap;
    gap: 0.25rem 1.5rem;
  }
  .symptom legend {
    font-weight: 600;
    padding: 0;
  }
  .undriven {
    border-left: 8px solid var(--stop);
    padding-left: 0.75rem;
    display: grid;
    gap: 0.4rem;
  }
  .undriven p {
    margin: 0;
  }
  textarea {
    font: inherit;
    font-weight: 400;
    background: var(--sheet);
    color: var(--ink);
    border: 1px solid var(--quiet);
    padding: 0.4rem 0.5rem;
  }
  .finish {
    display: grid;
    gap: 0.75rem;
    border-left: 6px solid var(--petrol);
  }
  .fields {
    align-items: start;
  }
  label {
    display: grid;
    gap: 0.25rem;
    font-weight: 600;
    line-height: 1.3;
    max-width: 18rem;
  }
  label.keep {
    display: flex;
    max-width: none;
  }
  input:not([type]),
  input[inputmode] {
    font: inherit;
    font-size: 1.05rem;
    min-height: 48px;
    border: 1px solid var(--quiet);
    background: var(--sheet);
    color: var(--ink);
    padding: 0 0.5rem;
  }
  input[type="radio"],
  input[type="checkbox"] {
    width: 1.4rem;
    height: 1.4rem;
    accent-color: var(--petrol);
  }
  ul {
    margin: 0.2rem 0 0;
    padding-left: 1.2rem;
    list-style: disc;
    display: grid;
    gap: 0.2rem;
  }
</style>
