<script lang="ts">
  import type { Snippet } from "svelte";
  import type { HTMLInputAttributes } from "svelte/elements";
  import { focusOn } from "../focus";
  import Fault from "../Fault.svelte";

  /**
   * A labelled field of one line. A plain input: its unit stands beside it, and what was refused stands under it and
   * is read out, which the widget library's field cannot do.
   */
  interface Props extends Omit<HTMLInputAttributes, "value" | "width"> {
    label: string;
    value?: string | number | null;
    fault?: string;
    /** The label is for screen readers alone. */
    unseen?: boolean;
    /** short: a figure; medium: a word or a day; long: a sentence, which takes the room there is. */
    width?: "unit" | "short" | "medium" | "long";
    /** Takes the focus when it appears. */
    first?: boolean;
    /** What stands right of the label, right of the field, and under both. */
    aside?: Snippet;
    beside?: Snippet;
    under?: Snippet;
  }
  const made = $props.id();
  let {
    label,
    value = $bindable(),
    fault = "",
    unseen = false,
    first = false,
    id = made,
    inputmode,
    width = inputmode === "decimal" || inputmode === "numeric" ? "short" : "medium",
    aside,
    beside,
    under,
    ...rest
  }: Props = $props();
</script>

<div class="field {width}">
  <label for={id} class:unseen>{label}{@render aside?.()}</label>
  <div class="line">
    <input
      {id}
      {inputmode}
      autocomplete="off"
      aria-invalid={fault ? true : undefined}
      aria-describedby={fault || under ? `${id}-says` : undefined}
      use:focusOn={first}
      bind:value
      {...rest}
    />{@render beside?.()}
  </div>
  {#if fault || under}<div class="under-field" id="{id}-says"><Fault text={fault} />{@render under?.()}</div>{/if}
</div>

<style>
  .line {
    display: flex;
    align-items: center;
    gap: 0.5rem;
  }
  /* As wide as its field, whatever the browser thinks a field should be. */
  input {
    flex: 1 1 0;
    width: 0;
    min-width: 4rem;
  }
  .short input {
    flex: 0 1 9rem;
  }
  .unit input {
    flex: 0 1 5.5rem;
  }
</style>
