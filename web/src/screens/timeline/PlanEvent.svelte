<script lang="ts">
  import * as common from "../../texts/common";
  import * as texts from "../../texts/timeline";
  import { say } from "../../texts/say";
  import { Button, Select, SelectItem, TextInput } from "carbon-components-svelte";
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
  <Select
    labelText={common.what}
    bind:selected={kind}
    helperText={kinds.find((each) => each.kind === kind)?.note ?? ""}
  >
    {#each kinds as each (each.kind)}<SelectItem value={each.kind} text={each.label} />{/each}
  </Select>
  <TextInput
    labelText={common.name}
    maxlength={80}
    bind:value={typed.name}
    invalid={!!fault("name")}
    invalidText={fault("name")}
  />
  <TextInput
    labelText={kind === "inspection" ? common.day : common.from}
    type="date"
    min={kind === "driving" ? undefined : today}
    bind:value={typed.from}
    invalid={!!fault("from")}
    invalidText={fault("from")}
  />
  {#if kind === "trip"}
    <TextInput
      labelText={common.to}
      type="date"
      min={today}
      bind:value={typed.to}
      invalid={!!fault("to")}
      invalidText={fault("to")}
    />
  {/if}
  {#if kind !== "inspection"}
    <TextInput
      labelText={kind === "trip" ? say(texts.distanceUnit, { unit }) : say(texts.inAYearUnit, { unit })}
      inputmode="decimal"
      bind:value={typed.distance}
      invalid={!!fault("distance")}
      invalidText={fault("distance")}
    />
    <TextInput
      labelText={common.wearFactorYourGuess}
      placeholder="1"
      inputmode="decimal"
      bind:value={typed.wear_factor}
      invalid={!!fault("wear_factor")}
      invalidText={fault("wear_factor")}
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
