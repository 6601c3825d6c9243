<script lang="ts">
  import CheckField from "../../parts/controls/CheckField.svelte";
  import PlainButton from "../../parts/controls/PlainButton.svelte";
  import * as common from "../../texts/common";
  import * as texts from "../../texts/job";
  import { say } from "../../texts/say";
  import { Button } from "carbon-components-svelte";
  import { lowerFirst, upperFirst } from "../../format/words";
  import type { JobPlanState } from "../../parts/jobPlan.svelte";
  import SupplyForm from "./SupplyForm.svelte";

  /** Tools compared with those owned, consumables with amounts, and lubricants by place. */
  let { job }: { job: JobPlanState } = $props();
  const plan = $derived(job.plan!);
  const missing = $derived(plan.tools.filter((tool) => tool.status === "missing"));
  const there = $derived(plan.tools.filter((tool) => tool.status !== "missing"));
  let entering = $state<string | null>(null);
</script>

<div class="columns">
  <section class="sheet">
    <h2>
      {missing.length
        ? say(texts.countOfToolsMissing, { count: missing.length, of: plan.tools.length })
        : texts.allToolsThere}
    </h2>
    <ul class="plain-list rows">
      {#each missing as tool (tool.id)}
        <li>
          <p>
            <strong>{tool.label}</strong>{#if tool.special}{" "}<span class="tag">{texts.rarelyOwned}</span>{/if}
          </p>
          {#if tool.uses.length}<p class="quiet">{upperFirst(tool.uses.join("; "))}</p>{/if}
          {#if tool.never}<p class="never">{upperFirst(tool.never)}.</p>{/if}
          {#if tool.note}<p class="quiet">{tool.note}</p>{/if}
          {#if job.open}
            <div class="row actions">
              <Button size="small" kind="tertiary" on:click={() => job.own(tool.id, true)}>{texts.iOwnIt}</Button>
              <CheckField
                checked={tool.resolved}
                oncheck={(on) => job.resolve([tool.resolves], on)}
                label={texts.borrowedForThisJob}
              />
              <PlainButton look="link" onclick={() => (entering = `tool:${tool.id}`)}
                >{tool.supply?.price ? `${plan.money.currency} ${tool.supply.price}` : texts.whatItCosts}</PlainButton
              >
            </div>
            {#if entering === `tool:${tool.id}`}<SupplyForm
                {job}
                about={{ kind: "tool", item: tool.id }}
                known={tool.supply}
                done={() => (entering = null)}
              />{/if}
          {/if}
        </li>
      {/each}
    </ul>
  </section>
  <section class="sheet">
    <h2>{texts.consumables}</h2>
    <ul class="plain-list rows">
      {#each plan.consumables as each (each.id)}
        <li class:have={each.state !== "buy"}>
          <p>
            <strong>{each.label}: {each.said}</strong>{each.have
              ? `, ${say(texts.haveOnTheShelf, { have: each.have })}`
              : ""}
          </p>
          <p class="quiet">{upperFirst(each.note)}</p>
          {#if job.open && each.state !== "shelf"}
            <div class="row actions">
              <CheckField
                checked={each.state === "resolved"}
                oncheck={(on) => job.resolve([each.resolves], on)}
                label={texts.iHaveEnough}
              />
              <PlainButton look="link" onclick={() => (entering = `consumable:${each.id}`)}
                >{each.supply ? texts.changeShelfOrPrice : texts.noteShelfOrPrice}</PlainButton
              >
            </div>
            {#if entering === `consumable:${each.id}`}<SupplyForm
                {job}
                about={{ kind: "consumable", item: each.id }}
                known={each.supply}
                done={() => (entering = null)}
              />{/if}
          {/if}
        </li>
      {/each}
    </ul>
  </section>
</div>
<section class="sheet scroll">
  <h2>{texts.lubricationChart} <span class="quiet">{texts.lubricantNote}</span></h2>
  <table>
    <thead><tr><th>{texts.place}</th><th>{texts.yes}</th><th>{texts.never}</th></tr></thead>
    <tbody
      >{#each plan.places as place (place.place)}<tr
          ><th scope="row">{place.place}</th><td>{place.use}</td><td class="never">{place.never}</td></tr
        >{/each}</tbody
    >
  </table>
</section>
<section class="sheet">
  <h2>{texts.toolsYouHave}</h2>
  {#if there.length}
    <ul class="have-list">
      {#each there as tool (tool.id)}<li>
          {tool.label}{#if tool.by}: <strong>{say(texts.byInstead, { by: lowerFirst(tool.by) })}</strong
            >{/if}{#if tool.uses.length}{" "}<span class="quiet">({tool.uses.join("; ")})</span>{/if}
        </li>{/each}
    </ul>
  {:else}
    <p>{texts.noneTickedYet} <a href="#/workshop">{common.workshop}</a> {texts.whatYouOwn}</p>
  {/if}
</section>

<style>
  .rows li {
    padding: 0.5rem 0;
    border-top: 1px solid var(--line);
  }
  .rows li:first-child {
    border-top: 0;
  }
  .rows p {
    line-height: 1.35;
  }
  .never {
    color: var(--stop);
  }
  .tag {
    border: 1px solid currentColor;
    font-size: 0.8125rem;
    padding: 0 0.35rem;
    color: var(--plan);
    white-space: nowrap;
  }
  .have > p strong {
    font-weight: 400;
  }
  .actions {
    gap: 0 1.1rem;
  }
  .have-list {
    margin: 0;
    padding-left: 1.1rem;
    list-style: disc;
    columns: 2 18rem;
  }
  table th[scope="row"] {
    min-width: 9rem;
  }
</style>
