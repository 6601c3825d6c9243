<script lang="ts">
  import * as common from "../texts/common";
  import TimelineBand from "./TimelineBand.svelte";
  import * as texts from "../texts/parts";
  import { say } from "../texts/say";
  import type { Snippet } from "svelte";
  import type { Schemas } from "../api/client";
  import { grouped, inUnit, toKm } from "../format/words";
  import {
    distanceTicks,
    horizon,
    SIGNS,
    monthTicks,
    placed,
    within,
    type Lane,
    type PlannedStep,
  } from "./timelineScale";

  interface Props {
    lanes: Lane[];
    today: string;
    /** with these the scale below carries distances */
    kmPerDay?: number | null;
    unit?: Schemas["DistanceUnit"];
    label: string;
    /** No further than so many days. */
    most?: number;
    /** Drawn over it: given where a day lies, how many days there are, and where the lanes begin and end. */
    over?: Snippet<[(days: number) => number, number, number, number]>;
    /** Drawn over each trip: given the trip, its height, where a day lies and how many days there are. */
    onTrip?: Snippet<[PlannedStep, number, (days: number) => number, number]>;
  }
  let { lanes: all, today, kmPerDay = null, unit = "km", label, most = Infinity, over, onTrip }: Props = $props();
  const lanes = $derived(all.map((lane) => within(lane, most)));

  let width = $state(900);
  const narrow = $derived(width < 620);
  const left = $derived(narrow ? 104 : 150);
  const [right, top] = [24, 30];
  const days = $derived(Math.min(horizon(lanes), most));
  const end = $derived(width - right);
  const x = (at: number) => left + (Math.min(at, days) / days) * (end - left);
  // Each lane is as high as its bands and the rows of its marks.
  const drawn = $derived.by(() => {
    let y = top;
    return lanes.map((lane) => {
      const marks = placed(lane.marks, x, end);
      const bandsHigh = lane.bands.length ? 10 + (lane.bands.length > 1 ? 34 : 16) : 4;
      const high = Math.max(
        bandsHigh + (marks.length ? Math.max(...marks.map((mark) => mark.row)) + 1 : 0) * 21 + 6,
        38,
      );
      const at = { lane, marks, y, marksAt: y + bandsHigh, high };
      y += high;
      return at;
    });
  });
  const base = $derived(drawn.reduce((sum, each) => sum + each.high, top));
  const height = $derived(base + (kmPerDay ? 38 : 10));
  const months = $derived(
    monthTicks(today, days).filter(
      (tick, at, all) => x(tick.at) - left > 44 && (!narrow || all.length < 5 || at % 2 === 0),
    ),
  );
  const distances = $derived(kmPerDay ? distanceTicks(inUnit(days * kmPerDay, unit)) : []);
  const atDistance = (distance: number) => x(toKm(distance, unit!) / kmPerDay!);
  // A label keeps inside the picture: near the right end it is written to the left of its mark.
  const anchor = (at: number) => (x(at) > end - 110 ? "end" : "start");
  const labelX = (at: number) => x(at) + (anchor(at) === "end" ? -10 : 10);
  // A label that would leave the picture is cut short; its whole text is its title.
  const fitting = (text: string, at: number) => {
    const room = Math.floor((anchor(at) === "end" ? x(at) - left : width - labelX(at)) / 6.6);
    return text.length > room ? `${text.slice(0, Math.max(room - 1, 3)).trimEnd()}…` : text;
  };
</script>

<div bind:clientWidth={width}>
  <svg {width} {height} viewBox="0 0 {width} {height}" role="img" aria-label={label}>
    {#each months as tick (tick.at)}
      <path class="tick" d="M{x(tick.at)} {top - 6}V{base}" />
      <text class="scale" x={x(tick.at)} y="15" text-anchor="middle">{tick.text}</text>
    {/each}
    <text class="scale now" x={left} y="15" text-anchor="middle">{common.now}</text>
    <path class="now-line" d="M{left} {top - 6}V{base}" />

    {#each drawn as { lane, marks, y, marksAt, high } (lane.id)}
      <text class="lane" x="0" y={y + 22}>{lane.label}</text>
      <path class="rule" d="M0 {y + high - 2}H{end}" />
      {#each lane.bands as band, which (band.id)}
        <TimelineBand {band} {which} {y} {days} {x} {end} />
      {/each}
      {#each marks as mark (mark.id)}
        {@const my = marksAt + 11 + mark.row * 21}
        {#if mark.kind === "trip"}
          <rect
            class="trip"
            x={x(mark.at)}
            y={my - 6}
            width={Math.max(x(mark.until ?? mark.at) - x(mark.at), 5)}
            height="12"
          />
          <text
            class="mark"
            x={anchor(mark.at) === "end" ? x(mark.at) - 6 : Math.max(x(mark.until ?? mark.at), x(mark.at) + 5) + 6}
            y={my + 4}
            text-anchor={anchor(mark.at)}>{fitting(mark.text, mark.until ?? mark.at)}<title>{mark.text}</title></text
          >
        {:else}
          <path class="sign {mark.kind}" transform="translate({x(mark.at)} {my})" d={SIGNS[mark.kind]} />
          <text class="mark" x={labelX(mark.at)} y={my + 4} text-anchor={anchor(mark.at)}
            >{fitting(mark.text, mark.at)}<title>{mark.text}</title></text
          >
        {/if}
      {/each}
    {/each}

    {@render over?.(x, days, top, base)}
    {#if onTrip}
      {#each drawn as { marks, marksAt } (marksAt)}
        {#each marks.filter((mark) => mark.kind === "trip") as mark (mark.id)}
          {@render onTrip(mark, marksAt + 11 + mark.row * 21, x, days)}
        {/each}
      {/each}
    {/if}
    {#if kmPerDay}
      <path class="axis" d="M{left} {base + 4}H{end}" />
      {#each distances as distance (distance)}
        <path class="axis" d="M{atDistance(distance)} {base + 1}v7" />
        <text class="scale" x={atDistance(distance)} y={base + 24} text-anchor="middle">{grouped(distance)}</text>
      {/each}
      <text class="scale" x={left} y={base + 24} text-anchor="end">{say(texts.unitFromNow, { unit })}</text>
    {/if}
  </svg>
</div>

<style>
  svg {
    display: block;
    max-width: 100%;
  }
  text {
    font-family: "Barlow", sans-serif;
    fill: var(--ink);
    font-size: 14px;
  }
  .scale {
    fill: var(--quiet);
    font-size: 13px;
    font-variant-numeric: tabular-nums;
  }
  .now {
    fill: var(--ink);
    font-weight: 600;
  }
  .lane {
    font-weight: 600;
    font-size: 15px;
  }
  .tick,
  .rule {
    stroke: var(--line);
    stroke-width: 1;
  }
  .now-line {
    stroke: var(--ink);
    stroke-width: 2;
  }
  .axis {
    stroke: var(--quiet);
    fill: none;
  }
  .sign {
    stroke: var(--ink);
    stroke-width: 2;
    fill: none;
  }
  .job {
    fill: var(--plan);
    stroke: none;
  }
  .order {
    fill: none;
    stroke: var(--plan);
  }
  .fluid {
    fill: var(--friction);
    stroke: none;
  }
  .trip {
    fill: var(--friction);
    opacity: 0.55;
  }
  .mark {
    font-size: 13px;
  }
</style>
