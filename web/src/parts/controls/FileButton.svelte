<script lang="ts">
  /** A button that asks for a file. capture: opens the camera on a phone. */
  let {
    label,
    accept,
    capture = undefined,
    disabled = false,
    pick,
  }: {
    label: string;
    accept: string;
    capture?: "environment";
    disabled?: boolean;
    pick: (files: FileList) => Promise<unknown>;
  } = $props();

  // The same file can be picked again.
  async function picked(input: HTMLInputElement) {
    if (!input.files?.length) return;
    await pick(input.files);
    input.value = "";
  }
</script>

<label>
  <input
    type="file"
    {accept}
    {capture}
    {disabled}
    class="unseen"
    onchange={(event) => void picked(event.currentTarget)}
  />
  <span>{label}</span>
</label>

<style>
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
  input:disabled + span {
    opacity: 0.5;
    cursor: default;
  }
</style>
