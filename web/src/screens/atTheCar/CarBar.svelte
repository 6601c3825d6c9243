<script lang="ts">
  import * as texts from "../../texts/atTheCar";
  import { atDevice } from "../../parts/atDevice.svelte";
  import type { StepGroup } from "../../format/jobs";
  import type { Course } from "./jobWalkthrough.svelte";

  /** What the thumb reaches: back, on, done. */
  interface Props {
    course: Course;
    stepGroup: StepGroup;
    goTo: (key: string) => void;
    done: () => unknown;
    start: () => unknown;
  }
  let { course, stepGroup, goTo, done, start }: Props = $props();
  const plan = $derived(course.job.plan!);
  const asked = $derived(stepGroup.steps.some((step) => step.asks));
  // before the job is begun only its first stage can be done
  const later = $derived(stepGroup.steps[0]!.stage !== plan.steps?.[0]?.stage);
</script>

<footer class="bar">
  <button type="button" disabled={!course.previous} onclick={() => goTo(course.previous!.key)}>{texts.back}</button>
  {#if atDevice.guest || !course.job.ongoing}
    <span class="main still">{atDevice.guest ? texts.guestLooks : texts.jobIsClosed}</span>
    <button type="button" disabled={!course.next} onclick={() => goTo(course.next!.key)}>{texts.nextStep}</button>
  {:else if plan.state === "draft" && later}
    <a class="main" href="#/jobs/{plan.id}/ready">{texts.notReadyYet}</a>
  {:else if plan.state === "ready" && later}
    <button type="button" class="main" onclick={start}>{texts.startJob}</button>
  {:else if course.done(stepGroup)}
    <button type="button" onclick={() => course.tick(stepGroup, false)}>{texts.notDone}</button>
    <button type="button" class="main" disabled={!course.next} onclick={done}>{texts.nextStep}</button>
  {:else}
    <button type="button" disabled={!course.next} onclick={() => goTo(course.next!.key)}>{texts.skipForNow}</button>
    <button type="button" class="main" disabled={asked} onclick={done}>{asked ? texts.answerAbove : texts.done}</button>
  {/if}
</footer>

<style>
  .bar {
    position: sticky;
    bottom: 0;
    z-index: 3;
    display: grid;
    grid-auto-flow: column;
    grid-auto-columns: minmax(5rem, 1fr);
    gap: 0.5rem;
    padding: 0.5rem 0.75rem max(0.5rem, env(safe-area-inset-bottom));
    background: var(--sheet);
    border-top: 2px solid var(--ink);
  }
  .bar button,
  .main {
    font: inherit;
    font-size: 1.25rem;
    font-weight: 700;
    min-height: 64px;
    border: 2px solid var(--ink);
    background: var(--sheet);
    color: var(--ink);
    display: flex;
    align-items: center;
    justify-content: center;
    text-align: center;
    text-decoration: none;
  }
  .bar .main {
    background: #0d5a66;
    border-color: #0d5a66;
    color: #fff;
    grid-column: span 2;
  }
  .bar .still {
    background: none;
    color: var(--ink);
  }
  .bar .main:disabled {
    background: var(--sheet);
    border-style: dashed;
  }
  .bar button:disabled {
    color: var(--line);
    border-color: var(--line);
  }
  @media (min-width: 62rem) {
    .bar {
      margin-left: 22rem;
    }
  }
</style>
