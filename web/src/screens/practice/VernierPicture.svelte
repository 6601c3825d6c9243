<script lang="ts">
  import "./instrument.css";
  import * as texts from "../../texts/practice";

  /**
   * Rule and slide of a vernier caliper: the slide's lines take up one line less of the rule. value: where the slide
   * stands; turn: from one line of the rule to the next, both in the instrument's unit.
   */
  let { value, turn, lines }: { value: number; turn: number; lines: number } = $props();
  const [HIGH, EDGE, LINE, ROOM] = [190, 90, 30, 4];
  const WIDE = $derived((lines + ROOM + 1) * LINE + 10);
  const stands = $derived(value / turn);
  const from = $derived(Math.max(0, Math.floor(stands + 1e-6) - 2));
  const x = (at: number) => 20 + (at - from) * LINE;
  const rule = $derived(Array.from({ length: lines + ROOM + 1 }, (_, at) => from + at));
  /** Millimetres by fives; inches by tenths, four lines each. */
  const numbered = $derived(turn === 1 ? 5 : 4);
  const label = (at: number) => (turn === 1 ? at : at / 4);
  const slide = $derived(Array.from({ length: lines + 1 }, (_, line) => line));
  const at = (line: number) => x(stands + line * ((lines - 1) / lines));
</script>

<svg class="instrument" viewBox="0 0 {WIDE} {HIGH}" role="img" aria-label={texts.aVernier}>
  <rect x="0" y="14" width={WIDE} height={EDGE - 14} class="standing" />
  <rect x={at(0) - 14} y={EDGE} width={at(lines) - at(0) + 28} height="76" class="moving" />
  {#each rule as line (line)}
    <line x1={x(line)} x2={x(line)} y1={EDGE} y2={EDGE - (line % numbered ? 26 : 38)} class="ink" />
    {#if line % numbered === 0}<text x={x(line)} y={EDGE - 44} text-anchor="middle">{label(line)}</text>{/if}
  {/each}
  {#each slide as line (line)}
    <line x1={at(line)} x2={at(line)} y1={EDGE} y2={EDGE + (line % 5 ? 26 : 38)} class="ink" />
    {#if line % 5 === 0}<text x={at(line)} y={EDGE + 58} text-anchor="middle">{line}</text>{/if}
  {/each}
</svg>

<style>
  svg {
    width: min(760px, 100%);
  }
</style>
