<script lang="ts">
  import TextField from "../../parts/controls/TextField.svelte";
  import * as texts from "../../texts/job";
  import { say } from "../../texts/say";
  import { Button } from "carbon-components-svelte";
  import type { Schemas } from "../../api/client";
  import { chosenWorks, type JobPlanState } from "../../parts/jobPlan.svelte";

  /** A reading in the middle of the job changed its work: stop, replan, buy. */
  let { job }: { job: JobPlanState } = $props();
  const plan = $derived(job.plan!);
  let because = $state("");
  const reasons = () =>
    Object.fromEntries(
      plan.scope.axles.filter((axle) => axle.rotors.reason).map((axle) => [axle.id, axle.rotors.reason!]),
    );

  const anew = (halt: Schemas["JobHalt"]) => job.scope({ ...chosenWorks(plan), [halt.axle_id]: halt.works }, reasons());
  async function stay(event: SubmitEvent, halt: Schemas["JobHalt"]) {
    event.preventDefault();
    if (await job.scope(chosenWorks(plan), { ...reasons(), [halt.axle_id]: because })) because = "";
  }
</script>

{#each plan.halts as halt (halt.axle_id)}
  <section class="sheet halt" role="alert">
    <h2>{say(texts.stopHereTheAxleRotors, { axle: halt.axle })}</h2>
    <p>{halt.text}</p>
    {#if halt.buy.length}<p><strong>{texts.toBuyNow}</strong> {halt.buy.join("; ")}.</p>{/if}
    {#if job.fault(`axles.${halt.axle_id}`)}<p class="fault" role="alert">
        {job.fault(`axles.${halt.axle_id}`)}
        <a href="#/axles/{halt.axle_id}/brake-data">{texts.toBrakeData}</a>
      </p>{/if}
    <div class="row">
      <Button size="field" disabled={job.busy} on:click={() => anew(halt)}>{halt.action}</Button>
      {#if !halt.must}
        <form class="row grow" onsubmit={(event) => stay(event, halt)} novalidate>
          <TextField label={texts.reasonToGoOnAs} width="long" maxlength={500} bind:value={because} />
          <Button type="submit" size="field" kind="tertiary" disabled={!because.trim()}>{texts.goAheadAnyway}</Button>
        </form>
      {/if}
    </div>
  </section>
{/each}

<style>
  .halt {
    border-left: 8px solid var(--stop);
    display: grid;
    gap: 0.6rem;
  }
  .halt h2 {
    color: var(--stop);
    margin: 0;
  }
</style>
