<script lang="ts">
  import * as common from "../../texts/common";
  import * as texts from "../../texts/job";
  import { say } from "../../texts/say";
  import { Button } from "carbon-components-svelte";
  import type { Schemas } from "../../api/client";
  import { inShort, movements, stages, torque, type Movement } from "../../format/jobs";
  import { day, upperFirst } from "../../format/words";
  import { router } from "svelte-spa-router";
  import { tick as rendered } from "svelte";
  import { focusOn } from "../../parts/focus";
  import type { JobPlanState } from "../../parts/jobPlan.svelte";
  import { outbox } from "../../parts/outbox.svelte";
  import Fault from "../../parts/Fault.svelte";

  /** The steps in order: ticked at the car, changed at the table as far as the order allows it. */
  let { job }: { job: JobPlanState } = $props();
  const plan = $derived(job.plan!);
  const steps = $derived(plan.steps ?? []);
  let changing = $state(false);
  type Action = "note" | "insert" | "otherwise";
  let writing = $state<{ key: string; action: Action } | null>(null);
  const LABELS: Record<Action, string> = {
    note: texts.noteForNextTime,
    insert: texts.yourOwnStep2,
    otherwise: texts.howItWasDoneInstead,
  };
  let text = $state("");

  async function write(event: SubmitEvent) {
    event.preventDefault();
    const { key, action } = writing!;
    const kept =
      action === "note"
        ? job.note(key, text)
        : action === "otherwise"
          ? job.otherwise(key, text)
          : job.adjust({ action: "insert", after: key, text });
    if (await kept) [writing, text] = [null, ""];
  }
  function move(step: Schemas["JobStep"], by: number) {
    const at = steps.indexOf(step);
    const after = by < 0 ? (steps[at - 2]?.key ?? null) : (steps[at + 1]?.key ?? null);
    return job.adjust({ action: "move", key: step.key, after });
  }
  const done = (step: Schemas["JobStep"]) => plan.ticked.includes(step.key) || step.otherwise !== null;
  // What is changed is changed step by step; what is done, movement by movement.
  const shown = $derived(
    changing ? steps.map((step): Movement => ({ key: step.key, steps: [step] })) : movements(steps),
  );
  const allDone = (movement: Movement) => movement.steps.every(done);
  const ticked = (movement: Movement) => movement.steps.every((step) => plan.ticked.includes(step.key));
  const next = $derived(shown.find((movement) => !allDone(movement))?.key);
  const named = (key: string) => {
    const step = steps.find((each) => each.key === key);
    return step ? `${step.place ? `${upperFirst(step.place)}: ` : ""}${inShort(step.text)}` : key;
  };
  let refusedAt = $state("");
  async function check(movement: Movement, box: HTMLInputElement) {
    refusedAt = movement.key;
    await job.tick(
      movement.steps.map((step) => step.key),
      box.checked,
    );
    // What the server did not take does not look taken.
    if (!outbox.of(job.id, movement.key)) box.checked = ticked(movement);
  }
  // A link from elsewhere (Finish, a step that waits) leads to its step.
  async function goTo(key: string) {
    await rendered();
    const movement = shown.find((each) => each.steps.some((step) => step.key === key));
    const box = document.querySelector<HTMLInputElement>(`[data-step="${CSS.escape(movement?.key ?? key)}"] input`);
    box?.scrollIntoView({ block: "center" });
    box?.focus();
  }
  $effect(() => {
    const at = new URLSearchParams(router.querystring ?? "").get("at");
    if (at) void goTo(at);
  });
  const open = (key: string, action: Action) => ([writing, text] = [{ key, action }, ""]);
</script>

