<script lang="ts">
  import PlainButton from "./controls/PlainButton.svelte";
  import * as texts from "../texts/parts";

  /** Saves the drawings of the part of the page it is in (data-picture) as an SVG file. */
  let { title }: { title: string } = $props();
  let at = $state<HTMLElement>();

  async function save() {
    const drawn = [...at!.closest("[data-picture]")!.querySelectorAll<SVGSVGElement>("svg[role]")];
    const { standalone, download } = await import("./saveSvg");
    const name = title
      .toLowerCase()
      .replace(/[^\p{L}\p{N}]+/gu, "-")
      .replace(/^-|-$/g, "");
    download(standalone(drawn, title), `${name}.svg`);
  }
</script>

<span class="no-print" bind:this={at}><PlainButton look="link" onclick={save}>{texts.saveAsSvg}</PlainButton></span>
