<script lang="ts">
  import TextField from "../../parts/controls/TextField.svelte";
  import * as common from "../../texts/common";
  import * as texts from "../../texts/vehicle";
  import { say } from "../../texts/say";
  import { Button } from "carbon-components-svelte";
  import { api, type Schemas } from "../../api/client";
  import { FormState } from "../../parts/formState.svelte";

  /** Notes that the brake fluid was renewed. */
  let { vehicle, today, done }: { vehicle: Schemas["Vehicle"]; today: string; done: (saved: boolean) => unknown } =
    $props();
  let date = $state("");
  let odometer = $state("");
  const form = new FormState();
  const fault = form.fault;

  async function renew(event: SubmitEvent) {
    event.preventDefault();
    if (await form.act(() => api.renewFluid(vehicle.id, { date, odometer: { value: odometer } }))) await done(true);
  }
</script>

<form class="row" onsubmit={renew} novalidate>
  <TextField label={texts.dateOfTheChange} type="date" max={today} bind:value={date} fault={fault("date")} />
  <TextField
    label={say(texts.odometerDistanceUnit, { distanceUnit: vehicle.distance_unit })}
    inputmode="decimal"
    bind:value={odometer}
    fault={fault("odometer.value")}
  />
  <Button type="submit" size="field">{common.save}</Button>
  <Button kind="ghost" size="field" on:click={() => done(false)}>{common.cancel}</Button>
</form>
