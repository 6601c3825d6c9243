<script lang="ts">
  import * as common from "../texts/common";
  import * as texts from "../texts/parts";
  import { say } from "../texts/say";
  import type { Schemas } from "../api/client";
  import { lengthFigure, limitLength, thickness } from "../format/lengths";
  import { partAt } from "../format/words";
  import { drawCorner, type Span } from "./sectionGeometry";

  let {
    corner,
    scale = 5,
    active = null,
    labels = true,
  }: { corner: Schemas["Corner"]; scale?: number; active?: string | null; labels?: boolean } = $props();

  const id = $props.id();
  const drawing = $derived(drawCorner(corner));
  /** Linings are thin: a drum brake is drawn larger. */
  const DRUM_TIMES = 1.6;
  const grain = $derived(corner.drum ? scale * DRUM_TIMES : scale);
  const small = $derived(scale < 3.4);
  const edge = $derived(small ? 12 : 20);
  const tall = $derived(
    small
      ? { top: 18, rotor: 58, inset: 9, bottom: 20, text: 12 }
      : { top: 46, rotor: 120, inset: 22, bottom: 34, text: 19 },
  );
  const width = $derived(drawing.width * grain + 2 * edge);
  const height = $derived(tall.top + tall.rotor + tall.bottom);
  const padTop = $derived(tall.top + tall.inset);
  const padHeight = $derived(tall.rotor - 2 * tall.inset);
  const x = (at: number) => edge + at * grain;
  const w = (span: Span) => Math.max((span.to - span.from) * grain, 0);
  const of = (id: string) => corner.pads.find((pad) => pad.pad === id)!;
  const limit = $derived(limitLength(corner.pads[0]!.limit_mm, "pad"));
  const known = (mm: number | null, part: string) => (mm === null ? common.unknown : limitLength(mm, part));
  const turning = $derived(
    corner.drum
      ? say(texts.drumAndMaximum, {
          diameter: thickness(corner.drum.now_mm, "drum"),
          maximum: known(corner.drum.maximum_mm, "drum"),
        })
      : say(texts.rotorAndDiscard, {
          thickness: thickness(corner.rotor!.now_mm, "rotor"),
          discard: known(corner.rotor!.discard_mm, "rotor"),
        }),
  );
  const spoken = (pad: Schemas["PadNow"]) => `${pad.label} ${partAt("pad", pad.pad)} ${thickness(pad.now_mm, "pad")}`;
  const title = $derived(
    say(texts.cornerSpoken, { side: corner.side, pads: corner.pads.map(spoken).join(", "), limit }) + turning,
  );
  const figure = $derived(
    corner.drum
      ? `\u2300\u00a0${lengthFigure(corner.drum.now_mm, "drum")}`
      : lengthFigure(corner.rotor!.now_mm, "rotor"),
  );
</script>

<svg {width} {height} viewBox="0 0 {width} {height}" role="img" aria-label={title}>
  <defs>
    {#each drawing.pads as pad (pad.id)}
      <linearGradient id="{id}-{pad.id}" x1={pad.facing === 1 ? "0" : "1"} x2={pad.facing === 1 ? "1" : "0"}>
        <stop offset="0" stop-color="var(--friction)" />
        <stop offset="1" stop-color="var(--friction)" stop-opacity="0.08" />
      </linearGradient>
    {/each}
    <pattern id="{id}-unknown" width="7" height="7" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
      <path d="M0 0V7" stroke="var(--gone)" stroke-width="1.5" />
    </pattern>
  </defs>

  {#each drawing.bodies as body (body.whole.from)}
    {#if body.now}
      <rect class="gone" x={x(body.whole.from)} y={tall.top} width={w(body.whole)} height={tall.rotor} />
      <rect
        class="rotor"
        x={x(body.now.from)}
        y={tall.top}
        width={w(body.now)}
        height={tall.rotor}
        class:active={active === corner.side}
      />
    {:else}
      <rect
        x={x(body.whole.from)}
        y={tall.top}
        width={w(body.whole)}
        height={tall.rotor}
        fill="url(#{id}-unknown)"
        class="unknown"
        class:active={active === corner.side}
      />
    {/if}
  {/each}

  {#each drawing.pads as pad (pad.id)}
    {@const now = of(pad.id)}
    <rect class="plate" x={x(pad.plate.from)} y={padTop - 3} width={w(pad.plate)} height={padHeight + 6} />
    {#if now.now_mm === null}
      <rect
        x={x(pad.gone.from)}
        y={padTop}
        width={w(pad.gone)}
        height={padHeight}
        fill="url(#{id}-unknown)"
        class="unknown"
      />
    {:else}
      <rect class="gone" x={x(pad.gone.from)} y={padTop} width={w(pad.gone)} height={padHeight} />
      <rect fill="var(--friction)" x={x(pad.solid.from)} y={padTop} width={w(pad.solid)} height={padHeight} />
      <rect fill="url(#{id}-{pad.id})" x={x(pad.soft.from)} y={padTop} width={w(pad.soft)} height={padHeight} />
    {/if}
    <path class="pad-limit" d="M{x(pad.limitAt)} {padTop - (small ? 4 : 9)}V{padTop + padHeight + (small ? 4 : 9)}" />
    {#if active === `${corner.side}_${pad.id}`}
      <rect
        class="active"
        fill="none"
        x={x(Math.min(pad.plate.from, pad.gone.from, pad.solid.from))}
        y={padTop - 7}
        width={w(pad.plate) + Math.abs(w(pad.gone) + now.now_mm! * grain || w(pad.gone))}
        height={padHeight + 14}
      />
    {/if}
    <text class="number" x={x(pad.middle)} y={tall.top - (small ? 4 : 8)} font-size={tall.text}
      >{lengthFigure(now.now_mm, "pad")}</text
    >
    {#if labels && !small}
      <text class="label" x={x(pad.middle)} y="16">{now.label}</text>
    {/if}
  {/each}

  {#each drawing.bodies.flatMap((body) => body.limits) as limit (limit)}
    <path class="rotor-limit" d="M{x(limit)} {tall.top + 4}V{tall.top + tall.rotor + (small ? 3 : 8)}" />
  {/each}
  <text class="number" x={x(drawing.figureAt)} y={height - (small ? 4 : 5)} font-size={tall.text}>{figure}</text>
</svg>

<style>
  svg {
    max-width: 100%;
    height: auto;
    display: block;
  }
  .plate {
    fill: var(--plate);
  }
  .rotor {
    fill: var(--rotor);
    stroke: var(--rotor-edge);
    stroke-width: 1;
  }
  .gone {
    fill: none;
    stroke: var(--gone);
    stroke-width: 1;
    stroke-dasharray: 3 3;
  }
  .unknown {
    stroke: var(--gone);
    stroke-width: 1;
    stroke-dasharray: 3 3;
  }
  .pad-limit {
    stroke: var(--pad-limit);
    stroke-width: 2;
  }
  .rotor-limit {
    stroke: var(--rotor-limit);
    stroke-width: 2;
    stroke-dasharray: 1.5 3.5;
    stroke-linecap: round;
  }
  .active {
    stroke: var(--petrol);
    stroke-width: 3;
  }
  text {
    fill: var(--ink);
    text-anchor: middle;
  }
  .number {
    font-family: "Barlow Semi Condensed", sans-serif;
    font-weight: 600;
  }
  .label {
    fill: var(--quiet);
    font-size: 13px;
    font-family: "Barlow", sans-serif;
  }
</style>
