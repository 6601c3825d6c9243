<script lang="ts">
  /** The fault of a field or a form, if any. */
  let { text, id }: { text: string; id?: string } = $props();
</script>

{#if text}<p class="fault" role="alert" {id}>{text}</p>{/if}
