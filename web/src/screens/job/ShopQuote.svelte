<script lang="ts">
  import TextField from "../../parts/controls/TextField.svelte";
  import PlainButton from "../../parts/controls/PlainButton.svelte";
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
  <form class="" onsubmit={keep} novalidate>
    {#each lines as line, at (at)}
      <div class="row line">
        <TextField
          label={texts.quoteLine}
          width="long"
          maxlength={60}
          bind:value={line.what}
          fault={job.fault(`lines.${at}.what`)}
        />
        <TextField
          label={currency}
          inputmode="decimal"
          bind:value={line.amount}
          fault={job.fault(`lines.${at}.amount`)}
        />
        <PlainButton look="link" onclick={() => (lines = lines.filter((_, index) => index !== at))}
          >{texts.removeLine}</PlainButton
        >
      </div>
      <Fault text={job.fault(`lines.${at}.what`) || job.fault(`lines.${at}.amount`)} />
    {/each}
    <PlainButton look="link" onclick={() => (lines = [...lines, { what: "", amount: "" }])}
      >{texts.addALineOfTheQuote}</PlainButton
    >
    <div class="row">
      <TextField
        label={say(lines.length ? texts.totalOnThePaper : texts.quoteTitle, { currency })}
        inputmode="decimal"
        bind:value={total}
        fault={job.fault("total")}
      />
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
      {#if plan.quote !== null}<PlainButton look="link" onclick={() => job.quote(null, [])}
          >{texts.backToTheEstimate}</PlainButton
        >{/if}
    </p>
  {/if}
{/if}

<style>
  .line {
    align-items: end;
    flex-wrap: nowrap;
    width: 100%;
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
