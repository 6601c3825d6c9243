<script lang="ts">
  import * as texts from "../../texts/job";
  import { say } from "../../texts/say";
  let { order }: { order: number[] } = $props();
  const count = $derived(order.length);
  const place = (nut: number) => {
    const angle = ((nut - 1) / count) * 2 * Math.PI - Math.PI / 2;
    return { x: 50 + 34 * Math.cos(angle), y: 50 + 34 * Math.sin(angle) };
  };
  const turn = (nut: number) => order.indexOf(nut) + 1;
  const path = $derived(order.map((nut, at) => `${at === 0 ? "M" : "L"}${place(nut).x} ${place(nut).y}`).join(""));
</script>

<svg
  viewBox="0 0 100 100"
  width="104"
  height="104"
  role="img"
  aria-label={say(texts.tightenInThisOrderCounted, { order: order.join(", ") })}
>
  <circle cx="50" cy="50" r="48" class="rim" />
  <path d={path} />
  {#each order as nut (nut)}
    <circle cx={place(nut).x} cy={place(nut).y} r="10" class="nut" />
    <text x={place(nut).x} y={place(nut).y + 4.5}>{turn(nut)}</text>
  {/each}
</svg>

<style>
  .rim {
    fill: none;
    stroke: var(--line);
    stroke-width: 1.5;
  }
  path {
    fill: none;
    stroke: var(--gone);
    stroke-width: 1;
  }
  .nut {
    fill: var(--sheet);
    stroke: var(--ink);
    stroke-width: 1.5;
  }
  text {
    text-anchor: middle;
    font:
      600 13px "Barlow Semi Condensed",
      sans-serif;
    fill: var(--ink);
  }
</style>
