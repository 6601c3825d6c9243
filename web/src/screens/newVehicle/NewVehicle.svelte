<script lang="ts">
  import { Button, RadioButton, RadioButtonGroup, TextInput } from "carbon-components-svelte";
  import { push } from "svelte-spa-router";
  import { api, Refusal } from "../../api/client";
  import Problem from "../../parts/Problem.svelte";

  type Kind = "car" | "van" | "off_roader" | "motorcycle";
  let name = $state("");
  let kind = $state<Kind>("car");
  let unit = $state<"km" | "mi">("km");
  let frontDiscs = $state("2");
  let error = $state<unknown>(null);
  let busy = $state(false);
  const nameFault = $derived(
    error instanceof Refusal ? error.faults.find((fault) => fault.field === "name")?.message : undefined,
  );

  async function save(event: SubmitEvent) {
    event.preventDefault();
    busy = true;
    try {
      const vehicle = await api.addVehicle({
        name,
        kind,
        distance_unit: unit,
        discs: kind === "motorcycle" ? { front: Number(frontDiscs), rear: 1 } : {},
      });
      await push(`/vehicles/${vehicle.id}`);
    } catch (refused) {
      error = refused;
    } finally {
      busy = false;
    }
  }
</script>

<svelte:head><title>Add a vehicle - Graver</title></svelte:head>

<form class="sheet stack" onsubmit={save} novalidate>
  <h1>Add a vehicle</h1>
  <TextInput
    labelText="Name you know it by"
    bind:value={name}
    invalid={!!nameFault}
    invalidText={nameFault ? `The name ${nameFault}` : ""}
    maxlength={60}
    autocomplete="off"
  />
  <RadioButtonGroup legendText="Kind" bind:selected={kind}>
    <RadioButton labelText="Car" value="car" />
    <RadioButton labelText="Van" value="van" />
    <RadioButton labelText="Off-roader" value="off_roader" />
    <RadioButton labelText="Motorcycle" value="motorcycle" />
  </RadioButtonGroup>
  {#if kind === "motorcycle"}
    <RadioButtonGroup legendText="Discs on the front wheel" bind:selected={frontDiscs}>
      <RadioButton labelText="One" value="1" />
      <RadioButton labelText="Two" value="2" />
    </RadioButtonGroup>
  {/if}
  <RadioButtonGroup legendText="Its odometer counts" bind:selected={unit}>
    <RadioButton labelText="Kilometres" value="km" />
    <RadioButton labelText="Miles" value="mi" />
  </RadioButtonGroup>
  {#if error && !nameFault}<Problem {error} />{/if}
  <div class="row">
    <Button type="submit" disabled={busy}>Add it</Button>
    <span class="quiet"
      >It gets a front and a rear axle. Limits, sizes and torques can wait; each says what waits for it.</span
    >
  </div>
</form>
