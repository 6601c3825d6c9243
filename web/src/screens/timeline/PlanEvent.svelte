<script lang="ts">
  import { Button, Select, SelectItem, TextInput } from "carbon-components-svelte";
  import { api, Refusal, type Schemas } from "../../api/client";

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
  let refused = $state<Refusal | null>(null);
  const fault = (field: string) => refused?.faults.find((each) => each.field === field)?.message ?? "";

  async function save(event: SubmitEvent) {
    event.preventDefault();
    try {
      await api.planEvent(vehicle, { kind, unit, ...typed });
      [typed, refused] = [{ ...blank }, null];
      done();
    } catch (error) {
      if (!(error instanceof Refusal)) throw error;
      refused = error;
    }
  }
</script>

<form onsubmit={save} novalidate>
  <Select labelText="What" bind:selected={kind} helperText={kinds.find((each) => each.kind === kind)?.note ?? ""}>
    {#each kinds as each (each.kind)}<SelectItem value={each.kind} text={each.label} />{/each}
  </Select>
  <TextInput labelText="Name" maxlength={80} bind:value={typed.name} invalid={!!fault("name")} invalidText={fault("name")} />
  <TextInput labelText={kind === "inspection" ? "Day" : "From"} type="date" min={kind === "driving" ? undefined : today} bind:value={typed.from} invalid={!!fault("from")} invalidText={fault("from")} />
  {#if kind === "trip"}
    <TextInput labelText="To" type="date" min={today} bind:value={typed.to} invalid={!!fault("to")} invalidText={fault("to")} />
  {/if}
  {#if kind !== "inspection"}
    <TextInput labelText={kind === "trip" ? `Distance (${unit})` : `In a year (${unit})`} inputmode="decimal" bind:value={typed.distance} invalid={!!fault("distance")} invalidText={fault("distance")} />
    <TextInput labelText="Wear factor (your guess)" placeholder="1" inputmode="decimal" bind:value={typed.wear_factor} invalid={!!fault("wear_factor")} invalidText={fault("wear_factor")} />
  {/if}
  <Button type="submit" size="field">Note it</Button>
  {#if refused && !refused.faults.length}<p role="alert">{refused.message}</p>{/if}
</form>

<style>
  form { display: grid; grid-template-columns: repeat(auto-fit, minmax(11rem, 1fr)); gap: 0.9rem 1rem; align-items: start; margin-top: 0.75rem; }
  form :global(.bx--btn) { margin-top: 1.5rem; justify-self: start; }
</style>
