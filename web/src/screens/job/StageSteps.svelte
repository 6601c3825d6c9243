<script lang="ts">
  import type { JobStepsState } from "./jobSteps.svelte";
  import type { JobFilm } from "./jobFilm.svelte";
  import StagePicture from "./StagePicture.svelte";
  import StepGroup from "./StepGroup.svelte";

  /** The steps of a stage; where it is shown alone, the brake at the one pointed at stands beside them. */
  interface Props {
    at: JobStepsState;
    film: JobFilm;
    stage: JobStepsState["stages"][number];
    goTo: (key: string) => void;
  }
  let { at, film, stage, goTo }: Props = $props();
  const alone = $derived(at.shown.length === 1);

  function pointing(list: HTMLElement) {
    const point = (event: Event) => {
      const key = (event.target as Element).closest<HTMLElement>("[data-step]")?.dataset["step"];
      if (key) film.point(key);
    };
    for (const kind of ["pointerover", "focusin"]) list.addEventListener(kind, point);
  }
</script>

<div class:beside={alone && film.frames.length > 0}>
  <ol class="plain-list" use:pointing>
    {#each stage.stepGroups as stepGroup (stepGroup.key)}<StepGroup {at} {stepGroup} {goTo} />{/each}
  </ol>
  {#if alone}<aside><StagePicture {film} groups={stage.stepGroups} /></aside>{/if}
</div>

<style>
  .beside {
    display: grid;
    grid-template-columns: minmax(0, 1fr) minmax(0, 20rem);
    gap: 1.25rem;
    align-items: start;
  }
  aside {
    position: sticky;
    top: 0.5rem;
    min-width: 0;
  }
  @media (max-width: 56rem) {
    .beside {
      grid-template-columns: minmax(0, 1fr);
    }
    aside {
      position: static;
    }
  }
  @media print {
    .beside {
      display: block;
    }
  }
</style>
