<script lang="ts">
  import RadioField from "../../parts/controls/RadioField.svelte";
  import SelectField from "../../parts/controls/SelectField.svelte";
  import { currentPage } from "../../parts/currentPage.svelte";
  import * as common from "../../texts/common";
  import * as texts from "../../texts/import";
  import { say } from "../../texts/say";
  import { Button, ProgressBar } from "carbon-components-svelte";
  import { Refusal } from "../../api/client";
  import ColumnMeaning from "./ColumnMeaning.svelte";
  import Problem from "../../parts/Problem.svelte";
  import { day } from "../../format/words";
  import { TableImport } from "./tableImport.svelte";

  let { params }: { params: { id: string } } = $props();
  $effect(() => currentPage.at({ vehicle: Number(params.id) }, "log", common.importASpreadsheet));
  const table = $derived(new TableImport(Number(params.id)));
  $effect(() => {
    table.load();
  });
  const faults = $derived(table.error instanceof Refusal ? table.error.faults : []);

  function chosen(event: Event) {
    const file = (event.currentTarget as HTMLInputElement).files?.[0];
    if (file) void table.upload(file);
  }
  type Counted = typeof texts.readings | typeof texts.services | typeof texts.rows;
  const count = (count: number, of: Counted) => say(of, { shown: count.toLocaleString("en-GB"), count });
</script>

<div class="stack">
  <div>
    <h1>{common.importASpreadsheet}</h1>
  </div>
  {#if !table.table}
    <section class="sheet stack">
      <p>
        {texts.saveItAsCSVOne}
      </p>
      <label class="file"
        >{texts.chooseTheFile} <input type="file" accept=".csv,.txt,.tsv,text/csv" onchange={chosen} /></label
      >
    </section>
  {/if}
  {#if table.done?.result}
    <div class="sheet row spread" role="status">
      <strong
        >{say(texts.importedCount, {
          count: count(table.done.result.readings, texts.readings),
          count2: count(table.done.result.inspections, texts.services),
        })}</strong
      >
      <span class="row">
        <a href="#/vehicles/{table.vehicle}">{texts.openVehicle}</a>
        <Button size="small" kind="ghost" on:click={() => table.undo(table.done!.id)}>{texts.undoImport}</Button>
      </span>
    </div>
  {/if}
  {#if table.error && faults.length === 0}<Problem error={table.error} />{/if}
  {#if table.table && table.mapping}
    <section class="sheet stack">
      <h2>{table.table.name || texts.yourTable}: {count(table.table.rows, texts.rows)}</h2>
      <p class="quiet">{texts.columnsIntro}</p>
      <div class="row">
        <SelectField
          label={texts.daysAreWritten}
          bind:value={table.mapping.date.format}
          onchoose={() => table.try()}
          options={[
            { id: "iso", label: "2025-04-12" },
            { id: "dmy", label: texts.dateDayFirst },
            { id: "mdy", label: texts.dateMonthFirst },
            { id: "ymd", label: texts.dateYearFirst },
          ]}
        />
        {#if !table.mapping.odometer_unit}
          <SelectField
            label={texts.theOdometerCounts}
            value={table.mapping.odometer.unit ?? ""}
            onchoose={(unit) => ((table.mapping!.odometer.unit = unit), table.try())}
            options={[
              { id: "km", label: common.kilometres },
              { id: "mi", label: common.miles },
            ]}
          />
        {/if}
      </div>
      <div class="scroll">
        <table>
          <thead>
            <tr
              >{#each table.table.header as name, column (column)}<th
                  ><span class="name">{name || say(texts.columnValue, { value: column + 1 })}</span><ColumnMeaning
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
        <h2>{texts.whatWouldBeImported}</h2>
        <p class="big">
          <span class="number">{count(table.trial.readings, texts.readings)}</span>
          {say(texts.fromCount, { count: count(table.trial.inspections, texts.services) })}{#if table.trial.from}, {say(
              texts.dayRange,
              {
                day: day(table.trial.from),
                day2: day(table.trial.to!),
              },
            )}{/if}.
          {#if table.trial.duplicates}<br />{say(texts.leftOutCount, {
              count: count(table.trial.duplicates, texts.readings),
            })}{/if}
          {#if table.trial.bad_rows}<br />{say(texts.countLeftOutForThese, {
              count: count(table.trial.bad_rows, texts.rows),
            })}{/if}
        </p>
        {#if table.trial.faults.length}
          <ul class="plain-list faults">
            {#each table.trial.faults.slice(0, 40) as fault, at (at)}<li>
                {say(texts.lineLineColumnMessage, { line: fault.line, column: fault.column, message: fault.message })}
              </li>{/each}
            {#if table.trial.faults.length > 40}<li>{texts.andMoreLikeThese}</li>{/if}
          </ul>
        {/if}
        {#each table.trial.renewals as ask (ask.line + ask.text)}
          <fieldset class="row">
            <legend>{say(texts.lineText, { line: ask.line, text: ask.text })}</legend>
            <RadioField
              name={ask.text}
              id="new"
              chosen={ask.new ? "new" : "same"}
              onpick={() => void table.renewal(ask.line, true)}
              label={texts.newPartsHere}
            />
            <RadioField
              name={ask.text}
              id="same"
              chosen={ask.new ? "new" : "same"}
              onpick={() => void table.renewal(ask.line, false)}
              label={texts.noNewParts}
            />
          </fieldset>
        {/each}
        {#if table.running}
          <ProgressBar
            value={(table.running.share ?? 0) * 100}
            max={100}
            labelText={texts.importing}
            helperText="{Math.round((table.running.share ?? 0) * 100)} %"
          />
        {:else}
          <div class="row">
            <Button disabled={table.busy || table.trial.readings === 0} on:click={() => table.run()}
              >{say(texts.importCount, { count: count(table.trial.readings, texts.readings) })}</Button
            >
            <Button kind="ghost" on:click={() => (table.table = null)}>{texts.anotherFile}</Button>
          </div>
        {/if}
      </section>
    {:else if table.busy}<p class="quiet" role="status">{texts.reading}</p>{/if}
  {/if}
  {#if table.earlier.length}
    <section class="sheet">
      <h2>{texts.earlierImports}</h2>
      <ul class="plain-list earlier">
        {#each table.earlier as each (each.id)}
          <li class="row spread">
            <span
              >{each.name || texts.aTable}, {day(each.recorded_at.slice(0, 10))}: {count(
                each.result?.readings ?? 0,
                texts.readings,
              )}{each.state === "undone" ? `, ${texts.undone}` : ""}</span
            >
            {#if each.state === "done"}<Button size="small" kind="ghost" on:click={() => table.undo(each.id)}
                >{texts.undoImport}</Button
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
