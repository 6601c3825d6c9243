<script lang="ts">
  import { currentPage } from "../../parts/currentPage.svelte";
  import * as common from "../../texts/common";
  import * as texts from "../../texts/brakeData";
  import { say } from "../../texts/say";
  import { Button, InlineNotification } from "carbon-components-svelte";
  import BrakeDrawing from "./BrakeDrawing.svelte";
  import DataCell from "./DataCell.svelte";
  import DataEdit from "./DataEdit.svelte";
  import DataNeeds from "./DataNeeds.svelte";
  import { DIAMETER, PAD_KEYS, ROTOR_KEYS } from "./brakeDrawing";
  import { DRUM_KEYS, LINING_KEYS } from "./drumDrawing";
  import Problem from "../../parts/Problem.svelte";
  import { axleWord, lowerFirst, upperFirst } from "../../format/words";
  import { BrakeData, type Field } from "./brakeData.svelte";

  let { params }: { params: { id: string } } = $props();
  $effect(() => currentPage.at({ axle: Number(params.id) }, "data"));
  const form = $derived(new BrakeData(Number(params.id)));
  $effect(() => {
    form.load();
  });

  const DRAWN = new Set([...PAD_KEYS, ...ROTOR_KEYS, DIAMETER, ...LINING_KEYS, ...DRUM_KEYS]);
  /** Their dimensions are on the drawing; all other data is below it. */
  const PARTS = ["pads", "rotors", "shoes", "drums"];
  const drums = $derived(form.data?.axle.brakes === "drum");
  const opened = $derived(form.data?.fields.find((field) => field.key === form.open));
  const OWN = /^own_\d$/;
  /** Fasteners stand together, one row each. */
  function fasteners(fields: Field[]): [string, Field[]][] {
    const found = [...new Set(fields.map((field) => field.fastener ?? ""))];
    // The owner's own stand last.
    const ids = [...found.filter((id) => !OWN.test(id)), ...found.filter((id) => OWN.test(id))];
    return ids.map((id) => [id, fields.filter((field) => (field.fastener ?? "") === id)]);
  }

  const groups = $derived((form.data?.groups ?? []).filter((each) => !PARTS.includes(each.id)));

  const short = (label: string) => upperFirst(label.split(": ").at(-1)!);

  function show(key: string) {
    const cell = document.querySelector<HTMLElement>(`[id='cell-${key}']`);
    cell?.closest("details")?.setAttribute("open", "");
    cell?.querySelector("button")?.click();
    cell?.scrollIntoView({ block: "nearest" });
  }
</script>

{#snippet row(fields: Field[], fastener: boolean)}
  <div class="cells" class:narrow={fastener}>
    {#each fields as field (field.key)}<DataCell
        {form}
        {field}
        label={fastener ? short(field.label) : undefined}
        sources={form.data!.sources}
        terse={fastener && field.needed_for.length === 0}
      />{/each}
  </div>
{/snippet}
{#snippet cells(fields: Field[], fastener: boolean)}
  {@const first = fields.filter((field) => form.first(field))}
  {@const rest = fields.filter((field) => !first.includes(field))}
  {#if first.length}{@render row(first, fastener)}{/if}
  {#if rest.length}
    <details>
      <summary
        >{say(texts.countMore, {
          count: rest.length,
          names: rest.map((field) => lowerFirst(short(field.label))).join(", "),
        })}</summary
      >
      {@render row(rest, fastener)}
    </details>
  {/if}
{/snippet}
{#if form.data}
  {@const data = form.data}
  {@const axle = data.axle}
  <div class="stack">
    <div class="row spread">
      <div>
        <h1>{say(texts.nameBrakeData, { name: upperFirst(axleWord(axle.name)) })}</h1>
      </div>
      <p role="status" class="quiet">{form.said}</p>
    </div>
    {#if form.error}<Problem error={form.error} />{/if}
    <div class="sides">
      <div class="stack">
        <section class="sheet no-print">
          <h2>{texts.takenApart}</h2>
          {#await import("./BrakeApart.svelte") then { default: BrakeApart }}<BrakeApart {form} />{/await}
        </section>
        <section class="sheet">
          <BrakeDrawing {form} />
          <p class="quiet">{drums ? texts.drumScaleNote : texts.scaleNote}</p>
          {@render cells(
            data.fields.filter((field) => PARTS.includes(field.group) && !DRAWN.has(field.key)),
            false,
          )}
        </section>
        {#each groups as group (group.id)}
          {@const fields = data.fields.filter((field) => field.group === group.id)}
          {#if fields.length}
            <section>
              <h2>{group.label}</h2>
              {#if group.id === "fasteners"}
                {#if !data.fields.find((field) => field.key === "caliper.kind")?.value}
                  <InlineNotification
                    kind="info"
                    lowContrast
                    hideCloseButton
                    title={texts.whichBoltsThereAreDepends}
                    subtitle={texts.chooseItAboveAndThey}
                  />
                {/if}
                <div class="stack">
                  {#each fasteners(fields) as [id, mine] (id)}
                    <div class="fastener">
                      <h3>{mine.find((field) => field.quantity === "name")?.value ?? mine[0]!.label.split(": ")[0]}</h3>
                      <div>{@render cells(mine, true)}</div>
                    </div>
                  {/each}
                </div>
              {:else}
                {@render cells(fields, false)}
              {/if}
            </section>
          {/if}
        {/each}
        <div class="row"><Button kind="tertiary" href="#/axles/{axle.id}/job-plan">{common.planAJob}</Button></div>
      </div>
      <aside class="stack" class:editing={!!opened}>
        {#if opened}
          <section class="sheet" aria-label={texts.value}>
            {#key opened.key}<DataEdit {form} {opened} sources={data.sources} />{/key}
          </section>
        {:else}
          <p class="quiet idle">{texts.pressAValue}</p>
        {/if}
        <DataNeeds {form} {show} />
      </aside>
    </div>
  </div>
{:else if form.error}
  <Problem error={form.error} />
{/if}

<style>
  .sides {
    display: grid;
    grid-template-columns: minmax(0, 1fr) 20rem;
    gap: 1.5rem;
    align-items: start;
  }
  aside {
    position: sticky;
    top: 0.75rem;
    max-height: calc(100vh - 1.5rem);
    overflow-y: auto;
  }
  .cells {
    display: grid;
    grid-template-columns: repeat(auto-fill, minmax(13rem, 1fr));
    gap: 0.6rem;
    align-items: stretch;
  }
  .cells.narrow {
    grid-template-columns: repeat(auto-fill, minmax(9rem, 1fr));
  }
  .fastener {
    display: grid;
    grid-template-columns: 8rem 1fr;
    gap: 0.5rem 1rem;
    border-top: 1px solid var(--line);
    padding-top: 0.6rem;
  }
  @media (max-width: 62rem) {
    .sides {
      grid-template-columns: minmax(0, 1fr);
    }
    /* What is being changed stays in sight over the keyboard of a phone. */
    aside {
      position: static;
      max-height: none;
      overflow: visible;
      order: -1;
    }
    aside.editing > .sheet:first-child {
      position: fixed;
      inset: auto 0 0;
      z-index: 10;
      border-top: 3px solid var(--petrol);
      max-height: 60vh;
      overflow-y: auto;
    }
    .idle {
      display: none;
    }
    .sides > .stack:first-child {
      padding-bottom: 40vh;
    }
  }
  @media (max-width: 46rem) {
    .fastener {
      grid-template-columns: 1fr;
    }
    .cells,
    .cells.narrow {
      grid-template-columns: repeat(auto-fill, minmax(9.5rem, 1fr));
    }
  }
</style>
