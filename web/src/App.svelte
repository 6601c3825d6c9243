<script lang="ts">
  import PlainButton from "./parts/controls/PlainButton.svelte";
  import * as common from "./texts/common";
  import * as access from "./texts/access";
  import * as texts from "./texts/app";
  import { say } from "./texts/say";
  import Router, { router } from "svelte-spa-router";
  import { changedElsewhere, Refusal, signedOut } from "./api/client";
  import KeyHelp from "./parts/KeyHelp.svelte";
  import { routes } from "./routes";
  import { undo } from "./parts/undo.svelte";
  import { atDevice } from "./parts/atDevice.svelte";
  import { outbox } from "./parts/outbox.svelte";
  import { currentPage } from "./parts/currentPage.svelte";

  // The bar's place is kept before it is known which vehicle it is.
  const VEHICLE = new RegExp("^/(vehicles/[0-9]|axles|jobs|inspections)");
  // Only to enter things, or to change the household.
  const NOT_FOR_GUESTS = /^\/(vehicles\/(new|\d+\/(inspection|import|first))|access|backups|bin)/;
  const ofAVehicle = $derived(VEHICLE.test(router.location ?? ""));

  // Shows errors that no page has handled.
  let refused = $state("");
  function unheard(event: PromiseRejectionEvent) {
    if (!(event.reason instanceof Refusal)) return;
    // Of what was changed elsewhere the owner has been asked already.
    if (event.reason.status !== 412) refused = event.reason.message;
    event.preventDefault();
  }

  // Shown in front of any page; taking the other version reloads the page.
  let asked = $state.raw<{ refusal: Refusal; choose: (mine: boolean) => void } | null>(null);
  let shown = $state(0);
  changedElsewhere.ask = (refusal) =>
    new Promise((resolve) => {
      asked = {
        refusal,
        choose: (mine) => {
          asked = null;
          if (!mine) shown += 1;
          resolve(mine);
        },
      };
    });

  // Due things, for whoever wants to be told by this browser.
  if (localStorage.getItem("graver.remind") === "on")
    void import("./parts/reminders.svelte").then(({ reminders }) => reminders.start());

  // A device of the network that is not signed in sees nothing else before it is.
  let out = $state(false);
  signedOut.tell = () => (out = true);

  // Who is at a device of the network; this machine itself may do everything.
  if (document.documentElement.dataset.remote === "true")
    void atDevice.load().catch((error: unknown) => error instanceof Refusal || Promise.reject(error));

  $effect(() => void document.body.classList.toggle("guest", atDevice.guest));

  // Comes a moment later: the first page does not wait for it.
  void import("./parts/focus").then(({ guardFocus }) => guardFocus());
</script>

<svelte:window onunhandledrejection={unheard} />
<button type="button" class="skip" onclick={() => document.getElementById("content")?.focus()}
  >{texts.skipToContent}</button
>
<header>
  <a class="name" href="#/">{texts.graver}</a>
  <nav aria-label={texts.main}>
    <a href="#/">{common.garage}</a>
    <a href="#/timeline">{common.timeline}</a>
    <a href="#/logbook">{texts.logbook}</a>
    <a href="#/workshop">{common.workshop}</a>
    <a href="#/settings">{texts.settings}</a>
  </nav>
  <a class="help" href="#/help">{texts.help}</a>
  <KeyHelp />
</header>
{#if ofAVehicle}
  <div class="bar">
    {#if currentPage.now}
      {@const here = currentPage.now}
      {#await import("./parts/VehicleBar.svelte") then { default: VehicleBar }}<VehicleBar {here} />{/await}
    {/if}
  </div>
{/if}
{#if atDevice.guest}<p class="guest" role="status">{access.youAreAGuest}</p>{/if}
{#if outbox.waiting.length}
  <p class="unsent" role="status">
    {say(texts.ticksNotSaved, { count: outbox.waiting.length })}
  </p>
{/if}
{#if refused}
  <p class="unsent refused" role="alert">
    {say(texts.notSavedRefused, { refused })}
    <PlainButton look="link" onclick={() => (refused = "")}>{texts.close}</PlainButton>
  </p>
{/if}
{#if asked}
  {@const question = asked}
  {#await import("./parts/ChangedElsewhere.svelte") then { default: ChangedElsewhere }}
    <ChangedElsewhere {...question} />
  {/await}
{/if}
{#if undo.last}
  {#await import("./parts/UndoBar.svelte") then { default: UndoBar }}
    {#key undo.last}<UndoBar last={undo.last} afresh={() => (shown += 1)} />{/key}
  {/await}
{/if}
<main id="content" tabindex="-1">
  {#if out}
    {#await import("./parts/SignIn.svelte") then { default: SignIn }}
      <SignIn entered={() => ((out = false), (shown += 1))} />
    {/await}
  {:else if atDevice.guest && NOT_FOR_GUESTS.test(router.location ?? "")}<p class="sheet">{access.notForGuests}</p>
  {:else}{#key shown}<Router {routes} restoreScrollState />{/key}{/if}
</main>

<style>
  .skip {
    position: fixed;
    top: -10rem;
    left: 0;
    z-index: 30;
    padding: 1rem;
    font: inherit;
    color: var(--ink);
    background: var(--sheet);
    border: 3px solid var(--petrol);
  }
  .skip:focus {
    top: 0;
  }
  header {
    display: flex;
    gap: 1.5rem;
    align-items: center;
    padding: 0 1.25rem;
    min-height: 3.25rem;
    background: #1d2a30;
    color: #f1efe9;
  }
  header a {
    color: inherit;
    text-decoration: none;
    padding: 0.8rem 0;
  }
  header nav {
    display: flex;
    gap: 0 1.25rem;
    flex: 1;
    min-width: 0;
    overflow-x: auto;
  }
  @media (max-width: 30rem) {
    /* One row: the mark without its word, and places that scroll. */
    header {
      gap: 0 0.75rem;
      padding: 0 0.75rem;
    }
    header nav {
      gap: 0 0.8rem;
    }
    .name {
      font-size: 0 !important;
      padding: 0.8rem 0 0.8rem 0.4rem !important;
    }
  }
  header nav a:hover {
    text-decoration: underline;
  }
  header a:focus-visible {
    outline-color: #f1efe9;
  }
  :global(body.at-the-car) :is(header:not(:global(.top)), .bar) {
    display: none;
  }
  .bar {
    min-height: 2.75rem;
  }
  :global(body.at-the-car) main {
    max-width: none;
    padding: 0;
  }
  .name {
    font:
      600 1.35rem/1 "Barlow Semi Condensed",
      sans-serif;
    border-left: 6px solid #c08a3e;
    padding-left: 0.6rem;
  }
  main:focus {
    outline: none;
  }
  .unsent {
    background: #5a3a8a;
    color: #fff;
    padding: 0.5rem 1.25rem;
    font-weight: 600;
  }
  /* Pages a guest can do nothing on. */
  :global(
    body.guest
      :is(a[href$="/inspection"], a[href$="/import"], a[href="#/vehicles/new"], a[href="#/access"], a[href="#/backups"])
  ) {
    display: none !important;
  }
  .guest {
    background: var(--sheet);
    border-bottom: 3px solid var(--doubt);
    margin: 0;
    padding: 0.5rem 1.25rem;
    font-weight: 600;
  }
  .refused {
    position: fixed;
    inset: auto 0 0;
    z-index: 20;
  }
</style>
