<script lang="ts">
  import * as texts from "../texts/photos";
  import FileButton from "./controls/FileButton.svelte";
  import Fault from "./Fault.svelte";
  import { PhotoQueue } from "./photoQueue.svelte";

  /** Opens the camera on a phone, a file dialog at a desk. send: takes one photo to the server. */
  let { send }: { send: (photo: Blob) => Promise<unknown> } = $props();
  // svelte-ignore state_referenced_locally
  const queue = new PhotoQueue(send);
</script>

<svelte:window ononline={() => void queue.go()} />
<div class="take">
  <FileButton label={texts.takePhoto} accept="image/*" capture="environment" pick={(files) => queue.take(files)} />
  {#each queue.waiting as photo (photo.address)}<img src={photo.address} alt="" />{/each}
  {#if queue.waiting.length}<p role="status">{texts.waiting}</p>{/if}
  <Fault text={queue.fault} />
</div>

<style>
  .take {
    display: flex;
    flex-wrap: wrap;
    gap: 0.5rem;
    align-items: center;
  }
  img {
    height: 64px;
    opacity: 0.6;
  }
  p {
    margin: 0;
    font-weight: 700;
    color: var(--doubt);
  }
</style>
