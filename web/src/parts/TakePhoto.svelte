<script lang="ts">
  import * as texts from "../texts/photos";
  import Fault from "./Fault.svelte";
  import { PhotoQueue } from "./photoQueue.svelte";

  /** Opens the camera on a phone, a file dialog at a desk. send: takes one photo to the server. */
  let { send }: { send: (photo: Blob) => Promise<unknown> } = $props();
  // svelte-ignore state_referenced_locally
  const queue = new PhotoQueue(send);
</script>

<svelte:window ononline={() => void queue.go()} />
<div class="take">
  <label>
    <input
      type="file"
      accept="image/*"
      capture="environment"
      class="unseen"
      onchange={(event) => {
        const input = event.currentTarget;
        void queue.take(input.files!).then(() => (input.value = ""));
      }}
    />
    <span>{texts.takePhoto}</span>
  </label>
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
  .unseen {
    position: absolute;
    width: 1px;
    height: 1px;
    opacity: 0;
  }
  span {
    display: inline-flex;
    align-items: center;
    min-height: 48px;
    padding: 0 1rem;
    border: 2px solid currentColor;
    font-weight: 600;
    cursor: pointer;
  }
  input:focus-visible + span {
    outline: 3px solid var(--petrol);
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
