<script lang="ts">
  import { Button } from "carbon-components-svelte";
  import { api } from "../../api/client";
  import { push } from "svelte-spa-router";
  import type { WalkRound } from "./walkRound.svelte";

  /** Another window went on with this look-over: both versions beside each other, and the owner chooses. */
  let { round }: { round: WalkRound } = $props();

  // What was typed here goes into the bin, not away.
  async function discard() {
    await api.keepDraft(round.vehicle, { content: $state.snapshot(round.content) as never, revision: 0 });
    await api.binDraft(round.vehicle);
    round.draft.done();
    await push(`/vehicles/${round.vehicle}`);
  }
</script>

<section class="sheet two" role="alert" aria-label="Two versions">
  {#if !round.theirs}
    <p>Another window went on with this look-over.</p>
  {:else if round.theirs.content === null}
    <h2>Another window has saved this look-over</h2>
    <p>What you typed here is still on this screen, and not in the log.</p>
    <div class="row">
      <Button size="field" on:click={() => round.keepMine()}>Go on with these entries</Button>
      <Button size="field" kind="ghost" on:click={discard}>Discard these entries</Button>
    </div>
  {:else}
    <h2>Another window went on with this look-over</h2>
    {#if round.differences.length}
      <div class="scroll">
        <table>
          <thead><tr><th>Where</th><th>Here</th><th>The other window</th></tr></thead>
          <tbody
            >{#each round.differences as [where, here, there] (where)}<tr
                ><th scope="row">{where}</th><td>{here || "nothing"}</td><td>{there || "nothing"}</td></tr
              >{/each}</tbody
          >
        </table>
      </div>
    {:else}
      <p>Both say the same.</p>
    {/if}
    <div class="row">
      <Button size="field" on:click={() => round.keepMine()}>Keep what is here</Button>
      <Button size="field" kind="tertiary" on:click={() => round.takeTheirs()}>Use the other window's</Button>
    </div>
  {/if}
</section>

<style>
  .two {
    border-left: 6px solid var(--doubt);
    display: grid;
    gap: 0.6rem;
    margin-bottom: 0.75rem;
  }
  tbody th {
    font-weight: 600;
  }
</style>
