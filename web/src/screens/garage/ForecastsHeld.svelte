<script lang="ts">
  import * as texts from "../../texts/garage";
  import { say } from "../../texts/say";
  import type { Schemas } from "../../api/client";
  import { Loader } from "../../parts/loader.svelte";

  /** How many earlier forecasts of the household were right; nothing until one has reached its end. */
  const ENOUGH = 10;
  const held = new Loader<Schemas["Calibration"]>();
  void import("../../api/lazyApi").then(({ lazyApi }) => held.load(lazyApi.forecastsHeld));
</script>

{#if held.value?.known}<p class="quiet">
    {say(held.value.known < ENOUGH ? texts.fewForecastsHeld : texts.forecastsHeld, {
      covered: held.value.covered,
      known: held.value.known,
    })}
  </p>{/if}
