<script lang="ts">
  import SelectField from "../../parts/controls/SelectField.svelte";
  import TextField from "../../parts/controls/TextField.svelte";
  import * as common from "../../texts/common";
  import * as texts from "../../texts/timeline";
  import { say } from "../../texts/say";
  import { Button } from "carbon-components-svelte";
  import { lazyApi } from "../../api/lazyApi";
  import type { Schemas } from "../../api/client";
  import { FormState } from "../../parts/formState.svelte";
  import Fault from "../../parts/Fault.svelte";

  interface Props {
    vehicle: number;
    unit: Schemas["DistanceUnit"];
    today: string;
    kinds: Schemas["PlannedKind"][];
    done: () => void;
  }
  /** Notes a trip, other driving or an inspection. */
  let { vehicle, unit, today, kinds, done }: Props = $props();
  const blank = { name: "", from: "", to: "", distance: "", wear_factor: "" };
  let kind = $state<Schemas["NewPlannedEvent"]["kind"]>("trip");
  let typed = $state({ ...blank });
  const form = new FormState();
  const fault = form.fault;

  async function save(event: SubmitEvent) {
    event.preventDefault();
    await form.act(async () => {
      await lazyApi.planEvent(vehicle, { kind, unit, ...typed });
      typed = { ...blank };
      done();
    });
  }
</script>

<form onsubmit={save} novalidate>
  <SelectField
    label={common.what}
    bind:value={kind}
    note={kinds.find((each) => each.kind === kind)?.note ?? ""}
    options={kinds.map((each) => ({ id: each.kind, label: each.label }))}
  />
  <TextField label={common.name} maxlength={80} bind:value={typed.name} fault={fault("name")} />
  <TextField
    label={kind === "inspection" ? common.day : common.from}
    type="date"
    min={kind === "driving" ? undefined : today}
    bind:value={typed.from}
    fault={fault("from")}
  />
  {#if kind === "trip"}
    <TextField label={common.to} type="date" min={today} bind:value={typed.to} fault={fault("to")} />
  {/if}
  {#if kind !== "inspection"}
    <TextField
      label={kind === "trip" ? say(texts.distanceUnit, { unit }) : say(texts.inAYearUnit, { unit })}
      inputmode="decimal"
      bind:value={typed.distance}
      fault={fault("distance")}
    />
    <TextField
      label={common.wearFactorYourGuess}
      placeholder="1"
      inputmode="decimal"
      bind:value={typed.wear_factor}
      fault={fault("wear_factor")}
    />
  {/if}
  <Button type="submit" size="field">{common.saveNote}</Button>
  <Fault text={form.refused && !form.refused.faults.length ? form.first : ""} />
</form>

<style>
  form {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(11rem, 1fr));
    gap: 0.9rem 1rem;
    align-items: start;
    margin-top: 0.75rem;
  }
  form :global(.bx--btn) {
    margin-top: 1.5rem;
    justify-self: start;
  }
</style>
