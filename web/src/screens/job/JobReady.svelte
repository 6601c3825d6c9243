<script lang="ts">
  import CheckField from "../../parts/controls/CheckField.svelte";
  import PlainButton from "../../parts/controls/PlainButton.svelte";
  import * as texts from "../../texts/job";
  import { say } from "../../texts/say";
  import type { Schemas } from "../../api/client";
  import type { JobPlanState } from "../../parts/jobPlan.svelte";

  /** The open items of a job, and what to do about each. */
  let { job }: { job: JobPlanState } = $props();
  const plan = $derived(job.plan!);
  const groups = $derived.by(() => {
    const found = new Map<string, Schemas["ReadinessItem"][]>();
    for (const item of plan.readiness) found.set(item.label, [...(found.get(item.label) ?? []), item]);
    // Open items first; notes last.
    const rank = (item: Schemas["ReadinessItem"]) => (item.resolved ? 2 : item.blocks ? 0 : 1);
    return [...found]
      .map(([label, items]) => ({
        label,
        items: [...items].sort((one, other) => rank(one) - rank(other)),
        open: items.filter((item) => item.blocks && !item.resolved).length,
        have: items.filter((item) => HAD.includes(item.kind) && item.tickable && !item.resolved).map((item) => item.id),
      }))
      .sort((one, other) => Math.sign(other.open) - Math.sign(one.open));
  });
  // Items that are at hand or not; all others are asked one by one.
  const HAD = ["parts", "spares", "tools", "consumables"];
  const tool = (item: Schemas["ReadinessItem"]) => (item.kind === "tools" ? item.about : null);
  const known = (id: string) => plan.tools.some((each) => each.id === id);
</script>

<div class="groups">
  {#each groups as group (group.label)}
    <section class="sheet group" class:done={group.open === 0}>
      <h2>
        {group.label}
        <span class="count">{group.open ? say(texts.openOpen, { open: group.open }) : texts.notBlocking}</span>
      </h2>
      {#if group.have.length > 1 && job.open}
        <PlainButton look="link" onclick={() => job.resolve(group.have, true)}>{texts.haveAllOfThese}</PlainButton>
      {/if}
      <ul class="plain-list">
        {#each group.items as item (item.id)}
          <li class:resolved={item.resolved} class:advice={!item.blocks}>
            {#if item.tickable && job.open}
              <CheckField checked={item.resolved} oncheck={(on) => job.resolve([item.id], on)}
                ><span class="what">{item.text}</span></CheckField
              >
            {:else}
              <p class="what plain">{item.text}</p>
            {/if}
            {#if !item.resolved}
              <p class="todo">
                {item.todo}
                {#if item.axle_id}<a href="#/axles/{item.axle_id}/brake-data">{texts.fillInTheBrakeData}</a>{/if}
                {#if item.kind === "parts" && job.open}<a href="#/jobs/{plan.id}/parts">{texts.parts}</a>{/if}
                {#if tool(item) && known(tool(item)!) && job.open}<PlainButton
                    look="link"
                    onclick={() => job.own(tool(item)!, true)}>{texts.iOwnIt}</PlainButton
                  >{/if}
              </p>
            {/if}
          </li>
        {/each}
      </ul>
    </section>
  {/each}
</div>

<style>
  .groups {
    columns: 2 24rem;
    column-gap: 1rem;
  }
  .group {
    break-inside: avoid;
    margin-bottom: 1rem;
    border-left: 6px solid var(--plan);
  }
  .group.done {
    border-left-color: var(--good);
  }
  h2 {
    display: flex;
    justify-content: space-between;
    align-items: baseline;
    gap: 1rem;
  }
  .count {
    font-size: 0.9375rem;
    color: var(--plan);
    font-weight: 600;
  }
  .done .count {
    color: var(--good);
    font-weight: 400;
  }
  li {
    padding: 0.45rem 0;
    border-top: 1px solid var(--line);
  }
  li:first-child {
    border-top: 0;
  }
  .what {
    font-weight: 600;
    line-height: 1.35;
    font-size: 1rem;
  }
  .advice .what {
    font-weight: 400;
  }
  .plain,
  .todo {
    padding-left: 2rem;
  }
  .todo {
    line-height: 1.35;
    color: var(--quiet);
  }
  .todo a {
    white-space: nowrap;
    margin-left: 0.35rem;
  }
  .resolved .what {
    font-weight: 400;
    color: var(--quiet);
    text-decoration: line-through;
    text-decoration-thickness: 1px;
  }
  @media (max-width: 40rem) {
    .plain,
    .todo {
      padding-left: 2.6rem;
    }
  }
</style>
