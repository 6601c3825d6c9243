<script lang="ts">
  import * as texts from "../../texts/atTheCar";
  import { say } from "../../texts/say";
  import { inShort } from "../../format/jobs";
  import type { Course } from "./jobWalkthrough.svelte";

  /** What another device ticked since this one moved on. */
  let { course }: { course: Course } = $props();
  const news = $derived(course.news);
</script>

{#if news}
  <p role="status">
    {say(news.steps.length > 1 ? texts.alsoDoneSeveral : texts.alsoDone, {
      person: news.person ?? texts.anotherDevice,
      step: inShort(news.steps.at(-1)!.text),
      count: news.steps.length,
    })}
  </p>
{/if}

<style>
  p {
    border: 2px dashed var(--ink);
    padding: 0.5rem 0.75rem;
    font-size: 1.0625rem;
    margin: 0 0 1rem;
  }
</style>
