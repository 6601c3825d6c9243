<script lang="ts">
  import CheckField from "../../parts/controls/CheckField.svelte";
  import TextField from "../../parts/controls/TextField.svelte";
  import PlainButton from "../../parts/controls/PlainButton.svelte";
  import * as common from "../../texts/common";
  import * as texts from "../../texts/job";
  import { say } from "../../texts/say";
  import { Button } from "carbon-components-svelte";
  import { torque, type StepGroup } from "../../format/jobs";
  import { day, upperFirst } from "../../format/words";
  import Fault from "../../parts/Fault.svelte";
  import type { Action, JobStepsState } from "./jobSteps.svelte";

  /** One group of steps with its cautions and the owner's notes. */
  let { at, stepGroup, goTo }: { at: JobStepsState; stepGroup: StepGroup; goTo: (key: string) => void } = $props();
  const job = $derived(at.job);
  const plan = $derived(job.plan!);
  const step = $derived(stepGroup.steps[0]!);
  const sending = $derived(at.sending(stepGroup));
  const done = $derived(at.allDone(stepGroup));
  const waitsFor = $derived(stepGroup.steps.flatMap((each) => each.waits_for));
  const next = $derived(at.next?.key === stepGroup.key);
  const LABELS: Record<Action, string> = {
    note: texts.noteForNextTime,
    insert: texts.ownStepLabel,
    deviation: texts.whatYouDidInstead,
  };
</script>

<li
  class:done
  class:waits={step.waits_for.length > 0}
  class:next={next && job.open}
  class:joined={stepGroup.steps.length > 1}
  data-step={stepGroup.key}
