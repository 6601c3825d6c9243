<script lang="ts">
  import { InlineNotification } from "carbon-components-svelte";
  import { Refusal } from "../api/client";

  let { error }: { error: unknown } = $props();
  const text = $derived(error instanceof Error ? error.message : String(error));
</script>

<InlineNotification
  kind="error"
  lowContrast
  hideCloseButton
  title={error instanceof Refusal && error.status === 404 ? "Not found" : "That did not work"}
  subtitle={text}
/>
