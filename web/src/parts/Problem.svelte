<script lang="ts">
  import * as texts from "../texts/parts";
  import { Refusal } from "../api/client";

  /** Shows an error. No widget: it comes with the first page, and must work when nothing more can be fetched. */
  let { error }: { error: unknown } = $props();
  const text = $derived(error instanceof Error ? error.message : String(error));
</script>

<p class="problem" role="alert">
  <strong>{error instanceof Refusal && error.status === 404 ? texts.notFound : texts.thatDidNotWork}</strong>
  {text}
</p>

<style>
  .problem {
    margin: 0 0 1rem;
    padding: 0.9rem 1rem;
    border: 1px solid var(--line);
    border-left: 3px solid var(--stop);
    background: var(--sheet);
  }
  strong {
    margin-right: 0.35rem;
  }
</style>
