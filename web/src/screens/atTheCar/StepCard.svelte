<script lang="ts">
  import StepNotes from "./StepNotes.svelte";
  import StepWriting from "./StepWriting.svelte";
  import PlainButton from "../../parts/controls/PlainButton.svelte";
  import * as texts from "../../texts/atTheCar";
  import { say } from "../../texts/say";
  import { lowerFirst, upperFirst } from "../../format/words";
  import Fault from "../../parts/Fault.svelte";
  import PhotoStrip from "../../parts/PhotoStrip.svelte";
  import TakePhoto from "../../parts/TakePhoto.svelte";
  import * as photoTexts from "../../texts/photos";
  import { inShort, type StepGroup } from "../../format/jobs";
  import type { Schemas } from "../../api/client";
  import BedInCoach from "./BedInCoach.svelte";
  import BoltList from "./BoltList.svelte";
  import Counter from "./Counter.svelte";
  import DoneBy from "./DoneBy.svelte";
  import StepReads from "./StepReads.svelte";
  import Timer from "./Timer.svelte";
  import TorqueFigure from "./TorqueFigure.svelte";
  import ReadAloud from "./ReadAloud.svelte";
  import ScanToolAction from "./ScanToolAction.svelte";
  import type { Course } from "./jobWalkthrough.svelte";

  /** The stepGroup at hand, large: what, with what, how tight, what can hurt, and why. */
  let { course, stepGroup, goTo }: { course: Course; stepGroup: StepGroup; goTo: (key: string) => void } = $props();
  const job = $derived(course.job);
  const place = $derived(stepGroup.steps[0]!.place);
  const all = <T,>(of: (step: StepGroup["steps"][number]) => T[]) => [...new Set(stepGroup.steps.flatMap(of))];
  const tools = $derived([
    ...all((step) => step.undo.map((each) => `${each.label.toLowerCase()}: ${each.drive}`)),
    ...all((step) => step.tools),
  ]);
  const photosOf = (of: (photos: Schemas["StepPhotos"]) => Schemas["Photo"][]) => {
    const found = stepGroup.steps.flatMap((step) => of(step.photos));
    return found.filter((photo, at) => found.findIndex((each) => each.id === photo.id) === at);
  };
  const own = $derived(photosOf((photos) => photos.own));
  const shown = $derived(photosOf((photos) => photos.shown));
  const earlier = $derived(photosOf((photos) => photos.earlier));
  const waits = $derived(course.waitsFor(stepGroup));
  const counted = $derived(stepGroup.steps.find((step) => step.counts));
  let count = $state(0);
  const keepCount = () =>
    job.note(counted!.key, `${counted!.counts!.of}: ${count}`).then((kept) => kept && (count = 0));
</script>

