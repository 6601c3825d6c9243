<script lang="ts">
  /** A square of dark and light as a camera reads it: dark on white in every theme, with its white rim. */
  let { modules, label }: { modules: string[]; label: string } = $props();
  const RIM = 4;
  const size = $derived(modules.length + 2 * RIM);
  const path = $derived(
    modules
      .flatMap((row, y) => [...row].map((dark, x) => (dark === "1" ? `M${x + RIM} ${y + RIM}h1v1h-1z` : "")))
      .join(""),
  );
</script>

<svg viewBox="0 0 {size} {size}" role="img" aria-label={label} shape-rendering="crispEdges">
  <rect width={size} height={size} fill="#fff" />
  <path d={path} fill="#000" />
</svg>

<style>
  svg {
    width: min(18rem, 100%);
    height: auto;
  }
</style>
