<script lang="ts">
  import SelectField from "../../parts/controls/SelectField.svelte";
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
    ["axle", ["front", "rear", "middle", "single"]],
    ["side", ["left", "right"]],
    ["part", ["pad", "rotor", "drum"]],
    ["pad", ["inner", "outer", "leading", "trailing"]],
    ["method", ["caliper", "micrometer", "rule", "gauge", "photo", "visual", "percent"]],
    ["unit", ["mm", "in", "32nd", "thou", "percent"]],
  ];

  function set(field: Pick, value: string) {
    reading![field] = { is: value };
    if (field === "part" && value !== "pad") delete reading!.pad;
    void table.try();
  }
</script>

<SelectField
  label={say(texts.nameIs, { name })}
  unseen
  value={role}
  options={[
    { id: "", label: texts.ignore },
    { id: "date", label: texts.theDay },
    { id: "odometer", label: texts.theOdometer },
    { id: "reading", label: texts.aThickness },
    { id: "note", label: texts.aNote },
    ...(perRow ? fields.map(([id, label]) => ({ id, label })) : []),
  ]}
  onchoose={(id) => table.setRole(column, id)}
/>
{#if reading}
  {@const said = choices
    .map(([field]) => reading[field]?.is)
    .filter(Boolean)
    .join(" ")}
  <details>
    <summary>{said || texts.seeItsOwnColumns}</summary>
    {#each choices as [field, values] (field)}
      {#if reading[field]?.column === undefined && !(field === "pad" && reading.part?.is !== "pad")}
        <SelectField
          label="{name}: {field}"
          unseen
          value={reading[field]?.is ?? ""}
          options={[...(reading[field]?.is ? [] : [{ id: "", label: "?" }]), ...values]}
          onchoose={(id) => set(field, id)}
        />
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
</style>
