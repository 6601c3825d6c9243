<script lang="ts">
  import "./paint.css";
  import * as texts from "../../texts/brake";
  import { Picture, type Label, type Shown } from "./picture.svelte";
  import type { Part } from "./scene";
  import { turning } from "./turning";
  import PlainButton from "../controls/PlainButton.svelte";

  /** A brake in three dimensions, of what a step or a word is about: turned by finger or arrow keys, its parts tapped. */
  interface Props {
    parts: Part[];
    shown?: Shown;
    labels?: Label[];
    /** What it shows, in words. */
    said: string;
    /** Height over width; in px at most. */
    ratio?: number;
    tallest?: number;
    apart?: boolean;
    /** Parts drawn from values that are missing are dashed. */
    dashed?: boolean;
    picked?: string | null;
    pick?: (part: Part) => void;
  }
  const NOTHING: Shown = { off: [], out: [], in: [], hidden: [], of: [] };
  let {
    parts,
    shown = NOTHING,
    labels = [],
    said,
    ratio = 0.9,
    tallest,
    apart = false,
    dashed = false,
    picked = null,
    pick,
  }: Props = $props();
  const picture = $derived.by(() => {
    const made = new Picture(parts, shown, labels, ratio, tallest);
    made.apart = apart;
    return made;
  });
  let width = $state(0);
  $effect(() => {
    if (width) picture.width = width;
  });
  $effect(() => picture.play());
  $effect(() => {
    picture.picked = picked;
    picture.dashed = dashed;
  });
  function painting(group: SVGGElement, markup: string) {
    const update = (changed: string) => (group.innerHTML = changed);
    update(markup);
    return { update };
  }
  const byId = $derived(new Map(parts.map((part) => [part.id, part])));
  const tap = (id: string) => pick?.(byId.get(id)!);
</script>

<figure>
  <!-- svelte-ignore a11y_no_noninteractive_tabindex -->
  <div
    class="box"
    role="application"
    aria-roledescription={texts.turnable}
    aria-label={said}
    tabindex="0"
    bind:clientWidth={width}
    use:turning={{ picture, tap }}
  >
    <svg
      class="brake-drawing"
      width={picture.width}
      height={picture.height}
      viewBox="0 0 {picture.width} {picture.height}"
      role="img"
      aria-label={said}
    >
      <g transform="scale(0.1)" use:painting={picture.markup}></g>
      <text class="side" x="8" y={picture.height - 8}>{picture.behind ? texts.fromBehind : texts.fromOutside}</text>
      {#if picture.arrow}<path class="halo" d={picture.arrow} /><path class="arrow" d={picture.arrow} />{/if}
      {#each picture.written as label (label.leader)}
        <path class="leader" d={label.leader} />
        <text x={label.x} y={label.y} text-anchor={label.end}
          >{#each label.lines as line, at (at)}<tspan x={label.x} dy={at ? 20 : 0} class:strong={at === 0}>{line}</tspan
            >{/each}</text
        >
      {/each}
    </svg>
  </div>
  <figcaption class="no-print">
    <PlainButton look="link" onclick={() => picture.turnRound()}>{texts.turnRound}</PlainButton>
    <PlainButton look="link" pressed={picture.apart} onclick={() => (picture.apart = !picture.apart)}
      >{picture.apart ? texts.asItIs : texts.takeApart}</PlainButton
    >
  </figcaption>
</figure>

<style>
  figure {
    position: relative;
    margin: 0;
    min-width: 0;
  }
  .box {
    /* As wide as its room, never as wide as what is drawn in it. */
    contain: inline-size;
    touch-action: pan-y;
    cursor: grab;
    overflow: hidden;
  }
  svg {
    display: block;
    user-select: none;
  }
  /* Beside the words that say from where it is seen. */
  figcaption {
    position: absolute;
    right: 8px;
    bottom: 0;
    display: flex;
    gap: 0 1rem;
    font-size: 0.875rem;
    align-items: center;
  }
  .arrow,
  .halo {
    fill: none;
    stroke: var(--stop);
    stroke-width: 3.5;
    stroke-linecap: round;
    pointer-events: none;
  }
  .halo {
    stroke: var(--sheet);
    stroke-width: 7;
  }
  .leader {
    fill: none;
    stroke: var(--ink);
    stroke-width: 1.25;
    pointer-events: none;
  }
  text {
    font-size: 15px;
    fill: var(--ink);
    stroke: var(--sheet);
    stroke-width: 4px;
    paint-order: stroke;
    pointer-events: none;
  }
  .side {
    font-size: 14px;
    fill: var(--quiet);
  }
  .strong {
    font-weight: 600;
  }
</style>
