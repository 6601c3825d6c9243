<script lang="ts">
  import * as common from "../../texts/common";
  import * as texts from "../../texts/import";
  import { say } from "../../texts/say";
  import type { TableImport } from "./tableImport.svelte";

  /** The meaning of one column of the owner's table. */
  let { table, column, name }: { table: TableImport; column: number; name: string } = $props();
  const role = $derived(table.roleOf(column));
  const reading = $derived(role === "reading" ? table.mapping!.readings.find((each) => each.column === column)! : null);
  // In a table with one reading a row these come from columns of their own.
  const perRow = $derived(
    table.mapping!.readings.some((each) => each.axle?.column !== undefined || each.side?.column !== undefined),
  );
  const fields: [string, string][] = [
    ["axle", texts.frontOrRear],
    ["side", texts.leftOrRight],
    ["part", texts.padOrRotor],
    ["pad", texts.innerOrOuter],
    ["event", texts.whatHappened],
    ["method", texts.readBy],
    ["unit", "unit"],
    ["upper", texts.gaugeThatDoesntFit],
    ["overall", common.withPlate],
    ["places", "places"],
    ["entered", texts.asEntered],
    ["doubt", "doubt"],
  ];

  type Pick = "axle" | "side" | "part" | "pad" | "method" | "unit";
  const choices: [Pick, string[]][] = [
    ["axle", ["front", "rear"]],
    ["side", ["left", "right"]],
    ["part", ["pad", "rotor"]],
    ["pad", ["inner", "outer"]],
    ["method", ["caliper", "micrometer", "rule", "gauge", "visual", "percent"]],
    ["unit", ["mm", "in", "32nd", "thou", "percent"]],
  ];

  function set(field: Pick, value: string) {
    reading![field] = { is: value };
    if (field === "part" && value === "rotor") delete reading!.pad;
    void table.try();
  }
</script>

<select
  aria-label={say(texts.nameIs, { name })}
  value={role}
  onchange={(event) => table.setRole(column, event.currentTarget.value)}
>
  <option value="">{texts.ignore}</option>
  <option value="date">{texts.theDay}</option>
  <option value="odometer">{texts.theOdometer}</option>
  <option value="reading">{texts.aThickness}</option>
  <option value="note">{texts.aNote}</option>
  {#if perRow}{#each fields as [id, label] (id)}<option value={id}>{label}</option>{/each}{/if}
</select>
{#if reading}
  {@const said = choices
    .map(([field]) => reading[field]?.is)
    .filter(Boolean)
    .join(" ")}
  <details>
    <summary>{said || texts.seeItsOwnColumns}</summary>
    {#each choices as [field, values] (field)}
      {#if reading[field]?.column === undefined && !(field === "pad" && reading.part?.is === "rotor")}
        <select
          aria-label="{name}: {field}"
          value={reading[field]?.is ?? ""}
          onchange={(event) => set(field, event.currentTarget.value)}
        >
          {#if !reading[field]?.is}<option value="">?</option>{/if}
          {#each values as value (value)}<option {value}>{value}</option>{/each}
        </select>
      {/if}
    {/each}
  </details>
{/if}

<style>
  summary {
    cursor: pointer;
    font-size: 0.875rem;
    line-height: 1.25;
    color: var(--petrol);
    padding: 0.3rem 0;
  }
  select {
    display: block;
    font: inherit;
    font-size: 0.9375rem;
    min-height: 36px;
    width: 100%;
    background: var(--sheet);
    color: var(--ink);
    border: 1px solid var(--quiet);
    margin-top: 0.2rem;
  }
</style>
