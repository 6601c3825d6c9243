<script lang="ts">
  import * as texts from "../texts/parts";
  import { glossary, pieces } from "./glossary.svelte";

  /** A sentence whose words of the trade open what they mean: dotted, by a tap. */
  let { text }: { text: string } = $props();
  const id = $props.id();
  $effect(() => void glossary.load());
  const parts = $derived(pieces(text, glossary.terms));
  // Drawn when it is opened.
  let opened = $state<number | null>(null);
</script>

{#each parts as part, at (at)}{#if part.term}<button type="button" class="word" popovertarget="{id}-{at}"
      >{part.text}</button
    ><span
      popover="auto"
      id="{id}-{at}"
      class="meaning"
      role="note"
      ontoggle={(event) => (opened = event.newState === "open" ? at : null)}
      ><strong>{part.term.term}</strong>
      {#if opened === at && part.term.drawn}{#await import("./brake/TermPicture.svelte") then { default: TermPicture }}<TermPicture
            term={part.term}
          />{/await}
      {:else if opened === at}{#await import("./TermDrawing.svelte") then { default: TermDrawing }}<TermDrawing
            term={part.term.id}
          />{/await}{/if}
      <span>{part.term.text}</span> <a href="#/help">{texts.moreWords}</a></span
    >{:else}{part.text}{/if}{/each}

<style>
  .word {
    background: none;
    border: 0;
    padding: 0;
    font: inherit;
    color: inherit;
    text-align: inherit;
    cursor: help;
    text-decoration: underline dotted;
    text-underline-offset: 0.2em;
  }
  .meaning {
    position: fixed;
    inset: auto 1rem 1rem auto;
    max-width: min(26rem, calc(100vw - 2rem));
    box-sizing: border-box;
    margin: 0;
    padding: 1rem;
    border: 1px solid var(--line);
    border-left: 6px solid var(--petrol);
    background: var(--sheet);
    color: var(--ink);
    font-size: 1.0625rem;
    font-weight: 400;
    line-height: 1.35;
  }
  .meaning strong {
    display: block;
  }
</style>
