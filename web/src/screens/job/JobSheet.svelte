<script lang="ts">
  import { Button } from "carbon-components-svelte";
  import type { JobPlanState } from "./jobPlan.svelte";
  import JobMoney from "./JobMoney.svelte";
  import JobParts from "./JobParts.svelte";
  import JobReady from "./JobReady.svelte";
  import JobSteps from "./JobSteps.svelte";
  import JobTools from "./JobTools.svelte";
  import JobTorque from "./JobTorque.svelte";

  /** Everything of a job on one page, to print from the browser; or as a PDF with room for what is read on the day. */
  let { job }: { job: JobPlanState } = $props();
  const plan = $derived(job.plan!);
</script>

<div class="row no-print">
  <Button size="field" href="/api/v1/jobs/{plan.id}/sheet.pdf?paper=a4" target="_blank">Job sheet, A4 (PDF)</Button>
  <Button size="field" kind="tertiary" href="/api/v1/jobs/{plan.id}/sheet.pdf?paper=letter" target="_blank"
    >Letter (PDF)</Button
  >
  <Button size="field" kind="ghost" on:click={() => window.print()}>Print this page</Button>
</div>
<div class="printed">
  <JobReady {job} />
  <h2>Torque</h2>
  <JobTorque {job} />
  <h2>Parts</h2>
  <JobParts {job} />
  <JobTools {job} />
  <JobMoney {job} />
  <h2>Steps</h2>
  <JobSteps {job} />
</div>

<style>
  .printed {
    display: grid;
    gap: 1rem;
  }
  @media print {
    .printed :global(button),
    .printed :global(form),
    .printed :global(.actions) {
      display: none;
    }
  }
</style>
