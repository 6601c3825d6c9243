<script lang="ts">
  import * as common from "../../texts/common";
  import * as texts from "../../texts/newVehicle";
  import { say } from "../../texts/say";
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
      await push(`/vehicles/${vehicle.id}/first`);
    } catch (refused) {
      error = refused;
    } finally {
      busy = false;
    }
  }
</script>

<svelte:head><title>{texts.addAVehicleGraver}</title></svelte:head>

<form class="sheet stack" onsubmit={save} novalidate>
  <h1>{common.addAVehicle}</h1>
  <TextInput
    labelText={common.yourNameForIt}
    bind:value={name}
    invalid={!!nameFault}
    invalidText={nameFault ? say(texts.theNameNameFault, { nameFault }) : ""}
    maxlength={60}
    autocomplete="off"
  />
  <RadioButtonGroup legendText={common.kind} bind:selected={kind}>
    <RadioButton labelText={texts.car} value="car" />
    <RadioButton labelText={texts.van} value="van" />
    <RadioButton labelText={texts.offRoader} value="off_roader" />
    <RadioButton labelText={texts.motorcycle} value="motorcycle" />
  </RadioButtonGroup>
  {#if kind === "motorcycle"}
    <RadioButtonGroup legendText={texts.discsOnTheFrontWheel} bind:selected={frontDiscs}>
      <RadioButton labelText={texts.one} value="1" />
      <RadioButton labelText={texts.two} value="2" />
    </RadioButtonGroup>
  {/if}
  <RadioButtonGroup legendText={texts.odometerIn} bind:selected={unit}>
    <RadioButton labelText={texts.kilometres} value="km" />
    <RadioButton labelText={texts.miles} value="mi" />
  </RadioButtonGroup>
  {#if error && !nameFault}<Problem {error} />{/if}
  <div class="row">
    <Button type="submit" disabled={busy}>{texts.addVehicle}</Button>
    <span class="quiet">{texts.newVehicleNote}</span>
  </div>
</form>
