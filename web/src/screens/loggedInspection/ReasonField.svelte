<script lang="ts">
  import TextField from "../../parts/controls/TextField.svelte";
  import * as common from "../../texts/common";
  import type { Correction } from "./correction.svelte";

  let { id, correction }: { id: string; correction: Correction } = $props();
</script>

<TextField
  label={common.reason}
  width="long"
  {id}
  maxlength={400}
  bind:value={correction.reason}
  fault={correction.fault("reason")}
/>
