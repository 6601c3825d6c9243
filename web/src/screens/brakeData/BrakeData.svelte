<script lang="ts">
  import { whereabouts } from "../../parts/whereabouts.svelte";
  import * as common from "../../texts/common";
  import * as texts from "../../texts/brakeData";
  import { say } from "../../texts/say";
  import { Button, InlineNotification } from "carbon-components-svelte";
  import BrakeDrawing from "./BrakeDrawing.svelte";
  import DataCell from "./DataCell.svelte";
  import DataEdit from "./DataEdit.svelte";
  import { DIAMETER, PAD_KEYS, ROTOR_KEYS } from "./brakeDrawing";
  import Problem from "../../parts/Problem.svelte";
  import { lowerFirst, upperFirst } from "../../format/words";
  import { BrakeData, type Field } from "./brakeData.svelte";

  let { params }: { params: { id: string } } = $props();
  $effect(() => whereabouts.at({ axle: Number(params.id) }, "data"));
  const form = $derived(new BrakeData(Number(params.id)));
  let from = $state("");
  $effect(() => {
    form.load();
  });

  const DRAWN = new Set([...PAD_KEYS, ...ROTOR_KEYS, DIAMETER]);
  /** Pads and rotors stand on the drawing; what is no dimension of theirs under it. */
  const PARTS = ["pads", "rotors"];
  const opened = $derived(form.data?.fields.find((field) => field.key === form.open));
  const OWN = /^own_\d$/;
  /** Fasteners stand together, one row each. */
  function fasteners(fields: Field[]): [string, Field[]][] {
    const found = [...new Set(fields.map((field) => field.fastener ?? ""))];
    // The owner's own stand last.
    const ids = [...found.filter((id) => !OWN.test(id)), ...found.filter((id) => OWN.test(id))];
    return ids.map((id) => [id, fields.filter((field) => (field.fastener ?? "") === id)]);
  }

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
        <h1>{say(texts.nameBrakeData, { name: upperFirst(axle.name) })}</h1>
      </div>
      <p role="status" class="quiet">{form.said}</p>
    </div>
    {#if form.error}<Problem error={form.error} />{/if}
    <div class="sides">
      <div class="stack">
        <section class="sheet">
          <BrakeDrawing {form} />
          <p class="quiet">{texts.dashedIsNotKnown}</p>
          {@render cells(
            data.fields.filter((field) => PARTS.includes(field.group) && !DRAWN.has(field.key)),
            false,
          )}
        </section>
        {#each data.groups.filter((each) => !PARTS.includes(each.id)) as group (group.id)}
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
          <section class="sheet" aria-label={texts.valueAtHand}>
            {#key opened.key}<DataEdit {form} {opened} sources={data.sources} />{/key}
          </section>
        {:else}
          <p class="quiet idle">{texts.pressAValue}</p>
        {/if}
        <section class="sheet needs" aria-label={texts.whatTheGapsHoldUp}>
          {#each data.needs as need (need.id)}
            {@const gaps = form.gaps(need.id)}
            <div class="need">
              <strong>{need.label}</strong>
              <span class="bar" aria-hidden="true"
                >{#each { length: need.of }, at (at)}<i class:full={at < need.known}></i>{/each}</span
              >
              <span class="quiet">
                {#if gaps.length === 0}{say(texts.allOfKnown, { of: need.of })}{:else}{say(texts.knownOfOfKnownWants, {
                    known: need.known,
                    of: need.of,
                  })}
                  {#each gaps.slice(0, 4) as gap, at (gap.key)}{at ? ", " : " "}<button
                      type="button"
                      class="link"
                      onclick={() => show(gap.key)}>{lowerFirst(gap.label)}</button
                    >{/each}{gaps.length > 4 ? say(texts.andValueMore, { value: gaps.length - 4 }) : ""}{/if}
              </span>
            </div>
          {/each}
          <div class="row fill">
            <Button size="small" kind="tertiary" on:click={() => form.propose("template")}
              >{texts.suggestTypicalValues}</Button
            >
            {#if data.others.length}
              <label for="from">{texts.copyFrom}</label>
              <select id="from" bind:value={from} onchange={() => from && form.propose(from)}>
                <option value="">{texts.anotherAxle}</option>
                {#each data.others as other (other.id)}<option value={String(other.id)}>{other.label}</option>{/each}
              </select>
            {/if}
          </div>
          {#if form.proposed.length}
            <div class="row proposals">
              <p>
                <strong>{say(texts.countCountProposed, { count: form.proposed.length })}</strong
                >{texts.eachMarkedWhereItBelongs}{#if form.leftOut.length}
                  {say(texts.notTakenOverAsIt, { leftOut: form.leftOut.join(", ") })}{/if}
              </p>
              <Button size="small" on:click={() => form.acceptAll()}
                >{say(texts.saveAllCount, { count: form.proposed.length })}</Button
              >
              <Button size="small" kind="ghost" on:click={() => form.dismiss()}>{texts.cancelProposed}</Button>
            </div>
          {/if}
        </section>
      </aside>
    </div>
  </div>
{:else if form.error}
  <Problem error={form.error} />
{/if}

<style>
  summary {
    padding: 0.6rem 0;
    color: var(--petrol);
    cursor: pointer;
  }
  .needs {
    display: grid;
    gap: 0.6rem;
  }
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
  .need {
    display: grid;
    grid-template-columns: 1fr auto;
    gap: 0.25rem 1rem;
    align-items: center;
  }
  .need .quiet {
    grid-column: 1 / -1;
  }
  .bar {
    display: flex;
    gap: 3px;
    flex-wrap: wrap;
  }
  .bar i {
    width: 0.8rem;
    height: 0.8rem;
    border: 1px solid var(--plan);
    box-sizing: border-box;
  }
  .bar i.full {
    background: var(--petrol);
    border-color: var(--petrol);
  }
  .link {
    background: none;
    border: 0;
    padding: 0.2rem 0;
    font: inherit;
    color: var(--petrol);
    text-decoration: underline;
    cursor: pointer;
  }
  .fill {
    border-top: 1px solid var(--line);
    padding-top: 0.75rem;
  }
  .proposals p {
    flex: 1 1 20rem;
  }
  select {
    font: inherit;
    min-height: 44px;
    background: var(--sheet);
    color: var(--ink);
    border: 1px solid var(--quiet);
    padding: 0 0.4rem;
    max-width: 100%;
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
