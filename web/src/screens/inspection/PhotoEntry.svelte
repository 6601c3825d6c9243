<script lang="ts">
  import { exactLength } from "../../format/lengths";
  import type { Schemas } from "../../api/client";
  import PhotoMeasure from "./PhotoMeasure.svelte";
  import type { InspectionForm, Place } from "./inspectionForm.svelte";

  /** Measures the pad at a place in a photo, and takes what it comes to as its reading. */
  interface Props {
    form: InspectionForm;
    wheel: Schemas["Wheel"];
    place: Place;
    close: () => void;
  }
  let { form, wheel, place, close }: Props = $props();
  const rotor = $derived.by(() => {
    const mm = wheel.positions.find((each) => each.part === "rotor")?.expected_mm;
    return mm ? exactLength(mm) : "";
  });
  function take(measured: Schemas["PhotoMeasured"], photo: Promise<Blob>) {
    form.takePhoto(place, measured);
    void form.keepPhoto(place, measured, photo);
    form.retyped(place);
    close();
  }
</script>

<div>
  <PhotoMeasure rules={form.sheet!.photo} {rotor} use={take} {close} />
</div>

<style>
  div {
    grid-column: 1 / -1;
    min-width: 0;
  }
</style>
