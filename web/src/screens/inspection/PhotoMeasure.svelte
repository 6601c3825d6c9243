<script lang="ts">
  import * as texts from "../../texts/photoMeasure";
  import { say } from "../../texts/say";
  import { onDestroy } from "svelte";
  import FileButton from "../../parts/controls/FileButton.svelte";
  import PlainButton from "../../parts/controls/PlainButton.svelte";
  import SelectField from "../../parts/controls/SelectField.svelte";
  import TextField from "../../parts/controls/TextField.svelte";
  import Fault from "../../parts/Fault.svelte";
  import { PhotoMarks, ZOOMS, type Rules } from "./photoMarks.svelte";
  import type { Schemas } from "../../api/client";

  /** A pad measured in a photo: a known length and its edges are marked. */
  interface Props {
    rules: Rules;
    rotor: string;
    /** photo: with its marks */
    use: (measured: Schemas["PhotoMeasured"], photo: Promise<Blob>) => void;
    close: () => void;
  }
  let { rules, rotor, use, close }: Props = $props();
  // svelte-ignore state_referenced_locally
  const marks = new PhotoMarks(rules, rotor);
  onDestroy(() => marks.end());
  let unreadable = $state("");
  const take = (files: FileList) =>
    marks.take(files[0]!).then(
      () => (unreadable = ""),
      () => (unreadable = texts.unreadable),
    );
  const KEYS: Record<string, [number, number]> = {
    ArrowLeft: [-1, 0],
    ArrowRight: [1, 0],
    ArrowUp: [0, -1],
    ArrowDown: [0, 1],
  };
  function pressed(event: KeyboardEvent, at: number) {
    const way = KEYS[event.key];
    if (!way) return;
    event.preventDefault();
    event.stopPropagation();
    const by = event.shiftKey ? 10 : 1;
    marks.move(at, way[0] * by, way[1] * by);
  }
  /** What a pointer drags: a mark, or the photo under the view. */
  let dragged: number | "photo" | null = null;
  function grab(event: PointerEvent, what: number | "photo") {
    event.stopPropagation();
    dragged = what;
    if (typeof what === "number") marks.at = what;
    (event.currentTarget as Element).setPointerCapture(event.pointerId);
  }
  function drag(event: PointerEvent) {
    if (dragged === null) return;
    if (dragged === "photo") marks.pan(event.movementX, event.movementY);
    else marks.move(dragged, event.movementX, event.movementY);
  }
  const height = $derived(marks.photo ? (marks.width * marks.photo.height) / marks.photo.width : 0);
  const spot = (at: number) => marks.spots[at]!;
</script>

