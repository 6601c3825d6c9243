<script lang="ts">
  /** A choice that is taken by a tap, by Enter, or when it is left: arrow keys only move through it. */
  interface Props {
    id?: string;
    label?: string;
    value: string;
    options: { id: string; label: string }[];
    disabled?: boolean;
    onchoose: (id: string) => void;
  }
  let { id, label, value, options, disabled = false, onchoose }: Props = $props();
  let byKeys = false;
  let node: HTMLSelectElement;

  function take() {
    byKeys = false;
    if (node.value !== value) onchoose(node.value);
  }
  function press(event: KeyboardEvent) {
    if (event.key === "Enter") {
      event.preventDefault();
      take();
    } else if (event.key === "Escape") {
      node.value = value;
      byKeys = false;
    } else byKeys = true;
  }
</script>

<select
  bind:this={node}
  {id}
  aria-label={label}
  {disabled}
  {value}
  onkeydown={press}
  onpointerdown={() => (byKeys = false)}
  onchange={() => byKeys || take()}
  onblur={take}
>
  {#each options as option (option.id)}<option value={option.id}>{option.label}</option>{/each}
</select>

<style>
  select {
    font: inherit;
    font-size: 1.05rem;
    font-weight: 400;
    min-height: 48px;
    width: 100%;
    min-width: 0;
    box-sizing: border-box;
    background: var(--sheet);
    color: var(--ink);
    border: 1px solid var(--quiet);
    padding: 0 0.4rem;
  }
</style>
