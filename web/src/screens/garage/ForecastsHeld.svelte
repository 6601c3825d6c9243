<script lang="ts">
  import type { Schemas } from "../../api/client";
  import { heldSentence } from "../../format/held";
  import { Loader } from "../../parts/loader.svelte";

  /** How many earlier forecasts of the household were right; nothing until one has reached its end. */
  const held = new Loader<Schemas["Calibration"]>();
  void import("../../api/lazyApi").then(({ lazyApi }) => held.load(lazyApi.forecastsHeld));
</script>

{#if held.value?.known}<p class="quiet">{heldSentence(held.value)}</p>{/if}
