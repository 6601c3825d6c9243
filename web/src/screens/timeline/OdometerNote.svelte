<script lang="ts">
  import TextField from "../../parts/controls/TextField.svelte";
  import * as common from "../../texts/common";
  import * as texts from "../../texts/timeline";
  import { say } from "../../texts/say";
  import { Button } from "carbon-components-svelte";
  import { untrack } from "svelte";
  import { lazyApi } from "../../api/lazyApi";
  import type { Schemas } from "../../api/client";
  import { FormState } from "../../parts/formState.svelte";

  interface Props {
    vehicle: number;
    unit: Schemas["DistanceUnit"];
    today: string;
    done: () => void;
  }
  /** The odometer of a day; one far off the usual driving is asked about first. */
  let { vehicle, unit, today, done }: Props = $props();
  let date = $state(untrack(() => today));
  let value = $state("");
  const form = new FormState();
  const doubtful = $derived(["too_far_ahead", "other_distance_unit"].includes(form.refused?.faults[0]?.code ?? ""));
  const fault = form.fault;

  async function save(keep: boolean) {
    await form.act(async () => {
      await lazyApi.noteOdometer(vehicle, { date, odometer: { value, unit, keep } });
      value = "";
      done();
    });
  }
</script>

<form
  class="row"
  onsubmit={(event) => {
    event.preventDefault();
    void save(false);
  }}
  novalidate
>
  <TextField label={common.day} type="date" max={today} bind:value={date} fault={fault("date")} />
  <TextField
    label={say(common.odometerUnit, { unit })}
    inputmode="decimal"
    bind:value
    fault={fault("odometer.value")}
  />
  <Button type="submit" size="field">{common.saveNote}</Button>
  {#if doubtful}<Button kind="ghost" size="field" on:click={() => save(true)}>{texts.saveItIsRight}</Button>{/if}
</form>

<style>
  form {
    align-items: start;
    margin-top: 0.5rem;
  }
  form :global(.bx--btn) {
    margin-top: 1.5rem;
  }
</style>
