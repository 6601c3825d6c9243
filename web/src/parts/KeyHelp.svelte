<script lang="ts">
  import * as texts from "../texts/parts";
  let open = $state(false);

  function press(event: KeyboardEvent) {
    // No number has a question mark in it; a text may.
    const field = event.target instanceof HTMLElement && event.target.closest("input, textarea");
    const typing = field && field.getAttribute("inputmode") !== "decimal";
    if (event.key === "?" && !typing) {
      event.preventDefault();
      open = !open;
    }
  }
</script>

<svelte:window onkeydown={press} />
<button type="button" onclick={() => (open = true)} aria-label={texts.keys}>{texts.keys} <kbd>?</kbd></button>
{#if open}
  {#await import("./KeyList.svelte") then { default: KeyList }}<KeyList bind:open />{/await}
{/if}

<style>
  button {
    background: none;
    border: 0;
    color: inherit;
    font: inherit;
    cursor: pointer;
    padding: 0.8rem 0;
  }
  @media (max-width: 30rem) {
    button {
      display: none;
    }
  }
</style>
