<script lang="ts">
  import type { HTMLButtonAttributes } from "svelte/elements";

  /**
   * A button that is not the thing to do on its page: link reads as a link within text, boxed is a white box. A plain
   * button: the widget library's has a fixed height and room for an icon, and says nothing of being pressed.
   */
  interface Props extends HTMLButtonAttributes {
    look?: "link" | "boxed";
    pressed?: boolean;
    /** What is pressed is a bad sign. */
    bad?: boolean;
  }
  let { look = "boxed", pressed, bad = false, type = "button", children, ...rest }: Props = $props();
</script>

<button {type} class={look} class:bad aria-pressed={pressed} {...rest}>{@render children?.()}</button>

<style>
  .boxed {
    min-height: var(--control-height);
    padding: 0.25rem 0.8rem;
    border: var(--control-edge) solid var(--control-line);
    background: var(--sheet);
    color: var(--petrol);
    font: inherit;
    font-size: var(--control-text, inherit);
    font-weight: var(--control-weight, inherit);
    cursor: pointer;
  }
  .boxed:disabled {
    color: var(--quiet);
    cursor: default;
  }
  .boxed[aria-pressed="true"] {
    border-color: var(--petrol);
    box-shadow: inset 0 -4px var(--petrol);
    font-weight: 600;
  }
  .bad[aria-pressed="true"] {
    border-color: var(--stop);
    box-shadow: inset 0 -4px var(--stop);
  }
  .link {
    min-height: var(--link-height, 0);
    padding: 0.3rem 0;
    border: 0;
    background: none;
    color: var(--petrol);
    font: inherit;
    text-align: left;
    text-decoration: underline;
    cursor: pointer;
  }
</style>
