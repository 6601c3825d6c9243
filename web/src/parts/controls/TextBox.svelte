<script lang="ts">
  import type { HTMLTextareaAttributes } from "svelte/elements";
  import Fault from "../Fault.svelte";

  /** A labelled field of several lines. */
  interface Props extends Omit<HTMLTextareaAttributes, "value"> {
    label: string;
    value?: string;
    fault?: string;
  }
  const made = $props.id();
  let { label, value = $bindable(), fault = "", id = made, ...rest }: Props = $props();
</script>

<div class="field long">
  <label for={id}>{label}</label>
  <textarea
    {id}
    rows="2"
    aria-invalid={fault ? true : undefined}
    aria-describedby={fault ? `${id}-says` : undefined}
    bind:value
    {...rest}
  ></textarea>
  {#if fault}<div id="{id}-says"><Fault text={fault} /></div>{/if}
</div>
