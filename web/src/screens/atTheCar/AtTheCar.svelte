<script lang="ts">
  import CarBar from "./CarBar.svelte";
  import LooseBolts from "./LooseBolts.svelte";
  import OtherDevice from "./OtherDevice.svelte";
  import PlainButton from "../../parts/controls/PlainButton.svelte";
  import Skeleton from "../../parts/Skeleton.svelte";
  import { push, replace } from "svelte-spa-router";
  import * as common from "../../texts/common";
  import * as texts from "../../texts/atTheCar";
  import { say } from "../../texts/say";
  import { api } from "../../api/client";
  import { inShort } from "../../format/jobs";
  import { JobPlanState } from "../../parts/jobPlan.svelte";
  import { Loader } from "../../parts/loader.svelte";
  import { outbox } from "../../parts/outbox.svelte";
  import Problem from "../../parts/Problem.svelte";
  import Shortcuts from "../../parts/Shortcuts.svelte";
  import { Course, keepAwake } from "./jobWalkthrough.svelte";
  import StepCard from "./StepCard.svelte";
  import StepList from "./StepList.svelte";

  /** Beside the car: one step at a time, under the thumb. */
  let { params }: { params: { id: string; step?: string } } = $props();
  const id = $derived(Number(params.id));
  const loaded = new Loader<Course>();
  let listed = $state(false);
  /** Asked when bolts are left unmarked. */
  let asking = $state(false);

  $effect(() => {
    const of = id;
    loaded.load(async () => new Course(new JobPlanState(await api.job(of))));
    asking = false;
  });
  const course = $derived(loaded.value);
  const plan = $derived(course?.job.plan);
  $effect(() => {
    if (course) course.at = params.step ? decodeURIComponent(params.step) : undefined;
  });
  $effect(() => (course ? outbox.listen(course.job.answered) : undefined));
  $effect(() => course?.watch());
  $effect(() => {
    const of = course;
    if (of)
      void api.devices().then(
        ({ devices }) => of.take(devices.filter((each) => each.connected)),
        () => {},
      );
  });
  $effect(() => void course?.draw());
  $effect(() => keepAwake());
  // The page has its own line at the top: the header would eat half a phone.
  $effect(() => {
    document.body.classList.add("at-the-car");
    return () => document.body.classList.remove("at-the-car");
  });

  const address = (key: string) => `/jobs/${id}/car/${encodeURIComponent(key)}`;
  function goTo(key: string) {
    [listed, asking] = [false, false];
    course!.news = null;
    void push(address(key));
    scrollTo(0, 0);
  }
  async function done() {
    const stepGroup = course!.now!;
    const next = course!.next;
    // Saves typed entries before moving on; a refused one stays in front.
    if (!(await course!.saveReads(stepGroup))) return;
    if (course!.done(stepGroup)) return next && goTo(next.key);
    if (course!.loose(stepGroup).length && !asking) return void (asking = true);
    await course!.tick(stepGroup, true);
    // Refused: it stays in front, with what it waits for.
    if (course!.done(stepGroup) && next) goTo(next.key);
  }
  const start = () => course!.job.change({ state: "in_progress" });
  $effect(() => {
    if (course?.job.id === id && course.now && !params.step) void replace(address(course.now.key));
  });
</script>

<svelte:head><title>{texts.atTheCarGraver}</title></svelte:head>
<Shortcuts
  keys={{
    Enter: () => void done(),
    ArrowRight: () => course?.next && goTo(course.next.key),
    ArrowLeft: () => course?.previous && goTo(course.previous.key),
  }}
