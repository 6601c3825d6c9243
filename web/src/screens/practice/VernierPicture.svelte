<script lang="ts">
  import "./instrument.css";
  import * as texts from "../../texts/practice";

  /** Rule and slide of a vernier caliper: the slide's lines take up one millimetre less than as many of the rule. */
  let { value, lines }: { value: number; lines: number } = $props();
  const [WIDE, HIGH, EDGE] = [760, 190, 90];
  const MM = 30;
  const from = $derived(Math.max(0, Math.floor(value) - 2));
  const x = (mm: number) => 20 + (mm - from) * MM;
  const rule = $derived(Array.from({ length: 25 }, (_, at) => from + at));
  const slide = $derived(Array.from({ length: lines + 1 }, (_, line) => line));
  const at = (line: number) => x(value + line * ((lines - 1) / lines));
</script>

<svg class="instrument" viewBox="0 0 {WIDE} {HIGH}" role="img" aria-label={texts.aVernier}>
  <rect x="0" y="14" width={WIDE} height={EDGE - 14} class="standing" />
  <rect x={at(0) - 14} y={EDGE} width={at(lines) - at(0) + 28} height="76" class="moving" />
  {#each rule as mm (mm)}
    <line x1={x(mm)} x2={x(mm)} y1={EDGE} y2={EDGE - (mm % 5 ? 26 : 38)} class="ink" />
    {#if mm % 5 === 0}<text x={x(mm)} y={EDGE - 44} text-anchor="middle">{mm}</text>{/if}
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
