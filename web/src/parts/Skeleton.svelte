<script lang="ts">
  import * as common from "../texts/common";

  /** A placeholder while a page loads; it says so only if that takes a moment. */
</script>

<div class="skeleton" role="status">
  <span>{common.calculating}</span>
  <div class="title"></div>
  {#each [1, 2, 3] as card (card)}<div class="card"></div>{/each}
</div>

<style>
  .skeleton {
    animation: appear 0.2s 0.15s both;
  }
  span {
    color: var(--quiet);
    animation: appear 0.2s 1s both;
  }
  .title,
  .card {
    background: var(--sheet);
    border: 1px solid var(--line);
  }
  .title {
    width: 18rem;
    max-width: 60%;
    height: 1.75rem;
    margin: 0.5rem 0 1rem;
  }
  .card {
    height: 8rem;
    margin-bottom: 1rem;
    opacity: 0.7;
  }
  @keyframes appear {
    from {
      opacity: 0;
    }
  }
</style>
