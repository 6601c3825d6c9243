<script lang="ts">
  import "../../parts/fields.css";
  import * as common from "../../texts/common";
  import * as texts from "../../texts/job";
  import { say } from "../../texts/say";
  import { Button } from "carbon-components-svelte";
  import { money } from "../../format/jobs";
  import Fault from "../../parts/Fault.svelte";
  import type { JobPlanState } from "../../parts/jobPlan.svelte";

  /** A shop's quote for the same job: one sum, or line by line. */
  let { job }: { job: JobPlanState } = $props();
  const plan = $derived(job.plan!);
  const currency = $derived(plan.money.currency);
  let lines = $state<{ what: string; amount: string }[]>([]);
  let total = $state("");
  let editing = $state(false);

  function edit() {
    lines = plan.quote_lines.map((line) => ({ what: line.what, amount: String(line.amount) }));
    total = plan.quote_lines.length ? "" : plan.quote === null ? "" : String(plan.quote);
    editing = true;
  }
  async function keep(event: SubmitEvent) {
    event.preventDefault();
    const filled = lines.filter((line) => line.what.trim() || line.amount.trim());
    lines = filled;
    if (await job.quote(total.trim() || null, filled)) editing = false;
  }
</script>

{#if editing}
  <form class="fields" onsubmit={keep} novalidate>
    {#each lines as line, at (at)}
      <div class="row line">
        <label class="grow"
          ><span>{texts.quoteLine}</span><input
            autocomplete="off"
            maxlength="60"
            bind:value={line.what}
            aria-invalid={!!job.fault(`lines.${at}.what`)}
          /></label
        >
        <label class="amount"
          ><span>{currency}</span><input
            inputmode="decimal"
            autocomplete="off"
            bind:value={line.amount}
            aria-invalid={!!job.fault(`lines.${at}.amount`)}
          /></label
        >
        <button type="button" class="link" onclick={() => (lines = lines.filter((_, index) => index !== at))}
          >{texts.removeLine}</button
        >
      </div>
      <Fault text={job.fault(`lines.${at}.what`) || job.fault(`lines.${at}.amount`)} />
    {/each}
    <button type="button" class="link" onclick={() => (lines = [...lines, { what: "", amount: "" }])}
      >{texts.addALineOfTheQuote}</button
    >
    <div class="row">
      <label
        ><span>{say(lines.length ? texts.totalOnThePaper : texts.quoteTitle, { currency })}</span><input
          inputmode="decimal"
          autocomplete="off"
          bind:value={total}
          aria-invalid={!!job.fault("total")}
        /></label
      >
      <Button type="submit" size="field" disabled={job.busy}>{texts.saveQuote}</Button>
      <Button size="field" kind="ghost" on:click={() => (editing = false)}>{common.cancel}</Button>
    </div>
    <Fault text={job.fault("total")} />
  </form>
{:else}
  {#if plan.quote_lines.length}
    <table>
      <caption>{texts.theShopsQuote}</caption>
      <tbody>
        {#each plan.quote_lines as line, at (at)}
          <tr><th scope="row">{line.what}</th><td class="number">{money(line.amount, currency)}</td></tr>
        {/each}
      </tbody>
      <tfoot>
        <tr><th scope="row">{texts.total}</th><td class="number">{money(plan.quote!, currency)}</td></tr>
      </tfoot>
    </table>
  {/if}
  {#if job.open}
    <p class="row">
      <Button size="field" kind="tertiary" on:click={edit}
        >{plan.quote === null ? texts.enterAShopsQuote : texts.changeTheQuote}</Button
      >
      {#if plan.quote !== null}<button type="button" class="link" onclick={() => job.quote(null, [])}
          >{texts.backToTheEstimate}</button
        >{/if}
    </p>
  {/if}
{/if}

<style>
  .fields {
    display: grid;
    gap: 0.75rem;
    justify-items: start;
    margin-top: 0.75rem;
  }
  .line {
    align-items: end;
    flex-wrap: nowrap;
    width: 100%;
  }
  .amount {
    flex: 0 0 7rem;
  }
  .grow {
    flex: 1 1 12rem;
  }
  table {
    margin-top: 0.75rem;
    border-collapse: collapse;
    width: 100%;
    max-width: 30rem;
  }
  caption {
    text-align: left;
    font-weight: 600;
  }
  th {
    text-align: left;
    font-weight: 400;
  }
  td {
    text-align: right;
  }
  th,
  td {
    padding: 0.25rem 0;
    border-bottom: 1px solid var(--line);
  }
  tfoot th,
  tfoot td {
    font-weight: 600;
    border-bottom: 0;
  }
</style>
