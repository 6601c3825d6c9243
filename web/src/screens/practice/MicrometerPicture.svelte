<script lang="ts">
  import "./instrument.css";
  import * as texts from "../../texts/practice";

  /** Sleeve and thimble of a metric micrometer. sleeve: mm in bare halves; thimble: its line at the datum line. */
  let { sleeve, thimble }: { sleeve: number; thimble: number } = $props();
  const [WIDE, HIGH, MM, LINE] = [520, 230, 30, 9];
  const LINES = 50;
  const datum = HIGH / 2;
  const edge = 330;
  const value = $derived(sleeve + thimble / 100);
  const x = (mm: number) => edge - (value - mm) * MM;
  const halves = $derived(Array.from({ length: 24 }, (_, at) => sleeve - at / 2).filter((mm) => mm >= 0 && x(mm) > 14));
  const near = Array.from({ length: 19 }, (_, at) => at - 9);
  const number = (line: number) => (((thimble + line) % LINES) + LINES) % LINES;
</script>

<svg class="instrument" viewBox="0 0 {WIDE} {HIGH}" role="img" aria-label={texts.aMicrometer}>
  <rect x="0" y={datum - 52} width={edge} height="104" class="standing" />
  <line x1="8" x2={edge} y1={datum} y2={datum} class="ink" />
  {#each halves as mm (mm)}
    {@const whole = Number.isInteger(mm)}
    <line x1={x(mm)} x2={x(mm)} y1={datum} y2={datum + (whole ? (mm % 5 ? -18 : -28) : 18)} class="ink" />
    {#if whole && mm % 5 === 0}<text x={x(mm)} y={datum - 33} text-anchor="middle">{mm}</text>{/if}
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
