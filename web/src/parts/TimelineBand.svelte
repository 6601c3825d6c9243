<script lang="ts">
  import * as texts from "../texts/parts";
  import { say } from "../texts/say";
  import type { Band } from "./timelineScale";

  /** Where 8 in 10 cases reach their limit, with its middle: the pads' above, thick; the rotors' below. */
  interface Props {
    band: Band;
    which: number;
    /** The top of its lane. */
    y: number;
    /** Days on the scale, where a day lies on it, and where it ends. */
    days: number;
    x: (days: number) => number;
    end: number;
  }
  let { band, which, y, days, x, end }: Props = $props();
  const beyond = $derived(band.middle > days);
  const inside = $derived(x(band.high) - x(band.low) > 60);
</script>

{#if band.low <= days}
  <rect
    class="band"
    class:rotors={band.id === "rotors"}
    x={x(band.low)}
    y={y + (which === 0 ? 5 : 25)}
    width={Math.max(x(band.high) - x(band.low), 4)}
    height={which === 0 ? 17 : 15}
  >
    <title
      >{say(texts.bandSpoken, {
        text: band.text,
        round: Math.round(band.low),
        round2: Math.round(band.high),
      })}</title
    >
  </rect>
  {#if !beyond}
    <path class="median" d="M{x(band.middle)} {y + (which === 0 ? 2 : 23)}v{which === 0 ? 23 : 19}" />
  {/if}
  {#if band.high > days}
    <path class="more" d="M{end + 2} {y + (which === 0 ? 7 : 26)}l7 6.5l-7 6.5z" />
  {/if}
  {#if inside || x(band.high) < end - 60}
    <text
      class="in-band"
      class:thin={which > 0}
      x={inside ? x(band.low) + 6 : Math.max(x(band.high), x(band.low) + 4) + 6}
      y={y + (which === 0 ? 18 : 37)}>{band.label}</text
    >
  {/if}
{:else}
  <text class="beyond" x={end} y={y + (which === 0 ? 18 : 37)} text-anchor="end"
    >{say(texts.offTheScale, { label: band.label })}</text
  >
{/if}

<style>
  text {
    font-family: "Barlow", sans-serif;
    fill: var(--ink);
  }
  .band {
    fill: var(--band);
    opacity: 0.32;
  }
  .rotors {
    fill: var(--rotor-limit);
  }
  .median {
    stroke: var(--ink);
    stroke-width: 2.5;
  }
  .in-band {
    font-size: 13px;
  }
  .thin {
    font-size: 12px;
  }
  .more {
    fill: var(--quiet);
  }
  .beyond {
    fill: var(--quiet);
    font-size: 13px;
  }
</style>
