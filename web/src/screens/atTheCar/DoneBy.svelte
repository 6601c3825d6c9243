<script lang="ts">
  import * as texts from "../../texts/atTheCar";
  import { say } from "../../texts/say";
  import { moment } from "../../format/words";
  import type { Schemas } from "../../api/client";
  import type { Course } from "./jobWalkthrough.svelte";

  /** Who did a step, and when, where that is known. */
  let { course, step }: { course: Course; step: Schemas["JobStep"] } = $props();
  const by = $derived(course.step(step) ? course.job.plan!.ticked_by[step.key] : undefined);
</script>

{#if by}<p>{say(texts.doneBy, { person: by.person, at: moment(by.at) })}</p>{/if}

<style>
  p {
    margin: -0.4rem 0 0;
    color: var(--quiet);
  }
</style>
