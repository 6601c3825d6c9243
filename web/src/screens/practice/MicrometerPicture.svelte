<script lang="ts">
  import "./instrument.css";
  import * as texts from "../../texts/practice";

  /**
   * Sleeve and thimble of a micrometer. sleeve: the last of its lines that is visible; turn: from one line of it to the
   * next, both in the instrument's unit; thimble: its line at the datum line, of so many lines.
   */
  interface Props {
    sleeve: number;
    turn: number;
    thimble: number;
    lines: number;
  }
  let { sleeve, turn, thimble, lines }: Props = $props();
  const [WIDE, HIGH, LINE] = [520, 230, 9];
  const datum = HIGH / 2;
  const edge = 330;
  const metric = $derived(turn === 0.5);
  /** Turns to a numbered line, px of a turn. Whole millimetres stand above the datum line and halves below it. */
  const [numbered, wide] = $derived(metric ? [10, 15] : [4, 24]);
  const last = $derived(Math.round(sleeve / turn));
  const x = (at: number) => edge - (last - at + thimble / lines) * wide;
  const turns = $derived(Array.from({ length: 24 }, (_, back) => last - back).filter((at) => at >= 0 && x(at) > 14));
  const near = Array.from({ length: 19 }, (_, at) => at - 9);
  const number = (line: number) => (((thimble + line) % lines) + lines) % lines;
  const length = (at: number) => (at % numbered === 0 ? -28 : metric && at % 2 ? 18 : -18);
  const label = (at: number) => (metric ? at / 2 : at / 4);
</script>

<svg class="instrument" viewBox="0 0 {WIDE} {HIGH}" role="img" aria-label={texts.aMicrometer}>
  <rect x="0" y={datum - 52} width={edge} height="104" class="standing" />
  <line x1="8" x2={edge} y1={datum} y2={datum} class="ink" />
  {#each turns as at (at)}
    <line x1={x(at)} x2={x(at)} y1={datum} y2={datum + length(at)} class="ink" />
    {#if at % numbered === 0}<text x={x(at)} y={datum - 33} text-anchor="middle">{label(at)}</text>{/if}
  {/each}
  <path
    d="M{edge} {datum - 92} L{edge + 46} {datum - 104} H{WIDE} V{datum + 104} H{edge + 46} L{edge} {datum + 92} Z"
    class="moving"
  />
  {#each near as line (line)}
    {@const long = number(line) % 5 === 0}
    <line x1={edge} x2={edge + (long ? 40 : 24)} y1={datum - line * LINE} y2={datum - line * LINE} class="ink" />
    {#if long}<text x={edge + 50} y={datum - line * LINE + 6}>{number(line)}</text>{/if}
  {/each}
</svg>

<style>
  svg {
    width: min(520px, 100%);
  }
</style>
