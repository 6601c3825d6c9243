<script lang="ts">
  import * as common from "../../texts/common";
  import * as texts from "../../texts/approaches";
  import HouseholdApproaches from "../../parts/HouseholdApproaches.svelte";

  /** Every question practitioners answer differently, and what this household does. */
</script>

<svelte:head><title>{texts.approachesGraver}</title></svelte:head>
<div class="stack">
  <h1>{common.approaches}</h1>
  <p class="quiet">{texts.approachesIntro}</p>
  <section class="sheet">
    <HouseholdApproaches reasons />
  </section>
</div>
