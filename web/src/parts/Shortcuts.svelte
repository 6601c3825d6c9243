<script lang="ts">
  /** Keys of a screen and what they do; a key typed into a field stays there. */
  let { keys }: { keys: Record<string, () => void> } = $props();

  function press(event: KeyboardEvent) {
    const typing =
      event.target instanceof HTMLElement && event.target.closest("input, textarea, select, [role=dialog]");
    if (typing || event.ctrlKey || event.metaKey || event.altKey) return;
    const action = keys[event.key];
    if (!action) return;
    event.preventDefault();
    action();
  }
</script>

<svelte:window onkeydown={press} />