<section class="measure" aria-label={texts.title}>
  <div class="row spread">
    <h3>{texts.title}</h3>
    <PlainButton look="link" onclick={close}>{texts.cancel}</PlainButton>
  </div>
  <p class="quiet">{texts.what}</p>
  <FileButton label={marks.photo ? texts.another : texts.takeOne} accept="image/*" capture="environment" pick={take} />
  <Fault text={unreadable} />
  {#if marks.photo}
    <div class="fields row">
      <SelectField label={texts.against} value={marks.known} options={rules.known} onchoose={(id) => marks.pick(id)} />
      <TextField
        label={marks.asked.ask}
        inputmode="text"
        width="short"
        bind:value={marks.length}
        oninput={() => marks.changed()}
        fault={marks.fault?.field === "length" ? marks.fault.message : ""}
      />
      <SelectField
        label={texts.apart}
        value={marks.away}
        options={rules.away}
        onchoose={(id) => ((marks.away = id), marks.changed())}
      />
    </div>
    <p class="quiet">{texts.howToSet}</p>
    <div class="row">
      <PlainButton disabled={marks.zoom === ZOOMS.at(-1)} onclick={() => marks.zoomBy(1)}>{texts.closer}</PlainButton>
      <PlainButton disabled={marks.zoom === 1} onclick={() => marks.zoomBy(-1)}>{texts.wider}</PlainButton>
      {#each texts.spots as label, at (at)}
        <PlainButton pressed={marks.at === at} onclick={() => marks.look(at)}
          >{marks.isSet(at) ? "✓ " : ""}{label}</PlainButton
        >
      {/each}
    </div>
    <div class="picture" bind:clientWidth={marks.width}>
      <!-- svelte-ignore a11y_no_static_element_interactions -->
      <svg
        width={marks.width}
        {height}
        viewBox={marks.view.join(" ")}
        onpointerdown={(event) => grab(event, "photo")}
        onpointermove={drag}
        onpointerup={() => (dragged = null)}
        onpointercancel={() => (dragged = null)}
      >
        <image href={marks.photo.address} width={marks.photo.width} height={marks.photo.height} />
        {#each [0, 2] as first (first)}
          <line
            class={first ? "edges" : "ends"}
            x1={spot(first)[0]}
            y1={spot(first)[1]}
            x2={spot(first + 1)[0]}
            y2={spot(first + 1)[1]}
            stroke-width={2 * marks.pixel}
          />
        {/each}
        {#each marks.spots as [x, y], at (at)}
          <g
            class={at < 2 ? "ends" : "edges"}
            class:now={marks.at === at}
            transform="translate({x} {y}) scale({marks.pixel})"
            role="button"
            tabindex="0"
            aria-label={texts.spots[at]}
            onpointerdown={(event) => grab(event, at)}
            onpointermove={drag}
            onpointerup={() => (dragged = null)}
            onfocus={() => (marks.at = at)}
            onkeydown={(event) => pressed(event, at)}
          >
            <circle class="hold" r="24" />
            <circle class="ring" r="13" />
            <path d="M-20 0H-3M3 0H20M0 -20V-3M0 3V20" />
          </g>
        {/each}
      </svg>
    </div>
    <p class="legend"><span class="ends">{texts.ends}</span> <span class="edges">{texts.edges}</span></p>
    <div role="status">
      {#if marks.result && marks.complete}
        <p class="found number">{say(texts.between, marks.result)}</p>
        <p>{texts.better[marks.result.largest]}</p>
        {#if marks.alone}<p class="quiet">{texts.alone}</p>{/if}
      {:else if !marks.complete}<p class="quiet">{texts.setAll}</p>{/if}
    </div>
    {#if marks.fault && marks.fault.field !== "length"}<Fault text={marks.fault.message} />{/if}
    {#if marks.result && marks.complete}
      <p class="quiet">{texts.onlyThisPad}</p>
      <PlainButton onclick={() => use(marks.result!, marks.marked())}>{texts.use}</PlainButton>
    {/if}
  {/if}
</section>

<style>
  .measure {
    position: relative;
    z-index: 2;
    background: var(--sheet);
    border: 1px solid var(--line);
    padding: 0.75rem;
    margin: 0.5rem 0;
    display: grid;
    grid-template-columns: minmax(0, 1fr);
    gap: 0.5rem;
  }
  .picture {
    min-width: 0;
    border: 1px solid var(--line);
    max-width: 60rem;
  }
  svg {
    display: block;
    touch-action: none;
    max-width: 100%;
  }
  .hold {
    fill: transparent;
    cursor: move;
  }
  .ring,
  path {
    fill: none;
    stroke-width: 2;
  }
  g.ends *,
  line.ends {
    stroke: #00e0ff;
  }
  g.edges *,
  line.edges {
    stroke: #ffd400;
  }
  g .hold {
    stroke: none;
  }
  g.now .ring {
    stroke-width: 4;
  }
  g:focus {
    outline: none;
  }
  g:focus-visible .hold {
    stroke: #fff;
    stroke-width: 3;
  }
  .legend span::before {
    content: "";
    display: inline-block;
    width: 1.5rem;
    height: 0.35rem;
    margin: 0 0.35rem 0.15rem 0;
    border: 1px solid var(--ink);
  }
  .legend .ends::before {
    background: #00e0ff;
  }
  .legend .edges::before {
    background: #ffd400;
  }
  .found {
    font-size: 1.5rem;
    font-weight: 600;
  }
  p {
    margin: 0;
  }
</style>
