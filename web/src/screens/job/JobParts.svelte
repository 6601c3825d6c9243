<script lang="ts">
  import * as texts from "../../texts/job";
  import { say } from "../../texts/say";
  import { money } from "../../format/jobs";
  import { day } from "../../format/words";
  import type { JobPlanState } from "../../parts/jobPlan.svelte";
  import Fault from "../../parts/Fault.svelte";
  import { JobPartsState } from "./jobParts.svelte";
  import PartLine from "./PartLine.svelte";

  /** Parts: those without a choice, those to order, those at hand. */
  let { job }: { job: JobPlanState } = $props();
  const plan = $derived(job.plan!);
  const parts = $derived(new JobPartsState(job));
</script>

{#if plan.parts.length}
  <Fault text={parts.asking.first} />
  <div class="row spread head">
    <p>
      {#if parts.count("choose")}{say(texts.partsWithoutAChoice, { count: parts.count("choose") })}{" "}{/if}
      {#if parts.count("order") + parts.count("order", true)}{say(
          parts.orderBy ? texts.partsToOrderBy : texts.partsToOrder,
          {
            count: parts.count("order") + parts.count("order", true),
            sum: money(parts.sum, plan.money.currency),
            day: parts.orderBy ? day(parts.orderBy) : "",
          },
        )}
      {:else if !parts.count("choose")}{texts.allPartsThere}{/if}
    </p>
    {#if plan.id !== null}<a class="no-print" href="/api/v1/jobs/{plan.id}/parts.csv" download
        >{texts.saveTheShoppingListAs}</a
      >{/if}
  </div>
  {#each parts.groups as group (group.title)}
    <section class="sheet" aria-label={group.title}>
      <h2>{group.title} <span class="quiet number">{group.lines.length}</span></h2>
      {#each group.lines as line (line.id)}<PartLine {parts} {line} />{/each}
    </section>
  {/each}
{:else}
  <p class="sheet">{texts.noPartsNeeded}</p>
{/if}

<style>
  .head {
    align-items: baseline;
    gap: 0 1.5rem;
  }
  .head p {
    margin: 0.5rem 0;
    font-size: 1.25rem;
  }
  section {
    margin-bottom: 0.75rem;
  }
  h2 {
    margin: 0 0 0.4rem;
  }
</style>
