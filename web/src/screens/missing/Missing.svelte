<script lang="ts">
  import * as texts from "../../texts/missing";
  const home = "#/";
</script>

<div class="stack">
  <h1>{texts.nothingAtThisAddress}</h1>
  <p><a href={home}>{texts.goToTheGarage}</a></p>
</div>
