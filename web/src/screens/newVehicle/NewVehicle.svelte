<script lang="ts">
  import RadioGroup from "../../parts/controls/RadioGroup.svelte";
  import TextField from "../../parts/controls/TextField.svelte";
  import * as common from "../../texts/common";
  import * as texts from "../../texts/newVehicle";
  import { say } from "../../texts/say";
  import { Button } from "carbon-components-svelte";
  import { push } from "svelte-spa-router";
  import { api, Refusal, type Schemas } from "../../api/client";
  import Problem from "../../parts/Problem.svelte";

  type Kind = Schemas["VehicleKind"];
  let name = $state("");
  let kind = $state<Kind>("car");
  let drive = $state<Schemas["Drive"]>("combustion");
  let unit = $state<"km" | "mi">("km");
  let front = $state<"both" | "left" | "right">("both");
  let rear = $state<"left" | "right">("right");
  let axles = $state("1");
  let brakes = $state<"drum_overrun" | "drum_electric">("drum_overrun");
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
        drive: kind === "motorcycle" || kind === "trailer" ? "combustion" : drive,
        distance_unit: unit,
        ...(kind === "motorcycle"
          ? {
              discs: { front: front === "both" ? 2 : 1, rear: 1 },
              disc_sides: { rear, ...(front === "both" ? {} : { front }) },
            }
          : {}),
        ...(kind === "trailer" ? { axles: Number(axles) as 1 | 2 | 3, brakes } : {}),
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
  <TextField
    first
    label={common.yourNameForIt}
    bind:value={name}
    maxlength={60}
    fault={nameFault ? say(texts.theNameNameFault, { nameFault }) : ""}
  />
  <RadioGroup
    legend={common.kind}
    bind:chosen={kind}
    options={[
      { id: "car", label: texts.car },
      { id: "van", label: texts.van },
      { id: "off_roader", label: texts.offRoader },
      { id: "pickup", label: texts.pickup },
      { id: "motorcycle", label: texts.motorcycle },
      { id: "trailer", label: texts.trailer },
    ]}
  />
  {#if kind === "trailer"}
    <RadioGroup legend={texts.axles} bind:chosen={axles} options={["1", "2", "3"].map((id) => ({ id, label: id }))} />
    <RadioGroup
      legend={texts.trailerBrakes}
      bind:chosen={brakes}
      options={[
        { id: "drum_overrun", label: texts.overrun },
        { id: "drum_electric", label: texts.electric },
      ]}
    />
  {:else if kind !== "motorcycle"}
    <RadioGroup legend={common.drive} bind:chosen={drive} options={common.drives} />
  {:else}
    <RadioGroup
      legend={texts.discsOnTheFrontWheel}
      bind:chosen={front}
      options={[
        { id: "both", label: texts.two },
        { id: "left", label: texts.oneOnTheLeft },
        { id: "right", label: texts.oneOnTheRight },
      ]}
    />
    <RadioGroup
      legend={texts.discOfTheRearWheel}
      bind:chosen={rear}
      options={[
        { id: "left", label: texts.onTheLeft },
        { id: "right", label: texts.onTheRight },
      ]}
    />
    <p class="quiet">{texts.fromTheSaddle}</p>
  {/if}
  <RadioGroup
    legend={texts.odometerIn}
    bind:chosen={unit}
    options={[
      { id: "km", label: texts.kilometres },
      { id: "mi", label: texts.miles },
    ]}
  />
  {#if kind === "trailer"}<p class="quiet">{texts.distanceTowed}</p>{/if}
  <p class="quiet">{texts.notCovered}</p>
  {#if error && !nameFault}<Problem {error} />{/if}
  <div class="row">
    <Button type="submit" disabled={busy}>{texts.addVehicle}</Button>
    <span class="quiet">{texts.newVehicleNote}</span>
  </div>
</form>

<style>
  form {
    max-width: 50rem;
  }
</style>
