<script lang="ts">
  import * as texts from "../../texts/loggedInspection";
  import { upperFirst } from "../../format/words";
  import type { Correction } from "./correction.svelte";
  import type { Corner } from "./corners";
  import ReadingEntry from "./ReadingEntry.svelte";
  import ReadingForm from "./ReadingForm.svelte";
  import RotorPlaces from "./RotorPlaces.svelte";

  /** The readings of each corner; press a figure to correct it. */
  let { corners, correction }: { corners: Corner[]; correction: Correction } = $props();
  const read = $derived(
    corners
      .map((corner) => ({ corner, all: [...corner.first, ...corner.second, ...corner.rotor, ...corner.more] }))
      .filter(({ all }) => all.length),
  );
  const drums = $derived(
    read.some(({ all }) => all.some((reading) => reading.pad === "leading" || reading.part === "drum")),
  );
  const names = $derived(
    drums ? [texts.firstOfAny, texts.secondOfAny, texts.turningOfAny] : [texts.innerPad, texts.outerPad, texts.rotor],
  );
  const more = $derived(read.some(({ corner }) => corner.more.length));
</script>

<table>
  <thead>
    <tr
      ><th scope="col">{texts.corner}</th>{#each names as name (name)}<th scope="col">{name}</th>{/each}{#if more}<th
          scope="col">{texts.alsoMeasured}</th
        >{/if}</tr
    >
  </thead>
  <tbody>
    {#each read as { corner, all } (corner.name)}
      {@const open = all.find((reading) => reading.id === correction.reading)}
      <tr>
        <th scope="row">{upperFirst(corner.name)}</th>
        {#each [corner.first, corner.second] as list, at (at)}
          <td data-what={names[at]}
            >{#each list as reading (reading.id)}<ReadingEntry {reading} {correction} />{/each}</td
          >
        {/each}
        <td data-what={names[2]}><RotorPlaces readings={corner.rotor} {correction} /></td>
        {#if more}<td data-what={texts.alsoMeasured}
            >{#each corner.more as reading (reading.id)}<span class="quiet">{reading.part}</span><ReadingEntry
                {reading}
                {correction}
              />{/each}</td
          >{/if}
      </tr>
      {#if open}<tr class="form"><td colspan={more ? 5 : 4}><ReadingForm reading={open} {correction} /></td></tr>{/if}
    {/each}
  </tbody>
</table>
<p class="quiet">{texts.pressAFigure}</p>

<style>
  table {
    width: 100%;
  }
  th {
    text-align: left;
  }
  td,
  tbody th {
    vertical-align: top;
    border-top: 1px solid var(--line);
    padding: 0.35rem 0.75rem 0.35rem 0;
  }
  tbody th {
    padding-top: 0.85rem;
    white-space: nowrap;
  }
  @media (max-width: 40rem) {
    thead {
      display: none;
    }
    tr {
      display: grid;
      padding: 0.5rem 0;
      border-top: 1px solid var(--line);
    }
    td,
    tbody th {
      border: 0;
      padding: 0.15rem 0;
    }
    td:empty {
      display: none;
    }
    td[data-what]:not(:empty)::before {
      content: attr(data-what);
      color: var(--quiet);
      display: block;
    }
  }
</style>
