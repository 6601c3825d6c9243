<script lang="ts">
  import * as texts from "../texts/parts";
  import { Modal } from "carbon-components-svelte";

  /** Every key, what it does and where. */
  let { open = $bindable() }: { open: boolean } = $props();
  const keys: [string, string][] = [
    ["?", texts.showTheseKeys],
    ["a", texts.garageAddAVehicle],
    ["g", texts.garageGoOn],
    [texts.n1To9, texts.garageOpenAVehicle],
    ["l", texts.vehicleLookOverOfAll],
    ["v", texts.vehicleFindingsVerdicts],
    ["f w j b", texts.vehicleLookOverWearJob],
    ["F W J B", texts.vehicleTheSameOfThe],
    ["y p t s c", texts.jobReadyPartsTorqueSteps],
    ["Enter", texts.walkRoundTakeTheReading],
    ["Shift + Tab", texts.walkRoundBack],
    ["c v m l g e d %", texts.walkRoundDigitalCaliperVernier],
    ["q w x", texts.walkRoundSquealerTouchesWear],
    ["u i p", texts.walkRoundNextUnitNext],
    ["a k b", texts.walkRoundAtAQuestion],
    ["Ctrl + Z", texts.walkRoundUndoWhatA],
    ["+", texts.walkRoundAnotherPlaceOn],
    ["n r", texts.walkRoundNewPadsNew],
    ["o", texts.walkRoundTheRestOf],
    ["z", texts.walkRoundHaveTheGauge],
  ];
</script>

<Modal bind:open passiveModal modalHeading={texts.keys}>
  <dl>
    {#each keys as [key, meaning] (key)}
      <dt><kbd>{key}</kbd></dt>
      <dd>{meaning}</dd>
    {/each}
  </dl>
  <p class="note">{texts.inTheWalkRoundLetters}</p>
</Modal>

<style>
  dl {
    display: grid;
    grid-template-columns: 8rem 1fr;
    gap: 0.5rem;
  }
  .note {
    margin-top: 0.75rem;
  }
</style>
