<script lang="ts">
  import SelectField from "../../parts/controls/SelectField.svelte";
  import TextField from "../../parts/controls/TextField.svelte";
  import * as common from "../../texts/common";
  import * as texts from "../../texts/vehicle";
  import { Button } from "carbon-components-svelte";
  import { api, type Schemas } from "../../api/client";
  import { FormState } from "../../parts/formState.svelte";

  /** The vehicle's name, the unit its odometer shows, its drive and what its owner notes of it. done: the new name, null when nothing was saved. */
  let { vehicle, done }: { vehicle: Schemas["Vehicle"]; done: (name: string | null) => void } = $props();
  const NOTES = ["make", "model", "year", "plate", "vin"] as const;
  // svelte-ignore state_referenced_locally
  const seen = vehicle.revision;
  // svelte-ignore state_referenced_locally
  let name = $state(vehicle.name);
  // svelte-ignore state_referenced_locally
  let unit = $state<string>(vehicle.distance_unit);
  // svelte-ignore state_referenced_locally
  let drive = $state<string>(vehicle.drive);
  let notes = $state(Object.fromEntries(NOTES.map((note) => [note, vehicle[note] ?? ""])));
  const form = new FormState();

  async function rename(event: SubmitEvent) {
    event.preventDefault();
    const wanted = {
      name,
      distance_unit: unit as Schemas["DistanceUnit"],
      drive: drive as Schemas["Drive"],
      ...notes,
    };
    if (await form.act(() => api.changeVehicle(vehicle.id, wanted, seen))) done(name);
  }
</script>

<form class="sheet stack" onsubmit={rename} novalidate>
  <h2>{texts.edit}</h2>
  <div class="row">
    <TextField label={common.name} maxlength={60} bind:value={name} fault={form.fault("name")} />
    <SelectField
      label={texts.odometerShows}
      bind:value={unit}
      options={[
        { id: "km", label: common.kilometres },
        { id: "mi", label: common.miles },
      ]}
    />
    {#if vehicle.kind !== "motorcycle" && vehicle.kind !== "trailer"}
      <SelectField label={common.drive} bind:value={drive} options={common.drives} />
    {/if}
  </div>
  <p class="quiet">{texts.notesFor}</p>
  <div class="row">
    {#each NOTES as note (note)}
      <TextField label={texts.noted[note]} maxlength={60} bind:value={notes[note]} fault={form.fault(note)} />
    {/each}
  </div>
  <div class="row">
    <Button type="submit" size="field">{common.save}</Button>
    <Button kind="ghost" size="field" on:click={() => done(null)}>{common.cancel}</Button>
  </div>
</form>
