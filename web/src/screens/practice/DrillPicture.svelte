<script lang="ts">
  import { thickness } from "../../format/lengths";
  import { upperFirst } from "../../format/words";
  import type { Schemas } from "../../api/client";
  import DialPicture from "./DialPicture.svelte";
  import LipPicture from "./LipPicture.svelte";
  import MicrometerPicture from "./MicrometerPicture.svelte";
  import VernierPicture from "./VernierPicture.svelte";

  /** The instrument to read, drawn from its numbers. */
  let { picture }: { picture: Schemas["DrillPicture"] } = $props();
</script>

{#if picture.kind === "micrometer"}
  <MicrometerPicture sleeve={picture.sleeve!} turn={picture.turn!} thimble={picture.thimble!} lines={picture.lines!} />
{:else if picture.kind === "vernier"}
  <VernierPicture value={picture.value!} turn={picture.turn!} lines={picture.lines!} />
{:else if picture.kind === "dial"}
  <DialPicture low={picture.low!} high={picture.high!} divisions={picture.divisions!} numbered={picture.numbered!} />
{:else if picture.kind === "lip"}
  <LipPicture {picture} />
{:else if picture.kind === "brake"}
  {#await import("./BrakeDrill.svelte") then { default: BrakeDrill }}<BrakeDrill {picture} />{/await}
{:else if picture.pads}
  <table>
    <thead
      ><tr
        ><th></th>{#each ["inner", "outer"] as pad (pad)}<th scope="col">{upperFirst(pad)}</th>{/each}</tr
      ></thead
    >
    <tbody>
      {#each ["left", "right"] as side (side)}
        <tr>
          <th scope="row">{upperFirst(side)}</th>
          {#each picture.pads.filter((pad) => pad.side === side) as pad (pad.pad)}<td class="number"
              >{thickness(pad.mm, "pad")}</td
            >{/each}
        </tr>
      {/each}
    </tbody>
  </table>
{/if}

<style>
  table {
    border-collapse: collapse;
    font-size: 1.25rem;
  }
  th,
  td {
    padding: 0.4rem 1.5rem 0.4rem 0;
    text-align: left;
    border-bottom: 1px solid var(--line);
  }
  td {
    font-weight: 600;
  }
</style>
