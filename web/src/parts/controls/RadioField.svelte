<script lang="ts">
  import type { Snippet } from "svelte";
  import { picked } from "./ticks";

  /**
   * One of a group of radio buttons, its label beside it. A plain input, for the reasons CheckField has. chosen: the id
   * that holds. onpick returns, or promises, false when it was refused: the button that holds is marked again.
   */
  interface Props {
    name: string;
    id: string;
    label?: string;
    chosen?: string | null;
    disabled?: boolean;
    onpick?: (id: string) => unknown;
    children?: Snippet;
  }
  let { name, id, label, chosen = $bindable(), disabled = false, onpick, children }: Props = $props();

  function pick(event: Event & { currentTarget: HTMLInputElement }) {
    if (!onpick) return void (chosen = id);
    void picked(
      event.currentTarget,
      () => chosen ?? null,
      async () => (await onpick(id)) !== false,
    );
  }
</script>

<label class="choice"
  ><input type="radio" {name} value={id} checked={chosen === id} {disabled} onchange={pick} /><span
    >{#if label}{label}{/if}{@render children?.()}</span
  ></label
>