>
  <CheckField
    checked={sending ? sending.done : at.ticked(stepGroup)}
    disabled={!job.open}
    oncheck={(on) => at.check(stepGroup, on)}
    >{#each stepGroup.steps as step (step.key)}
      <span class="line">
        <span class="what">{step.text}</span>
        {#each step.tighten as line (line.axle + line.fastener)}
          {#if line.newton_metres !== null}<strong class="number at"
              >{plan.axles.length > 1 && !step.key.includes(`${line.axle}.`) ? `${line.axle} ` : ""}{step.tighten
                .length > 1
                ? `${line.label.toLowerCase()} `
                : ""}{torque(line)}</strong
            >{/if}{#if line.said.length}<span class="quiet"
              >{line.newton_metres === null ? `${line.label}: ` : ""}{line.said.join("; ")}</span
            >{/if}
        {/each}
        {#if step.mandatory}<span class="mandatory">{step.safety_critical ? texts.neverSkipped : texts.dontSkip}</span
          >{/if}
        {#if step.own}<span class="mandatory own">{texts.yourOwnStep}</span>{/if}
        {#if step.why && !done}{" "}<span class="quiet">{step.why}</span>{/if}
      </span>
    {/each}</CheckField
  >
  {#if sending}<p class="note unsent" role="status">
      {texts.notSavedYetTheServer}
    </p>{/if}
  {#each stepGroup.steps as each (each.key)}
    {#if each.deviation}<p class="note"><strong>{texts.doneDifferently}</strong> {each.deviation}</p>{/if}
  {/each}
  {#if at.refusedAt === stepGroup.key && job.fault("step")}
    <p class="note fault" role="alert">
      {#if waitsFor.length}{texts.firstComes}
        {#each waitsFor as key, place (key + place)}{place ? texts.then : ""}<PlainButton
            look="link"
            onclick={() => goTo(key)}>{at.named(key)}</PlainButton
          >{/each}{:else}{job.fault("step")}{/if}
    </p>
  {/if}
  {#if at.refusedAt === stepGroup.key && job.unsaid}
    <p class="note fault" role="alert">
      {job.unsaid} <a href="#/jobs/{plan.id}/car/{encodeURIComponent(step.key)}">{texts.markAtTheCar}</a>
    </p>
  {/if}
  {#each stepGroup.steps.flatMap((each) => each.last_time) as note (note.day + note.text)}<p class="note">
      <strong>{say(texts.lastTimeDay, { day: day(note.day) })}</strong>
      {note.text}
    </p>{/each}
  {#each stepGroup.steps.flatMap((each) => each.notes) as note (note.text)}<p class="note">
      <strong>{texts.yourNote}</strong>
      {note.text}
    </p>{/each}
  {#if !done}
    {#each stepGroup.steps.flatMap((each) => each.cautions) as caution (caution.text)}
      <p class="caution {caution.severity}"><strong>{upperFirst(caution.severity)}:</strong> {caution.text}</p>
    {/each}
  {/if}
  {#if job.open && (at.changing || next)}
    <div class="actions no-print">
      <PlainButton look="link" onclick={() => at.open(step.key, "note")}>{texts.noteForNextTime}</PlainButton>
      {#if !step.safety_critical && !at.done(step) && stepGroup.steps.length === 1 && plan.state === "in_progress"}<PlainButton
          look="link"
          onclick={() => at.open(step.key, "deviation")}>{texts.iDidItAnotherWay}</PlainButton
        >{/if}
      {#if at.changing}
        <PlainButton look="link" onclick={() => at.open(step.key, "insert")}>{texts.addAStepAfterIt}</PlainButton>
        <PlainButton look="link" onclick={() => at.move(step, -1)}>{texts.moveUp}</PlainButton>
        <PlainButton look="link" onclick={() => at.move(step, 1)}>{texts.moveDown}</PlainButton>
        {#if step.own && step.event}<PlainButton look="link" onclick={() => job.unadjust(step.event!)}
            >{texts.removeStep}</PlainButton
          >
        {:else if !step.mandatory}<PlainButton look="link" onclick={() => job.adjust({ action: "drop", key: step.key })}
            >{texts.skipStep}</PlainButton
          >{/if}
        {#if step.event && !step.own}<PlainButton look="link" onclick={() => job.unadjust(step.event!)}
            >{texts.moveBack}</PlainButton
          >{/if}
      {/if}
    </div>
  {/if}
  {#if at.writing?.key === step.key}
    <form class="row writing" onsubmit={(event) => at.write(event)}>
      <TextField label={LABELS[at.writing.action]} width="long" first maxlength={500} bind:value={at.text} />
      <Button type="submit" size="field">{common.save}</Button>
      <Button size="field" kind="ghost" on:click={() => (at.writing = null)}>{common.cancel}</Button>
      <Fault text={job.fault("because")} />
    </form>
  {/if}
</li>

<style>
  li {
    padding: 0.5rem 0.75rem 0.5rem 0.6rem;
    border-left: 4px solid transparent;
    break-inside: avoid;
  }
  .next {
    border-left-color: var(--friction);
    background: var(--paper);
  }
  .line {
    line-height: 1.4;
    font-size: 1.0625rem;
  }
  .next .line {
    font-size: 1.25rem;
  }
  .done .what {
    color: var(--quiet);
    text-decoration: line-through;
    text-decoration-thickness: 1px;
  }
  .line {
    display: block;
  }
  .joined .line + .line {
    margin-top: 0.3rem;
    padding-top: 0.3rem;
    border-top: 1px dotted var(--line);
  }
  .at {
    font-size: 1.2em;
    margin: 0 0.35rem;
    white-space: nowrap;
  }
  .mandatory {
    border: 1px solid currentColor;
    font-size: 0.8125rem;
    padding: 0 0.35rem;
    margin-left: 0.35rem;
    white-space: nowrap;
  }
  .own {
    color: var(--petrol);
  }
  .caution,
  .note {
    margin: 0.3rem 0 0.3rem 1.95rem;
    padding-left: 0.6rem;
    border-left: 4px solid var(--line);
    font-size: 0.9688rem;
    line-height: 1.35;
  }
  .note {
    border-left-style: double;
  }
  .waits .what {
    color: var(--quiet);
  }
  .unsent {
    border-color: var(--doubt);
    color: var(--doubt);
    font-weight: 600;
  }
  .danger {
    border-color: var(--stop);
    color: var(--stop);
  }
  .warning {
    border-color: var(--plan);
    color: var(--plan);
  }
  .notice {
    border-color: var(--petrol);
    color: var(--petrol);
  }
  .actions {
    display: flex;
    flex-wrap: wrap;
    gap: 0 1.1rem;
    margin-left: 1.95rem;
  }
  .writing {
    margin: 0.4rem 0 0.6rem 1.95rem;
    align-items: end;
  }
  @media (max-width: 40rem), (hover: none) {
    .caution,
    .note,
    .actions {
      margin-left: 2.4rem;
    }
  }
  @media print {
    .line,
    .caution {
      font-size: 0.85rem;
      line-height: 1.25;
    }
    li {
      padding: 0.15rem 0;
    }
  }
</style>
