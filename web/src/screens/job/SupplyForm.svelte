<script lang="ts">
  import SelectField from "../../parts/controls/SelectField.svelte";
  import TextField from "../../parts/controls/TextField.svelte";
  import { usualUnit } from "../../format/units";
  import * as common from "../../texts/common";
  import * as texts from "../../texts/job";
  import { say } from "../../texts/say";
  import { Button } from "carbon-components-svelte";
  import type { Schemas } from "../../api/client";
  import type { JobPlanState } from "../../parts/jobPlan.svelte";

  /** A part, consumable or tool of the owner's own. */
  interface Props {
    job: JobPlanState;
    about: Pick<Schemas["NewSupply"], "kind" | "item" | "axle">;
    measured?: boolean;
    compounds?: boolean;
    known?: Schemas["Supply"] | null;
    done: () => void;
  }
  let { job, about, measured = false, compounds = false, known = null, done }: Props = $props();
  // svelte-ignore state_referenced_locally
  let typed = $state({
    name: known?.name ?? "",
    number: known?.number ?? "",
    supplier: known?.supplier ?? "",
    price: known?.price ?? "",
    lead: known?.lead_days?.toString() ?? "",
    on_shelf: known?.on_shelf ?? "",
    compound: known?.compound ?? "",
    thickness: known?.thickness ?? "",
    diameter: known?.diameter ?? "",
    unit: known?.unit ?? usualUnit(["mm", "in"]),
  });
  let leadFault = $state("");
  const fields = $derived([
    ["number", texts.partNumber, ""],
    ["supplier", texts.supplier, ""],
    ["price", say(texts.priceEachCurrency, { currency: job.plan!.money.currency }), "decimal"],
    ["lead", texts.deliveryDays, "numeric"],
    ["on_shelf", common.onTheShelf, "decimal"],
    ...(measured
      ? [
          ["thickness", say(texts.thicknessUnit, { unit: typed.unit }), "decimal"],
          ["diameter", say(texts.diameterUnit, { unit: typed.unit }), "decimal"],
        ]
      : []),
  ] as [keyof typeof typed, string, "decimal" | "numeric" | ""][]);
  const server: Partial<Record<keyof typeof typed, string>> = { lead: "lead_days" };
  const fault = (key: keyof typeof typed) => (key === "lead" && leadFault) || job.fault(server[key] ?? key);
  const id = $derived(`${about.item}-${about.axle ?? "any"}-${known?.id ?? "new"}`.replace(/\W/g, "-"));

  async function keep(event: SubmitEvent) {
    event.preventDefault();
    const { lead, ...words } = typed;
    leadFault = lead.trim() && !/^\d{1,4}$/.test(lead.trim()) ? texts.wholeDaysFault : "";
    if (leadFault) return;
    const entered = {
      ...Object.fromEntries(Object.entries(words).map(([key, value]) => [key, value.trim() || null])),
      name: typed.name,
      lead_days: lead.trim() ? Number(lead) : null,
    };
    if (await (known ? job.restock(known, entered) : job.stock({ ...about, ...entered }))) done();
  }
</script>

<form onsubmit={keep} novalidate>
  <TextField
    label={texts.partName}
    width="long"
    id="{id}-name"
    maxlength={120}
    bind:value={typed.name}
    fault={job.fault("name")}
  />
  {#each fields as [key, label, mode] (key)}
    <TextField {label} id="{id}-{key}" inputmode={mode || "text"} bind:value={typed[key]} fault={fault(key)} />
  {/each}
  {#if compounds}
    <SelectField
      label={texts.compoundCompared}
      bind:value={typed.compound}
      options={[
        { id: "", label: common.theSameKind },
        { id: "harder", label: texts.harderLastsLonger },
        { id: "softer", label: texts.softerBitesMore },
      ]}
    />
  {/if}
  {#if job.fault("item") || job.fault("kind") || job.fault("axle")}<p class="fault" role="alert">
      {job.refused?.message}
    </p>{/if}
  <div class="row">
    <Button type="submit" size="field">{common.save}</Button><Button size="field" kind="ghost" on:click={done}
      >{common.cancel}</Button
    >
  </div>
</form>

<style>
  form {
    display: flex;
    flex-wrap: wrap;
    gap: 0.75rem;
    align-items: end;
    padding: 0.75rem 0;
  }
</style>
