<script lang="ts">
  import * as texts from "../../texts/practice";
  import type { Schemas } from "../../api/client";

  /** A rotor cut through from its edge inwards: the lip, the swept face with a groove, and where no pad reaches. */
  let { picture }: { picture: Schemas["DrillPicture"] } = $props();
  const [WIDE, HIGH, MM, THICK] = [640, 330, 9.5, 8];
  /** from the edge, mm: where the pad begins and ends, and the groove */
  const [BEGINS, ENDS, GROOVE, GROOVE_WIDE] = [5, 46, 26, 2];
  const middle = HIGH / 2;
  const x = (mm: number) => 40 + mm * MM;
  const half = (mm: number) => (mm / 2) * THICK;
  const edge = $derived(half(picture.new_mm!));
  const face = $derived(half(picture.face_mm!));
  const groove = $derived(face - picture.groove_mm! * THICK);
  const outline = (up: 1 | -1): [number, number][] => [
    [0, edge],
    [BEGINS, edge],
    [BEGINS + 0.6, face],
    [GROOVE - GROOVE_WIDE / 2, face],
    [GROOVE, up > 0 ? groove : face],
    [GROOVE + GROOVE_WIDE / 2, face],
    [ENDS, face],
    [ENDS + 0.6, edge],
    [60, edge],
  ];
  const points = (up: 1 | -1) => outline(up).map(([mm, high]) => `${x(mm)},${middle - up * high}`);
</script>

<svg viewBox="0 0 {WIDE} {HIGH}" role="img" aria-label={texts.aRotorCutThrough}>
  <polygon points={[...points(1), ...points(-1).reverse()].join(" ")} class="rotor" />
  {#each picture.places ?? [] as place (place.id)}
    {@const at = x(place.from_edge_mm)}
    <line x1={at} x2={at} y1="34" y2={middle - edge - 6} class="arrow" />
    <line x1={at} x2={at} y1={HIGH - 34} y2={middle + edge + 6} class="arrow" />
    <text x={at} y="24" text-anchor="middle">{place.id.toUpperCase()}</text>
  {/each}
  <text x="40" y={HIGH - 8} class="small">{texts.edgeOfTheRotor}</text>
  <text x={x(60)} y={HIGH - 8} text-anchor="end" class="small">{texts.towardsTheHub}</text>
</svg>

<style>
  svg {
    width: min(640px, 100%);
    height: auto;
    background: var(--paper);
  }
  .rotor {
    fill: var(--rotor);
    stroke: var(--rotor-edge);
    stroke-width: 1.5;
  }
  .arrow {
    stroke: var(--ink);
    stroke-width: 2;
  }
  text {
    fill: var(--ink);
    font-size: 22px;
    font-weight: 700;
  }
  .small {
    font-size: 15px;
    font-weight: 400;
    fill: var(--quiet);
  }
</style>
