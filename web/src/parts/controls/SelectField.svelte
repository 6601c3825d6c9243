<script lang="ts">
  import type { Snippet } from "svelte";
  import Fault from "../Fault.svelte";

  /**
   * A labelled choice from a list. A plain select: it is taken by a tap, by Enter, or when it is left, while arrow keys
   * only move through it. The widget library's is taken at every arrow key.
   */
  interface Props {
    id?: string;
    label: string;
    /** The label is for screen readers alone. */
    unseen?: boolean;
    value?: string;
    options: ({ id: string; label: string } | string)[];
    width?: "unit" | "short" | "medium" | "long";
    disabled?: boolean;
    fault?: string;
    /** What the choice means, under it. */
    note?: string;
    aside?: Snippet;
    onchoose?: (id: string) => void;
  }
  const made = $props.id();
  let {
    id = made,
    label,
    unseen = false,
    value = $bindable(),
    options,
    width = "medium",
    disabled = false,
    fault = "",
    note = "",
    aside,
    onchoose,
  }: Props = $props();
  const choices = $derived(options.map((each) => (typeof each === "string" ? { id: each, label: each } : each)));
  let byKeys = false;
  let node: HTMLSelectElement;

  function take() {
    byKeys = false;
    if (node.value === (value ?? "")) return;
    value = node.value;
    onchoose?.(value);
  }
  function press(event: KeyboardEvent) {
    if (event.key === "Enter") {
      event.preventDefault();
      take();
    } else if (event.key === "Escape") {
      node.value = value ?? "";
      byKeys = false;
    } else byKeys = true;
  }
</script>

<div class="field {width}">
  <label for={id} class:unseen>{label}{@render aside?.()}</label>
  <select
    bind:this={node}
    {id}
    {disabled}
    value={value ?? ""}
    aria-invalid={fault ? true : undefined}
    onkeydown={press}
    onpointerdown={() => (byKeys = false)}
    onchange={() => byKeys || take()}
    onblur={take}
  >
    {#each choices as choice, at (at)}<option value={choice.id}>{choice.label}</option>{/each}
  </select>
  {#if note}<p class="quiet under-field">{note}</p>{/if}
  <Fault text={fault} />
</div>
