<script lang="ts">
  import * as common from "../../texts/common";
  import * as texts from "../../texts/job";
  import { say } from "../../texts/say";
  import type { JobPlanState } from "../../parts/jobPlan.svelte";
  import { money, stepGroups } from "../../format/jobs";
  import { day } from "../../format/words";
  import JobMoney from "./JobMoney.svelte";
  import JobParts from "./JobParts.svelte";
  import JobReady from "./JobReady.svelte";
  import JobScope from "./JobScope.svelte";
  import JobSheet from "./JobSheet.svelte";
  import JobSteps from "./JobSteps.svelte";
  import JobTools from "./JobTools.svelte";
  import JobTorque from "./JobTorque.svelte";

  /** One job, part by part; each part has its own address. */
  let { job, part, base }: { job: JobPlanState; part: string; base: string } = $props();
  const plan = $derived(job.plan!);
  const open = $derived(plan.readiness.filter((item) => item.blocks && !item.resolved).length);
  const moves = $derived(stepGroups(plan.steps ?? []));
  const doneCount = $derived(
    moves.filter((each) => each.steps.every((step) => plan.ticked.includes(step.key) || step.deviation)).length,
  );
  const orderBy = $derived(plan.parts.flatMap((line) => line.order_by ?? []).sort()[0]);
  const PARTS = [
    ["ready", texts.ready, JobReady],
    ["scope", texts.scope, JobScope],
    ["parts", texts.parts, JobParts],
    ["tools", texts.toolsAndConsumables, JobTools],
    ["torque", texts.torque, JobTorque],
    ["steps", common.steps, JobSteps],
    ["money", texts.fluidTimeMoney, JobMoney],
    ["sheet", texts.sheet, JobSheet],
  ] as const;
  // A proposal has no sheet yet.
  const shown = $derived(PARTS.filter(([id]) => id !== "sheet" || plan.id !== null));
  const Shown = $derived((PARTS.find(([id]) => id === part) ?? PARTS[0])[2]);
</script>

<dl class="facts" class:working={plan.state === "in_progress"}>
  <div class:good={!open}>
    <dt>{texts.openItems}</dt>
    <dd class="number">{open || common.nothing}</dd>
  </div>
  <div>
    <dt>{texts.time}</dt>
    <dd class="number">{plan.money.hours.said}</dd>
  </div>
  <div>
    <dt>
      {texts.cost}{#if plan.money.shop !== null}{" "}<span class="quiet"
          >{say(texts.shopAsks, {
            money: `${plan.money.shop_from === "estimate" ? common.about : ""}${money(plan.money.shop, plan.money.currency)}`,
          })}</span
        >{/if}
    </dt>
    <dd class="number">
      {plan.money.total === 0 && plan.money.unpriced.length
        ? texts.noPricesYet
        : `${money(plan.money.total, plan.money.currency)}${plan.money.unpriced.length ? " +" : ""}`}
    </dd>
  </div>
  {#if orderBy}<div>
      <dt>{texts.orderPartsBy}</dt>
      <dd class="number">{day(orderBy)}</dd>
    </div>{/if}
</dl>
<nav class="parts no-print" aria-label={texts.partsOfTheJob}>
  {#each shown as [id, label] (id)}
    <a href="{base}/{id}" aria-current={part === id ? "page" : undefined}
      >{label}{#if id === "ready" && open}<span class="badge">{open}</span>{/if}{#if id === "steps" && plan.steps}<span
          class="badge">{plan.ticked.length ? `${doneCount}/` : ""}{moves.length}</span
        >{/if}</a
    >
  {/each}
</nav>
<div class="stack"><Shown {job} /></div>

<style>
  .facts {
    display: flex;
    flex-wrap: wrap;
    gap: 0.5rem 2.5rem;
    margin: 0;
  }
  .facts div {
    border-left: 4px solid var(--line);
    padding-left: 0.75rem;
  }
  .facts div:first-child {
    border-left-color: var(--plan);
  }
  .facts .good:first-child {
    border-left-color: var(--good);
  }
  /* While it is worked on, one line. */
  .working div {
    display: flex;
    gap: 0.5rem;
    align-items: baseline;
  }
  .working dd {
    font-size: 1.125rem;
  }
  dt {
    font-size: 0.9375rem;
    color: var(--quiet);
  }
  dd {
    margin: 0;
    font-size: 1.6rem;
    line-height: 1.15;
  }
  .parts {
    display: flex;
    flex-wrap: wrap;
    gap: 0 0.25rem;
    border-bottom: 2px solid var(--ink);
  }
  .parts a {
    display: flex;
    align-items: center;
    color: var(--ink);
    text-decoration: none;
    padding: 0 0.8rem;
    min-height: 48px;
    box-sizing: border-box;
    border-radius: 0;
  }
  .parts a:hover {
    text-decoration: underline;
  }
  .parts a[aria-current] {
    background: var(--ink);
    color: var(--sheet);
    font-weight: 600;
  }
  .badge {
    font-size: 0.8125rem;
    font-weight: 600;
    margin-left: 0.4rem;
    border: 1px solid currentColor;
    border-radius: 999px;
    padding: 0 0.4rem;
  }
  @media (max-width: 40rem) {
    .parts {
      flex-wrap: nowrap;
      overflow-x: auto;
    }
    .parts a {
      white-space: nowrap;
    }
    .facts {
      gap: 0.5rem 1.25rem;
    }
    dd {
      font-size: 1.25rem;
    }
  }
</style>
