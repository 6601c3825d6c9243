<script lang="ts">
  /** What is wrong with a field or a form; nothing when all is well. */
  let { text, id }: { text: string; id?: string } = $props();
</script>

{#if text}<p class="fault" role="alert" {id}>{text}</p>{/if}
