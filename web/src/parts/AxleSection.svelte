<script lang="ts">
  import { lengthUnit, limitLength } from "../format/lengths";
  import * as common from "../texts/common";
  import * as texts from "../texts/parts";
  import { say } from "../texts/say";
  import type { Schemas } from "../api/client";
  import { ofBrake } from "../format/words";
  import CornerSection from "./CornerSection.svelte";
  import SaveSvg from "./SaveSvg.svelte";

  let {
    corners,
    scale = 5,
    active = null,
    legend = false,
    title,
  }: {
    corners: Schemas["Corner"][];
    scale?: number;
    active?: string | null;
    legend?: boolean;
    /** Under this name it can be saved. */
    title?: string;
  } = $props();
  const first = $derived(corners[0]);
  const known = (mm: number | null | undefined, part: string) => (mm == null ? common.unknown : limitLength(mm, part));
  const unit = $derived(lengthUnit("pad") === "mm" ? "mm" : texts.inches);
</script>

<div class="whole" data-picture>
  <div class="axle" class:small={scale < 3.4}>
    {#each corners as corner (corner.side)}
      <figure>
        <CornerSection {corner} {scale} {active} />
        <figcaption class="quiet">{say(texts.sideWheel, { side: corner.side })}</figcaption>
      </figure>
    {/each}
  </div>
  {#if legend && first}
    <ul class="plain-list legend quiet">
      <li>
        <svg width="10" height="18" aria-hidden="true"
          ><path d="M5 1V17" stroke="var(--pad-limit)" stroke-width="2" /></svg
        >
        {ofBrake(say(texts.padLimit, { limit: known(first.pads[0]?.limit_mm, "pad") }), first.drum ? "drum" : "disc")}
      </li>
      <li>
        <svg width="10" height="18" aria-hidden="true"
          ><path
            d="M5 1V17"
            stroke="var(--rotor-limit)"
            stroke-width="2"
            stroke-dasharray="1.5 3.5"
            stroke-linecap="round"
          /></svg
        >
        {first.drum
          ? say(texts.drumMaximum, { maximum: known(first.drum.maximum_mm, "drum") })
          : say(texts.rotorDiscard, { discard: known(first.rotor?.discard_mm, "rotor") })}
      </li>
      <li>
        <svg width="18" height="14" aria-hidden="true"
          ><rect x="1" y="1" width="16" height="12" fill="none" stroke="var(--gone)" stroke-dasharray="3 3" /></svg
        >
        {texts.gone}
      </li>
      {#if title}<li><SaveSvg {title} /></li>{/if}
      <li>{say(first.drum ? texts.drumSectionNote : texts.sectionNote, { unit })}</li>
    </ul>
  {/if}
</div>

<style>
  .axle {
    display: flex;
    flex-wrap: wrap;
    gap: 0.5rem 2.5rem;
    align-items: end;
  }
  .small {
    gap: 0.25rem 0.5rem;
    flex-wrap: nowrap;
  }
  figure {
    margin: 0;
    min-width: 0;
  }
  figcaption {
    text-align: center;
    margin-top: 0.15rem;
  }
  .small figcaption {
    display: none;
  }
  .whole {
    width: fit-content;
    max-width: 100%;
  }
  /* takes the drawing's width and never widens it */
  .legend {
    width: 0;
    min-width: 100%;
    display: flex;
    flex-wrap: wrap;
    gap: 0.25rem 1.25rem;
    margin-top: 0.5rem;
  }
  .legend li {
    display: inline-flex;
    gap: 0.4rem;
    align-items: center;
  }
</style>
