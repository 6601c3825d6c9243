<script lang="ts">
  import { say } from "../../texts/say";
  import { inShort, stages } from "../../format/jobs";
  import * as common from "../../texts/common";
  import * as texts from "../../texts/atTheCar";
  import type { Course } from "./jobWalkthrough.svelte";

  /** Every step group of the job, to jump to. */
  let { course, goTo }: { course: Course; goTo: (key: string) => void } = $props();
</script>

<nav aria-label={common.steps}>
  {#each stages(course.moves) as stage (stage.id)}
    <h3>{stage.title}</h3>
    <ol>
      {#each stage.stepGroups as stepGroup (stepGroup.key)}
        {@const here = course.now?.key === stepGroup.key}
        <li>
          <button
            type="button"
            class:here
            class:done={course.done(stepGroup)}
            aria-current={here ? "step" : undefined}
            onclick={() => goTo(stepGroup.key)}
          >
            <span class="mark" aria-hidden="true">{course.done(stepGroup) ? "✓" : ""}</span>
            <span
              >{inShort(stepGroup.steps[0]!.text)}{stepGroup.steps.length > 1
                ? ` ${say(texts.andMore, { count: stepGroup.steps.length - 1 })}`
                : ""}</span
            >
          </button>
        </li>
      {/each}
    </ol>
  {/each}
</nav>

<style>
  h3 {
    font-size: 0.9375rem;
    margin: 0.75rem 0 0.25rem;
    color: var(--quiet);
  }
  ol {
    list-style: none;
    margin: 0;
    padding: 0;
  }
  button {
    display: grid;
    grid-template-columns: 1.5rem 1fr;
    width: 100%;
    text-align: left;
    font: inherit;
    font-size: 1rem;
    color: var(--ink);
    background: none;
    border: 0;
    border-left: 6px solid transparent;
    min-height: 44px;
    align-items: center;
    padding: 0.15rem 0.4rem;
  }
  .done {
    color: var(--quiet);
  }
  .here {
    border-left-color: var(--ink);
    background: var(--sheet);
    font-weight: 700;
  }
  .mark {
    color: var(--good);
    font-weight: 700;
  }
</style>
