<script lang="ts">
  import PlainButton from "./controls/PlainButton.svelte";
  import * as texts from "../texts/photos";
  import * as undos from "../texts/undo";
  import { say } from "../texts/say";
  import { day } from "../format/words";
  import { lazyApi } from "../api/lazyApi";
  import type { Schemas } from "../api/client";
  import { undo } from "./undo.svelte";

  /** Photos beside each other; a tap shows one full size. changed: one is removed or back; none: they are only shown. small: in a line of a table */
  let {
    photos,
    changed,
    small = false,
  }: { photos: Schemas["Photo"][]; changed?: () => unknown; small?: boolean } = $props();
  let dialog = $state<HTMLDialogElement>();
  let open = $state<Schemas["Photo"] | null>(null);
  const address = (photo: Schemas["Photo"]) => `/api/v1/photos/${photo.id}`;
  const named = (photo: Schemas["Photo"]) => say(texts.photoOf, { day: day(photo.day) });

  function show(photo: Schemas["Photo"]) {
    open = photo;
    dialog?.showModal();
  }
  async function remove() {
    const { id } = open!;
    dialog?.close();
    await lazyApi.removePhoto(id);
    await changed?.();
    undo.offer(undos.photoRemoved, async () => {
      await lazyApi.restorePhoto(id);
      await changed?.();
    });
  }
</script>

{#if photos.length}
  <ul class:small>
    {#each photos as photo (photo.id)}
      <li>
        <button type="button" onclick={() => show(photo)} aria-label={named(photo)}
          ><img src={address(photo)} alt="" width={photo.width} height={photo.height} loading="lazy" /></button
        >
      </li>
    {/each}
  </ul>
{/if}
<dialog bind:this={dialog} aria-label={open ? named(open) : texts.photos} onclose={() => (open = null)}>
  {#if open}
    <img src={address(open)} alt={named(open)} />
    <p>
      <span>{named(open)}</span>
      {#if changed}<PlainButton onclick={remove}>{texts.remove}</PlainButton>{/if}
      <PlainButton onclick={() => dialog?.close()}>{texts.close}</PlainButton>
    </p>
  {/if}
</dialog>

<style>
  ul {
    display: flex;
    flex-wrap: wrap;
    gap: 0.5rem;
    list-style: none;
    margin: 0;
    padding: 0;
  }
  li button {
    display: block;
    padding: 0;
    border: 2px solid currentColor;
    background: none;
    cursor: zoom-in;
  }
  li img {
    display: block;
    height: 96px;
    width: auto;
    max-width: 200px;
    object-fit: cover;
  }
  .small {
    margin-top: 0.35rem;
  }
  .small img {
    height: 44px;
    max-width: 80px;
  }
  p {
    margin: 0;
  }
  dialog {
    border: 0;
    padding: 0;
    margin: auto;
    max-width: 100vw;
    max-height: 100dvh;
    background: #000;
    color: #fff;
    --sheet: #000;
    --petrol: #fff;
    --control-line: #fff;
  }
  dialog::backdrop {
    background: rgb(0 0 0 / 85%);
  }
  dialog img {
    display: block;
    max-width: 100vw;
    max-height: calc(100dvh - 72px);
    margin: 0 auto;
  }
  dialog p {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    justify-content: flex-end;
    gap: 0.5rem;
    padding: 0.5rem 0.75rem;
  }
  dialog span {
    flex: 1;
  }
</style>
