<script lang="ts">
  import { Modal } from "carbon-components-svelte";

  let open = $state(false);
  const keys: [string, string][] = [
    ["?", "show these keys"],
    ["a", "garage: add a vehicle"],
    ["1 to 9", "garage: open a vehicle"],
    ["l w j b", "vehicle: look-over, wear, job card, brake data of the front axle"],
    ["L W J B", "vehicle: the same of the rear axle"],
    ["Enter", "walk-round: take the reading and go on"],
    ["Shift + Tab", "walk-round: back"],
    ["m", "walk-round: next method"],
    ["u", "walk-round: next unit"],
    ["p", "walk-round: with or without backing plate"],
    ["k", "walk-round: keep a questioned reading"],
    ["n", "walk-round: new pads went on, yes or no"],
    ["r", "walk-round: new rotors went on, yes or no"],
  ];

  function press(event: KeyboardEvent) {
    const typing = event.target instanceof HTMLTextAreaElement;
    if (event.key === "?" && !typing) {
      event.preventDefault();
      open = !open;
    }
  }
</script>

<svelte:window onkeydown={press} />
<button type="button" onclick={() => (open = true)} aria-label="Keys">Keys <kbd>?</kbd></button>
{#if open}
  <Modal bind:open passiveModal modalHeading="Keys">
    <dl>
      {#each keys as [key, meaning] (key)}
        <dt><kbd>{key}</kbd></dt>
        <dd>{meaning}</dd>
      {/each}
    </dl>
  </Modal>
{/if}

<style>
  button { background: none; border: 0; color: inherit; font: inherit; cursor: pointer; padding: 0.8rem 0; }
  dl { display: grid; grid-template-columns: 8rem 1fr; gap: 0.5rem; }
</style>
