<script lang="ts">
  import RadioField from "./RadioField.svelte";

  /** One of a few, all in sight. onpick as in RadioField. */
  interface Props {
    legend: string;
    /** The legend is for screen readers alone. */
    unseen?: boolean;
    options: readonly { id: string; label: string }[];
    chosen?: string | null;
    onpick?: (id: string) => unknown;
  }
  const name = $props.id();
  let { legend, unseen = false, options, chosen = $bindable(), onpick }: Props = $props();
</script>

<fieldset>
  <legend class:unseen>{legend}</legend>
  {#each options as { id, label } (id)}
    {#if onpick}<RadioField {name} {id} {label} {chosen} {onpick} />{:else}<RadioField
        {name}
        {id}
        {label}
        bind:chosen
      />{/if}
  {/each}
</fieldset>

<style>
  fieldset {
    display: flex;
    flex-wrap: wrap;
    gap: 0 1.5rem;
    margin: 0;
    padding: 0;
    border: 0;
  }
  legend {
    padding: 0;
    font-size: 1rem;
    font-weight: 600;
    line-height: 1.3;
  }
</style>
