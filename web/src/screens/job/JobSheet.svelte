<script lang="ts">
  import * as common from "../../texts/common";
  import * as texts from "../../texts/job";
  import { Button } from "carbon-components-svelte";
  import type { JobPlanState } from "../../parts/jobPlan.svelte";
  import JobMoney from "./JobMoney.svelte";
  import JobParts from "./JobParts.svelte";
  import JobReady from "./JobReady.svelte";
  import JobSteps from "./JobSteps.svelte";
  import JobTools from "./JobTools.svelte";
  import JobTorque from "./JobTorque.svelte";

  /** The whole job on one page, to print from the browser; or as a PDF with room for the day's readings. */
  let { job }: { job: JobPlanState } = $props();
  const plan = $derived(job.plan!);
</script>

<div class="row no-print">
  <Button size="field" href="/api/v1/jobs/{plan.id}/sheet.pdf?paper=a4" target="_blank">{texts.jobSheetPdf}</Button>
  <Button size="field" kind="tertiary" href="/api/v1/jobs/{plan.id}/sheet.pdf?paper=letter" target="_blank"
    >{texts.letterPDF}</Button
  >
  <Button size="field" kind="tertiary" href="/api/v1/jobs/{plan.id}/card.pdf?paper=a4" target="_blank"
    >{texts.wallCardPDF}</Button
  >
  <Button size="field" kind="ghost" on:click={() => window.print()}>{texts.printThisPage}</Button>
</div>
<div class="printed">
  <JobReady {job} />
  <h2>{texts.torque}</h2>
  <JobTorque {job} />
  <h2>{texts.parts}</h2>
  <JobParts {job} />
  <JobTools {job} />
  <JobMoney {job} />
  <h2>{common.steps}</h2>
  <JobSteps {job} whole />
</div>

<style>
  .printed {
    display: grid;
    grid-template-columns: minmax(0, 1fr);
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