/>
{#if loaded.error}<Problem error={loaded.error} />{/if}
{#if course && plan}
  {@const stepGroup = course.now}
  <div class="car">
    <header class="top">
      <a href="#/jobs/{id}/steps" aria-label={texts.leave}>‹ {plan.vehicle.name}</a>
      <strong class="number">{say(texts.stepOf, { at: course.index + 1, all: course.moves.length })}</strong>
      <span class="lister"
        ><PlainButton look="link" aria-expanded={listed} onclick={() => (listed = !listed)}
          >{listed ? texts.hideTheSteps : texts.allSteps}</PlainButton
        ></span
      >
      <progress max={course.moves.length} value={course.doneCount} aria-label={texts.progress}></progress>
    </header>
    {#if !plan.steps}
      <p class="body">{texts.stepsNotInOrder} <a href="#/jobs/{id}/steps">{common.steps}</a></p>
    {:else}
      <div class="sides">
        <aside class:listed><StepList {course} {goTo} /></aside>
        <div class="body" class:hidden={listed}>
          {#if plan.halts.length}<p class="halt" role="alert">
              {plan.halts.map((halt) => halt.text).join(" ")}
              {#if plan.halts.some((halt) => halt.buy.length)}<strong>{texts.toBuyNow}</strong>
                {plan.halts.flatMap((halt) => halt.buy).join("; ")}.{/if}
              <a href="#/jobs/{id}/steps">{texts.replan}</a>
            </p>{:else if plan.stops.length}<p class="halt" role="alert">{plan.stops.join(" ")}</p>{/if}
          <OtherDevice {course} />
          {#if stepGroup}
            {#key stepGroup.key}<StepCard {course} {stepGroup} {goTo} />{/key}
            {#if asking}
              <LooseBolts {course} {stepGroup} {done} />
            {/if}
            {#if course.next}<p class="next">
                {texts.next} <strong>{inShort(course.next.steps[0]!.text)}</strong>
              </p>{:else}<p class="next">
                <a class="main-action" href="#/jobs/{id}/steps">{texts.lastStepFinish}</a>
              </p>{/if}
          {/if}
        </div>
      </div>
      {#if stepGroup && !listed}
        <CarBar {course} {stepGroup} {goTo} {done} {start} />
      {/if}
    {/if}
  </div>
{:else if loaded.loading}
  <Skeleton />
{/if}

<style>
  /* High contrast, whatever the theme: it is read in the sun and under a sill. */
  .car {
    --ink: #000;
    --quiet: #333;
    --sheet: #fff;
    --line: #777;
    --petrol: var(--ink);
    --control-height: 56px;
    --control-edge: 2px;
    --control-line: var(--ink);
    --control-size: 1.25rem;
    --link-height: 48px;
    --control-weight: 600;
    --control-text: 1.0625rem;
    color: var(--ink);
    background: #fff;
    min-height: 100dvh;
    display: grid;
    grid-template-rows: auto 1fr auto;
    grid-template-columns: minmax(0, 1fr);
  }
  :global(:root[theme="g100"]) .car {
    --ink: #fff;
    --quiet: #ccc;
    --sheet: #000;
    background: #000;
  }
  .top {
    position: sticky;
    top: 0;
    z-index: 3;
    display: grid;
    grid-template-columns: 1fr auto 1fr;
    align-items: center;
    gap: 0 0.5rem;
    background: var(--sheet);
    border-bottom: 2px solid var(--ink);
    padding: 0 0.75rem;
  }
  .top a {
    color: var(--ink);
    min-height: 48px;
    display: flex;
    align-items: center;
    overflow: hidden;
    white-space: nowrap;
    text-overflow: ellipsis;
  }
  .lister {
    justify-self: end;
  }
  progress {
    grid-column: 1 / -1;
    width: 100%;
    height: 6px;
    border: 0;
    background: var(--line);
    accent-color: var(--good);
  }
  .body {
    padding: 1rem;
    max-width: 44rem;
    box-sizing: border-box;
    width: 100%;
  }
  .sides aside {
    display: none;
    padding: 0.5rem;
  }
  .sides aside.listed {
    display: block;
  }
  .hidden {
    display: none;
  }
  .next {
    margin: 1.25rem 0 0;
    padding-top: 0.75rem;
    border-top: 1px solid var(--line);
    font-size: 1.0625rem;
  }
  .halt {
    border: 4px solid var(--stop);
    padding: 0.5rem 0.75rem;
    font-size: 1.125rem;
    margin: 0 0 1rem;
  }
  @media (min-width: 62rem) {
    .sides {
      display: grid;
      grid-template-columns: 22rem 1fr;
    }
    .sides aside {
      display: block;
      position: sticky;
      top: 56px;
      max-height: calc(100dvh - 56px);
      overflow-y: auto;
      border-right: 2px solid var(--line);
      box-sizing: border-box;
    }
    .lister {
      visibility: hidden;
    }
  }
</style>
