<script lang="ts">
  import type { Snippet } from "svelte";
  import { ticked } from "./ticks";

  /**
   * A box to tick, its label beside it. A plain input: a tick that was refused goes back, and the target is as high as
   * a finger in a glove. oncheck returns, or promises, false when it was refused.
   */
  interface Props {
    label?: string;
    checked?: boolean;
    disabled?: boolean;
    /** A larger box, where hands are dirty. */
    large?: boolean;
    oncheck?: (on: boolean) => unknown;
    children?: Snippet;
  }
  let { label, checked = $bindable(), disabled = false, large = false, oncheck, children }: Props = $props();

  function check(event: Event & { currentTarget: HTMLInputElement }) {
    if (!oncheck) return void (checked = event.currentTarget.checked);
    void ticked(event.currentTarget, async (on) => (await oncheck(on)) !== false);
  }
</script>

<label class="choice" class:large
  ><input type="checkbox" {checked} {disabled} onchange={check} /><span
    >{#if label}{label}{/if}{@render children?.()}</span
  ></label
>
