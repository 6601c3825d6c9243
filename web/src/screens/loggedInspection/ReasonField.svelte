<script lang="ts">
  import * as common from "../../texts/common";
  import type { Correction } from "./correction.svelte";

  let { id, correction }: { id: string; correction: Correction } = $props();
</script>

<div class="field wide">
  <label for={id}>{common.reason}</label><input
    {id}
    class="text"
    autocomplete="off"
    maxlength="400"
    bind:value={correction.reason}
    aria-invalid={!!correction.fault("reason")}
  />
</div>
