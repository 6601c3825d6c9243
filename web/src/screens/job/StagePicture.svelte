<script lang="ts">
  import * as texts from "../../texts/job";
  import { say } from "../../texts/say";
  import { inShort, type StepGroup } from "../../format/jobs";
  import { upperFirst } from "../../format/words";
  import PlainButton from "../../parts/controls/PlainButton.svelte";
  import StepPicture from "../../parts/brake/StepPicture.svelte";
  import type { JobFilm } from "./jobFilm.svelte";

  /** The brake at the step of a stage that is pointed at; played from there to the end of the job. */
  let { film, groups }: { film: JobFilm; groups: StepGroup[] } = $props();
  const frame = $derived(film.of(groups));
  const step = $derived(frame?.steps[0]);
  // Only the switch starts it: what it shows moves on by itself.
  $effect(() => (film.playing ? film.play(film.at ?? undefined) : undefined));
  const start = () => {
    film.at = frame?.key ?? film.frames[0]?.key ?? null;
    film.playing = !film.playing;
  };
</script>

{#if film.drawing && frame && step}
  <div class="picture no-print">
    {#key frame.key}<StepPicture drawing={film.drawing} steps={frame.steps} ratio={1} />{/key}
    <p>{step.place ? `${upperFirst(step.place)}: ` : ""}{inShort(step.text)}</p>
    <div class="row">
      <PlainButton pressed={film.playing} onclick={start}>{film.playing ? texts.stopFilm : texts.playFilm}</PlainButton>
      <span class="quiet number"
        >{say(texts.pictureOf, {
          at: film.frames.findIndex((each) => each.key === frame.key) + 1,
          all: film.frames.length,
        })}</span
      >
    </div>
  </div>
{/if}

<style>
  .picture {
    display: grid;
    grid-template-columns: minmax(0, 1fr);
    gap: 0.4rem;
  }
  p {
    margin: 0;
    min-height: 3em;
  }
</style>