{#if !plan.steps}
  <section class="sheet">
    <h2>{texts.noOrderCanBeTrusted}</h2>
    <p>{texts.theStepsDependOnWhat}</p>
    <ul class="list">
      {#each plan.readiness.filter((item) => item.kind === "data" || item.kind === "impossible") as item (item.id)}
        <li>
          {item.text}
          {#if item.axle_id}<a href="#/axles/{item.axle_id}/brake-data">{texts.fillInTheBrakeData}</a>{/if}
        </li>
      {/each}
    </ul>
  </section>
{:else}
  {#if job.open}
    <div class="row spread no-print">
      <p class="quiet">
        {changing ? texts.whatWouldBreakTheOrder : texts.eachStepWaitsForWhat}
      </p>
      <Button size="field" kind="ghost" on:click={() => (changing = !changing)}
        >{changing ? texts.doneWithNotesAndOrder : texts.notesAndOrder}</Button
      >
    </div>
  {/if}
  <Fault text={job.fault("key") || job.fault("text")} />
  <Fault text={job.fault("state")} />
  {#each plan.set_aside as each (each.event)}
    <p class="quiet">
      {each.text}
      <button type="button" class="link" onclick={() => job.unadjust(each.event)}>{texts.discardAdjustment}</button>
    </p>
  {/each}
  <section class="sheet steps">
    {#each stages(shown) as stage (stage.id)}
      <h3>{stage.title}</h3>
      <ol class="plain-list">
        {#each stage.movements as movement (movement.key)}
          {@const step = movement.steps[0]!}
          {@const sending = job.open ? outbox.of(job.id, movement.key) : undefined}
          {@const waitsFor = movement.steps.flatMap((each) => each.waits_for)}
          <li
            class:done={allDone(movement)}
            class:waits={step.waits_for.length > 0}
            class:joined={movement.steps.length > 1}
            data-step={movement.key}
          >
            <label>
              <input
                type="checkbox"
                checked={sending ? sending.done : ticked(movement)}
                disabled={!job.open}
                onchange={(event) => check(movement, event.currentTarget)}
              />
              <span>
                {#each movement.steps as step (step.key)}
                  <span class="line">
                    {step.text}
                    {#each step.tighten as line (line.axle + line.fastener)}
                      {#if line.newton_metres !== null}<strong class="number at"
                          >{plan.axles.length > 1 && !step.key.includes(`${line.axle}.`) ? `${line.axle} ` : ""}{step
                            .tighten.length > 1
                            ? `${line.label.toLowerCase()} `
                            : ""}{torque(line)}</strong
                        >{/if}{#if line.said.length}<span class="quiet"
                          >{line.newton_metres === null ? `${line.label}: ` : ""}{line.said.join("; ")}</span
                        >{/if}
                    {/each}
                    {#if step.gate}<span class="gate">{step.kills ? texts.neverSkipped : texts.notToBeSkipped}</span
                      >{/if}
                    {#if step.own}<span class="gate own">{texts.yourOwnStep}</span>{/if}
                    {#if step.why}{" "}<span class="quiet">{step.why}</span>{/if}
                  </span>
                {/each}
              </span>
            </label>
            {#if sending}<p class="note unsent" role="status">
                {texts.notSavedYetTheServer}
              </p>{/if}
            {#each movement.steps as each (each.key)}
              {#if each.otherwise}<p class="note"><strong>{texts.doneAnotherWay}</strong> {each.otherwise}</p>{/if}
            {/each}
            {#if refusedAt === movement.key && job.fault("step")}
              <p class="note fault" role="alert">
                {#if waitsFor.length}{texts.firstComes}
                  {#each waitsFor as key, at (key + at)}{at ? texts.then : ""}<button
                      type="button"
                      class="link"
                      onclick={() => goTo(key)}>{named(key)}</button
                    >{/each}{:else}{job.fault("step")}{/if}
              </p>
            {/if}
            {#each movement.steps.flatMap((each) => each.last_time) as note (note.day + note.text)}<p class="note">
                <strong>{say(texts.lastTimeDay, { day: day(note.day) })}</strong>
                {note.text}
              </p>{/each}
            {#each movement.steps.flatMap((each) => each.notes) as note (note.text)}<p class="note">
                <strong>{texts.yourNote}</strong>
                {note.text}
              </p>{/each}
            {#each movement.steps.flatMap((each) => each.cautions) as caution (caution.text)}
              <p class="caution {caution.severity}"><strong>{upperFirst(caution.severity)}:</strong> {caution.text}</p>
            {/each}
            {#if job.open && (changing || movement.key === next)}
              <div class="actions no-print">
                <button type="button" class="link" onclick={() => open(step.key, "note")}
                  >{texts.noteForNextTime}</button
                >
                {#if !step.kills && !done(step) && movement.steps.length === 1 && plan.state === "started"}<button
                    type="button"
                    class="link"
                    onclick={() => open(step.key, "otherwise")}>{texts.iDidItAnotherWay}</button
                  >{/if}
                {#if changing}
                  <button type="button" class="link" onclick={() => open(step.key, "insert")}
                    >{texts.addAStepAfterIt}</button
                  >
                  <button type="button" class="link" onclick={() => move(step, -1)}>{texts.earlier}</button>
                  <button type="button" class="link" onclick={() => move(step, 1)}>{texts.later}</button>
                  {#if step.own && step.event}<button
                      type="button"
                      class="link"
                      onclick={() => job.unadjust(step.event!)}>{texts.removeStep}</button
                    >
                  {:else if !step.gate}<button
                      type="button"
                      class="link"
                      onclick={() => job.adjust({ action: "drop", key: step.key })}>{texts.skipStep}</button
                    >{/if}
                  {#if step.event && !step.own}<button
                      type="button"
                      class="link"
                      onclick={() => job.unadjust(step.event!)}>{texts.moveBack}</button
                    >{/if}
                {/if}
              </div>
            {/if}
            {#if writing?.key === step.key}
              <form class="row writing" onsubmit={write}>
                <label class="grow text"
                  ><span>{LABELS[writing.action]}</span>
                  <input use:focusOn type="text" maxlength="500" bind:value={text} /></label
                >
                <Button type="submit" size="field">{common.save}</Button>
                <Button size="field" kind="ghost" on:click={() => (writing = null)}>{common.cancel}</Button>
                <Fault text={job.fault("because")} />
              </form>
            {/if}
          </li>
        {/each}
      </ol>
    {/each}
  </section>
  {#if plan.dropped.length}
    <section class="sheet no-print">
      <h2>{texts.leftOutByYou}</h2>
      <ul class="plain-list">
        {#each plan.dropped as step (step.key)}<li>
            {step.place ? `${upperFirst(step.place)}: ` : ""}{step.text}
            <button type="button" class="link" disabled={!job.open} onclick={() => job.unadjust(step.event)}
              >{common.putBack}</button
            >
          </li>{/each}
      </ul>
    </section>
  {/if}
{/if}

<style>
  .list {
    margin: 0.3rem 0 0;
    padding-left: 1.1rem;
    list-style: disc;
  }
  .steps h3 {
    margin: 1.1rem 0 0.4rem;
    padding-bottom: 0.25rem;
    border-bottom: 2px solid var(--ink);
  }
  .steps h3:first-child {
    margin-top: 0;
  }
  .steps li {
    padding: 0.35rem 0;
    break-inside: avoid;
  }
  .steps label {
    display: grid;
    grid-template-columns: 2rem 1fr;
    line-height: 1.4;
    font-size: 1.0625rem;
  }
  .steps input[type="checkbox"] {
    width: 1.35rem;
    height: 1.35rem;
    margin: 0.1rem 0 0;
    accent-color: var(--petrol);
  }
  .done label > span {
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
    font-size: 1.2rem;
    margin: 0 0.35rem;
    white-space: nowrap;
  }
  .gate {
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
    margin: 0.2rem 0 0.2rem 2rem;
    padding-left: 0.6rem;
    border-left: 4px solid var(--line);
    font-size: 0.9688rem;
    line-height: 1.35;
  }
  .note {
    border-left-style: double;
  }
  .waits label > span {
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
    margin-left: 2rem;
  }
  .writing {
    margin: 0.4rem 0 0.6rem 2rem;
    align-items: end;
  }
  .steps .text {
    display: grid;
    grid-template-columns: 1fr;
    gap: 0.25rem;
    font-weight: 600;
  }
  .text input {
    font: inherit;
    min-height: 48px;
    border: 1px solid var(--quiet);
    background: var(--sheet);
    color: var(--ink);
    padding: 0 0.5rem;
  }
  @media (max-width: 40rem), (hover: none) {
    .steps input[type="checkbox"] {
      width: 1.8rem;
      height: 1.8rem;
    }
    .steps label {
      grid-template-columns: 2.6rem 1fr;
      min-height: 48px;
    }
    .actions {
      margin-left: 2.6rem;
    }
    .link {
      min-height: 44px;
    }
  }
  @media print {
    .steps label,
    .caution {
      font-size: 0.85rem;
      line-height: 1.25;
    }
    .steps li {
      padding: 0.15rem 0;
    }
    h3 {
      break-after: avoid;
    }
  }
</style>