<article aria-labelledby="step-title">
  <h1 class="where">
    {place ? `${upperFirst(place)}: ${lowerFirst(stepGroup.steps[0]!.stage)}` : stepGroup.steps[0]!.stage}
    {#if stepGroup.steps.some((step) => step.mandatory)}<span class="mandatory"
        >{stepGroup.steps.some((step) => step.safety_critical) ? texts.neverSkipped : texts.dontSkip}</span
      >{/if}
  </h1>
  {#if course.drawing}{#await import("../../parts/brake/StepPicture.svelte") then { default: StepPicture }}<StepPicture
        drawing={course.drawing}
        steps={stepGroup.steps}
        ratio={0.75}
        tallest={320}
      />{/await}{/if}
  <div id="step-title" class="lines">
    {#each stepGroup.steps as step (step.key)}
      <p class="line" class:done={course.step(step)}>{step.text}</p>
      <DoneBy {course} {step} />
      {#each step.tighten as line (line.axle + line.fastener)}
        <TorqueFigure {line} />
        {#if job.open && line.count}<BoltList bolts={course.bolts(step.key, line)} wrench={course.wrench} />{/if}
      {/each}
    {/each}
  </div>
  <ReadAloud {stepGroup} />
  {#if job.open}
    {#each stepGroup.steps.filter((step) => step.reads.length) as step (step.key)}<StepReads
        reads={course.reads(step)}
      />{/each}
    {#each stepGroup.steps as step (step.key)}
      {#if step.asks}
        <fieldset class="asks">
          <legend>{step.asks.text}</legend>
          {#each step.asks.answers as answer (answer.id)}
            <PlainButton
              bad={!answer.good}
              pressed={step.asks.answer === answer.id}
              disabled={job.busy || waits.length > 0}
              onclick={() => job.answer(step.key, answer.id)}>{answer.label}</PlainButton
            >
          {/each}
        </fieldset>
      {/if}
    {/each}
  {/if}
  {#if waits.length}
    <div class="waits" role="status">
      <strong>{texts.firstComes}</strong>
      <ul>
        {#each waits as each (each.key)}
          <li>
            <PlainButton look="link" onclick={() => goTo(each.key)}
              >{each.steps[0]!.place ? `${upperFirst(each.steps[0]!.place)}: ` : ""}{inShort(
                each.steps[0]!.text,
              )}</PlainButton
            >
          </li>
        {/each}
      </ul>
    </div>
  {/if}
  {#each stepGroup.steps.flatMap((step) => step.values) as { label, value } (label + value)}
    <p class="value">{label}: <strong>{value}</strong></p>
  {/each}
  {#each stepGroup.steps.flatMap((step) => step.cautions) as caution (caution.text)}
    <p class="caution {caution.severity}"><strong>{upperFirst(caution.severity)}</strong> {caution.text}</p>
  {/each}
  {#each stepGroup.steps as step (step.key)}
    {#if step.counts}<Counter of={step.counts.of} target={step.counts.target} bind:value={count} />
      {#if count && job.open}<PlainButton look="link" onclick={keepCount}
          >{say(texts.keepAsNote, { of: step.counts.of.toLowerCase(), count })}</PlainButton
        >{/if}{/if}
    {#if step.beds_in}<BedInCoach job={job.id} {count} unit={job.plan!.vehicle.distance_unit} />{/if}
    {#if step.acts && job.open && course.unit && !waits.length}<ScanToolAction
        unit={course.unit}
        job={job.id}
        step={step.key}
        action={step.acts}
      />{/if}
    {#if step.timer}<Timer of={step.timer.of} seconds={step.timer.seconds} />{/if}
  {/each}
  {#if tools.length}
    <h3>{texts.atHand}</h3>
    <ul class="tools">
      {#each tools as tool (tool)}<li>{tool}</li>{/each}
    </ul>
  {/if}
  {#each [[photoTexts.asItWas, shown], [photoTexts.lastTime, earlier]] as const as [title, photos] (title)}
    {#if photos.length}
      <h3>{title}</h3>
      <PhotoStrip {photos} />
    {/if}
  {/each}
  <PhotoStrip photos={own} changed={job.reload} />
  {#if job.plan!.id !== null}<TakePhoto send={(photo) => job.photograph(stepGroup.steps[0]!.key, photo)} />{/if}
  <StepNotes {stepGroup} />
  {#if course.sending(stepGroup)}<p class="unsent" role="status">{texts.notSavedYet}</p>{/if}
  <Fault text={job.fault("step") || job.fault("state") || job.fault("because") || job.unsaid} />
  {#if job.open}<StepWriting {course} {stepGroup} />{/if}
</article>

<style>
  article {
    display: grid;
    grid-template-columns: minmax(0, 1fr);
    gap: 0.75rem;
    align-content: start;
  }
  p {
    margin: 0;
  }
  .where {
    color: var(--quiet);
    font: inherit;
    font-weight: 600;
  }
  .mandatory {
    border: 2px solid currentColor;
    color: var(--ink);
    padding: 0 0.4rem;
    margin-left: 0.35rem;
    white-space: nowrap;
  }
  .lines {
    display: grid;
    gap: 0.6rem;
  }
  .line {
    font-size: 1.5rem;
    line-height: 1.3;
    font-weight: 600;
  }
  .done {
    color: var(--quiet);
    text-decoration: line-through 2px;
  }
  .caution {
    border-left: 8px solid var(--petrol);
    padding: 0.35rem 0.75rem;
    font-size: 1.125rem;
    line-height: 1.35;
  }
  .caution strong {
    display: block;
  }
  .danger {
    border-color: var(--stop);
  }
  .danger strong {
    color: var(--stop);
  }
  .warning {
    border-color: var(--plan);
  }
  .warning strong {
    color: var(--plan);
  }
  .asks {
    border: 2px solid var(--ink);
    margin: 0;
    padding: 0.5rem 0.75rem;
    display: grid;
    gap: 0.4rem;
  }
  .asks legend {
    font-weight: 600;
    font-size: 1.125rem;
    padding: 0 0.35rem;
  }
  .waits {
    border: 2px dashed var(--ink);
    padding: 0.5rem 0.75rem;
    font-size: 1.0625rem;
  }
  .waits ul {
    margin: 0;
    padding: 0;
    list-style: none;
  }
  h3 {
    font-size: 1rem;
    margin: 0;
  }
  .tools {
    display: flex;
    flex-wrap: wrap;
    gap: 0.35rem;
    list-style: none;
    margin: 0;
    padding: 0;
  }
  .tools li {
    border: 1px solid var(--quiet);
    padding: 0.2rem 0.6rem;
    font-size: 1.0625rem;
  }
  .value {
    font-size: 1.0625rem;
  }
  .unsent {
    color: var(--doubt);
    font-weight: 700;
  }
</style>
