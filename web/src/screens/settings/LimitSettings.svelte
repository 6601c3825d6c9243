<script lang="ts">
  import * as texts from "../../texts/settings";
  import HouseholdApproaches from "../../parts/HouseholdApproaches.svelte";

  /** When pads and rotors are done in this household, and whose inspection counts; the other approaches have a page. */
</script>

<section class="sheet">
  <h2>{texts.limits}</h2>
  <p class="quiet">{texts.limitsChange}</p>
  <HouseholdApproaches only={["pads", "inspection", "rotors"]} />
</section>
