<script lang="ts">
  import * as texts from "../texts/parts";
  import { InlineNotification } from "carbon-components-svelte";
  import { Refusal } from "../api/client";

  let { error }: { error: unknown } = $props();
  const text = $derived(error instanceof Error ? error.message : String(error));
</script>

<InlineNotification
  kind="error"
  lowContrast
  hideCloseButton
  title={error instanceof Refusal && error.status === 404 ? texts.notFound : texts.thatDidNotWork}
  subtitle={text}
/>
