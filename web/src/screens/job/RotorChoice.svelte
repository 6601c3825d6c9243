<script lang="ts">
  import RadioField from "../../parts/controls/RadioField.svelte";
  import TextField from "../../parts/controls/TextField.svelte";
  import * as common from "../../texts/common";
  import * as texts from "../../texts/job";
  import { say } from "../../texts/say";
  import { Button } from "carbon-components-svelte";
  import type { Schemas } from "../../api/client";
  import { ofBrake } from "../../format/words";
  import { chosenReasons, chosenWorks, withWork, type JobPlanState } from "../../parts/jobPlan.svelte";

  /** What becomes of an axle's rotors: as the verdict says, or something else for a reason. */
  interface Props {
    job: JobPlanState;
    axle: Schemas["AxleScope"];
    brakes: Schemas["Brakes"] | undefined;
  }
  let { job, axle, brakes }: Props = $props();
  const ROTORS = [
    ["stay", "stay"],
    ["turn", texts.areMachined],
    ["new", texts.newOnes],
  ] as const;
  // Something else waits for its reason before it is sent.
  let wanted = $state<string | null>(null);
  let reason = $state("");

  async function choose(choice: string, because = "") {
    const chosen = chosenWorks(job.plan!);
    chosen[axle.id] = [
      ...(chosen[axle.id] ?? []).filter((work) => !Object.values(axle.rotors.works).includes(work)),
      ...(choice === "stay" ? [] : [axle.rotors.works[choice]!]),
    ];
    if (choice !== "stay") chosen[axle.id] = withWork(axle, chosen[axle.id]!, axle.rotors.works[choice]!, true);
    const reasons = { ...chosenReasons(job.plan!), ...(because ? { [axle.id]: because } : {}) };
    const kept = await job.scope(chosen, reasons);
    if (kept) [wanted, reason] = [null, ""];
    else wanted = job.code(`reasons.${axle.id}`) ? choice : null;
    return kept || wanted !== null;
  }
</script>

<fieldset class="group" disabled={!job.open || job.busy}>
  <legend>{ofBrake(texts.theRotors, brakes)}</legend>
  <div class="row">
    {#each ROTORS.filter(([id]) => id === "stay" || id in axle.rotors.works) as [id, label] (id)}
      <RadioField
        name="rotors-{axle.id}"
        {id}
        chosen={wanted ?? axle.rotors.chosen}
        onpick={() => choose(id)}
        {label}
      />
    {/each}
  </div>
  <p class="quiet">
    {say(texts.verdictVerdict, {
      verdict: axle.rotors.verdict,
    })}{#if axle.rotors.reason && axle.rotors.chosen !== axle.rotors.proposed}. {say(texts.yourReasonReason, {
        reason: axle.rotors.reason,
      })}{/if}
  </p>
  {#if wanted}
    <div class="row">
      <TextField label={texts.reasonAgainstTheVerdict} width="long" maxlength={500} bind:value={reason} />
      <Button size="field" on:click={() => choose(wanted!, reason)}>{texts.confirm}</Button>
      <Button size="field" kind="ghost" on:click={() => (wanted = null)}>{common.cancel}</Button>
    </div>
  {/if}
</fieldset>

<style>
  fieldset {
    border-top: 1px solid var(--line);
    padding-top: 0.6rem;
  }
</style>
