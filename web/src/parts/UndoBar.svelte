<script lang="ts">
  import * as common from "../texts/common";
  import * as texts from "../texts/undo";
  import { say } from "../texts/say";
  import { push, router } from "svelte-spa-router";
  import { untrack } from "svelte";
  import { Refusal } from "../api/client";
  import { undo, type Undoable } from "./undo.svelte";

  /** The last action with Undo, on its screen and on the next two. afresh: reloads the page. */
  let { last, afresh }: { last: Undoable; afresh: () => void } = $props();
  const from = untrack(() => router.location);
  let left = -1;
  $effect(() => {
    void router.location;
    left += 1;
    if (left > 2) undo.clear();
  });
  let busy = $state(false);
  let fault = $state("");

  async function back() {
    if (busy) return;
    [busy, fault] = [true, ""];
    try {
      await undo.take();
      if (router.location !== from) await push(from);
      else if (left > 0) afresh();
    } catch (error) {
      if (!(error instanceof Refusal)) throw error;
      fault = say(texts.notUndone, { message: error.message });
    } finally {
      busy = false;
    }
  }
  /** Where the main button of the page is under the bar, the bar goes to the top. */
  let bar: HTMLElement;
  let top = $state(false);
  const overlaps = (one: DOMRect, other: DOMRect) =>
    one.left < other.right && other.left < one.right && one.top < other.bottom && other.top < one.bottom;
  function place() {
    const mains = [...document.querySelectorAll("button[type=submit], .bx--btn--primary, .done")].filter(
      (button) => !bar.contains(button),
    );
    const below = new DOMRect(0, innerHeight - bar.offsetHeight - 24, innerWidth, bar.offsetHeight + 24);
    top = mains.some((button) => overlaps(button.getBoundingClientRect(), below));
  }
  $effect(() => {
    place();
    const again = setInterval(place, 400);
    return () => clearInterval(again);
  });
  /** Where text is typed the key is the text's own. */
  const typing = (target: EventTarget | null) =>
    target instanceof HTMLElement && target.matches("input:not([type=checkbox], [type=radio]), textarea");
  function onkeydown(event: KeyboardEvent) {
    if (event.defaultPrevented || event.key !== "z" || !(event.ctrlKey || event.metaKey) || typing(event.target))
      return;
    event.preventDefault();
    void back();
  }
</script>

<svelte:window {onkeydown} onscroll={place} onresize={place} />
<div class="undo no-print" class:top role="status" bind:this={bar}>
  <span>{fault || last.said}</span>
  {#if !fault}<button type="button" disabled={busy} aria-label={texts.undoes} onclick={back}
      >{common.undo}<kbd aria-hidden="true">Ctrl Z</kbd></button
    >{/if}
  <button type="button" class="away" aria-label={texts.dismiss} onclick={undo.clear}>×</button>
</div>

<style>
  .undo {
    position: fixed;
    left: 50%;
    bottom: max(1rem, env(safe-area-inset-bottom));
    transform: translateX(-50%);
    z-index: 20;
    display: flex;
    align-items: center;
    gap: 0.25rem 1rem;
    width: max-content;
    max-width: calc(100vw - 2rem);
    line-height: 1.3;
    box-sizing: border-box;
    padding: 0.25rem 0.25rem 0.25rem 1rem;
    background: var(--ink);
    color: var(--paper);
    border-left: 5px solid var(--friction);
  }
  .top {
    bottom: auto;
    top: 1rem;
  }
  button {
    font: inherit;
    font-weight: 600;
    color: inherit;
    background: none;
    border: 0;
    min-height: 44px;
    min-width: 44px;
    cursor: pointer;
    text-decoration: underline;
  }
  button:focus-visible {
    outline-color: var(--friction);
  }
  kbd {
    margin-left: 0.5rem;
    font-size: 0.8125rem;
    font-weight: 400;
    border: 1px solid currentColor;
    padding: 0 0.3rem;
  }
  .away {
    text-decoration: none;
    font-size: 1.4rem;
    line-height: 1;
  }
  @media (hover: none) {
    kbd {
      display: none;
    }
  }
</style>
