<script lang="ts">
  import { Button, ProgressBar } from "carbon-components-svelte";
  import { Refusal } from "../../api/client";
  import ColumnMeaning from "./ColumnMeaning.svelte";
  import Problem from "../../parts/Problem.svelte";
  import { day } from "../../format/words";
  import { TableImport } from "./tableImport.svelte";

  let { params }: { params: { id: string } } = $props();
  const table = $derived(new TableImport(Number(params.id)));
  $effect(() => {
    table.load();
  });
  const faults = $derived(table.error instanceof Refusal ? table.error.faults : []);

  function chosen(event: Event) {
    const file = (event.currentTarget as HTMLInputElement).files?.[0];
    if (file) void table.upload(file);
  }
  const count = (number: number, one: string) => `${number.toLocaleString("en-GB")} ${one}${number === 1 ? "" : "s"}`;
</script>

<svelte:head><title>Bring in a spreadsheet - Graver</title></svelte:head>
<div class="stack">
  <div>
    <p class="quiet"><a href="#/vehicles/{table.vehicle}">Back to the vehicle</a></p>
    <h1>Import a spreadsheet</h1>
  </div>
  {#if !table.table}
    <section class="sheet stack">
      <p>
        Save it as CSV. One reading a row, or one look-over a row with a column for each pad and rotor: both will do.
        Nothing is taken before you have seen what it would be, and what was taken can be undone.
      </p>
      <label class="file"
        >Choose the file <input type="file" accept=".csv,.txt,.tsv,text/csv" onchange={chosen} /></label
      >
    </section>
  {/if}
  {#if table.done?.result}
    <p class="sheet" role="status">
      <strong
        >{count(table.done.result.readings, "reading")} from {count(table.done.result.look_overs, "service")} taken in.</strong
      > <a href="#/vehicles/{table.vehicle}">See the vehicle</a>
    </p>
  {/if}
  {#if table.error && faults.length === 0}<Problem error={table.error} />{/if}
  {#if table.table && table.mapping}
    <section class="sheet stack">
      <h2>{table.table.name || "Your table"}: {count(table.table.rows, "row")}</h2>
      <p class="quiet">Say what each column is. Graver has guessed; look it over.</p>
      <div class="row">
        <label
          >Days are written
          <select bind:value={table.mapping.date.format} onchange={() => table.try()}>
            <option value="iso">2025-04-12</option>
            <option value="dmy">12.04.2025, day first</option>
            <option value="mdy">04/12/2025, month first</option>
            <option value="ymd">2025.04.12 or 20250412</option>
          </select>
        </label>
        {#if !table.mapping.odometer_unit}
          <label
            >The odometer counts
            <select bind:value={table.mapping.odometer.unit} onchange={() => table.try()}
              ><option value="km">kilometres</option><option value="mi">miles</option></select
            >
          </label>
        {/if}
      </div>
      <div class="scroll">
        <table>
          <thead>
            <tr
              >{#each table.table.header as name, column (column)}<th
                  ><span class="name">{name || `column ${column + 1}`}</span><ColumnMeaning
                    {table}
                    {column}
                    {name}
                  /></th
                >{/each}</tr
            >
          </thead>
          <tbody>
            {#each table.table.sample as row, at (at)}<tr
                >{#each row as cell, column (column)}<td>{cell}</td>{/each}</tr
              >{/each}
          </tbody>
        </table>
      </div>
      {#each faults as fault (fault.field)}<p class="fault" role="alert">{fault.message}</p>{/each}
    </section>
    {#if table.trial}
      <section class="sheet stack">
        <h2>What would be taken</h2>
        <p class="big">
          <span class="number">{count(table.trial.readings, "reading")}</span> from {count(
            table.trial.look_overs,
            "service",
          )}{#if table.trial.from}, {day(table.trial.from)} to {day(table.trial.to!)}{/if}.
          {#if table.trial.duplicates}<br />{count(table.trial.duplicates, "reading")} left out: the log has {table
              .trial.duplicates === 1
              ? "it"
              : "them"} already.{/if}
          {#if table.trial.bad_rows}<br />{count(table.trial.bad_rows, "row")} left out, for these reasons:{/if}
        </p>
        {#if table.trial.faults.length}
          <ul class="plain-list faults">
            {#each table.trial.faults.slice(0, 40) as fault, at (at)}<li>
                line {fault.line}, {fault.column}: {fault.message}
              </li>{/each}
            {#if table.trial.faults.length > 40}<li>and more like these</li>{/if}
          </ul>
        {/if}
        {#if table.running}
          <ProgressBar
            value={(table.running.share ?? 0) * 100}
            max={100}
            labelText="Taking it in"
            helperText="{Math.round((table.running.share ?? 0) * 100)} %"
          />
        {:else}
          <div class="row">
            <Button disabled={table.busy || table.trial.readings === 0} on:click={() => table.run()}
              >Take in {count(table.trial.readings, "reading")}</Button
            >
            <Button kind="ghost" on:click={() => (table.table = null)}>Another file</Button>
          </div>
        {/if}
      </section>
    {:else if table.busy}<p class="quiet" role="status">Reading…</p>{/if}
  {/if}
  {#if table.earlier.length}
    <section class="sheet">
      <h2>Brought in before</h2>
      <ul class="plain-list earlier">
        {#each table.earlier as each (each.id)}
          <li class="row spread">
            <span
              >{each.name || "a table"}, {day(each.recorded_at.slice(0, 10))}: {count(
                each.result?.readings ?? 0,
                "reading",
              )}{each.state === "undone" ? ", undone" : ""}</span
            >
            {#if each.state === "done"}<Button size="small" kind="ghost" on:click={() => table.undo(each.id)}
                >Undo</Button
              >{/if}
          </li>
        {/each}
      </ul>
    </section>
  {/if}
</div>

<style>
  label {
    display: grid;
    gap: 0.2rem;
    font-weight: 600;
  }
  .file input {
    font: inherit;
    font-weight: 400;
    padding: 1rem;
    border: 2px dashed var(--quiet);
    background: var(--paper);
    color: var(--ink);
    max-width: 100%;
    box-sizing: border-box;
  }
  select {
    font: inherit;
    min-height: 48px;
    background: var(--sheet);
    color: var(--ink);
    border: 1px solid var(--quiet);
    padding: 0 0.5rem;
  }
  .scroll th {
    vertical-align: bottom;
    min-width: 9rem;
  }
  .name {
    display: block;
    color: var(--ink);
    margin-bottom: 0.3rem;
  }
  .big {
    font-size: 1.15rem;
  }
  .faults {
    max-height: 16rem;
    overflow: auto;
    color: var(--stop);
    display: grid;
    gap: 0.15rem;
  }
  .earlier li {
    border-top: 1px solid var(--line);
    padding: 0.25rem 0;
  }
</style>
