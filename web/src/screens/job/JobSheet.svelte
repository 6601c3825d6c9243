<script lang="ts">
  import * as common from "../../texts/common";
  import * as texts from "../../texts/job";
  import { say } from "../../texts/say";
  import { told } from "../../texts/pageData";
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
  /** The paper of where American English is spoken, and that of elsewhere; the household's own first. */
  const PAPERS = [
    { id: "letter", name: "Letter" },
    { id: "a4", name: "A4" },
  ] as const;
  const [own, other] = told("english") === "us" ? PAPERS : ([PAPERS[1], PAPERS[0]] as const);
</script>

<div class="row no-print">
  <Button size="field" href="/api/v1/jobs/{plan.id}/sheet.pdf?paper={own.id}" target="_blank"
    >{say(texts.jobSheetPdf, { paper: own.name })}</Button
  >
  <Button size="field" kind="tertiary" href="/api/v1/jobs/{plan.id}/sheet.pdf?paper={other.id}" target="_blank"
    >{say(texts.otherPaper, { paper: other.name })}</Button
  >
  <Button size="field" kind="tertiary" href="/api/v1/jobs/{plan.id}/card.pdf?paper={own.id}" target="_blank"
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
