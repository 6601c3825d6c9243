<script lang="ts">
  import PlainButton from "../../parts/controls/PlainButton.svelte";
  import * as texts from "../../texts/findings";
  import { say } from "../../texts/say";
  import { lazyApi } from "../../api/lazyApi";
  import type { Schemas } from "../../api/client";
  import StateMark from "../../parts/StateMark.svelte";

  /** Something noticed on the road: one question after the other, then a severity. */
  let { vehicle, kind, states }: { vehicle: number; kind: Schemas["VehicleKind"]; states: Schemas["State"][] } =
    $props();
  let symptoms = $state.raw<Schemas["Symptom"][]>([]);
  let chosen = $state<Schemas["Symptom"] | null>(null);
  let answers = $state<Record<string, string>>({});
  let outcome = $state.raw<Schemas["SymptomOutcome"] | null>(null);
  lazyApi
    .symptoms()
    .then(
      (found) => (symptoms = found.symptoms.filter((each) => each.vehicles === null || each.vehicles.includes(kind))),
    );

  const open = $derived(chosen?.questions.find((question) => !answers[question.id]) ?? null);

  function choose(symptom: Schemas["Symptom"]) {
    [chosen, answers, outcome] = [symptom, {}, null];
    void finish();
  }

  function answer(question: string, option: string) {
    answers[question] = option;
    void finish();
  }

  async function finish() {
    if (chosen && chosen.questions.every((question) => answers[question.id]))
      outcome = await lazyApi.symptom(vehicle, { symptom: chosen.id, answers: $state.snapshot(answers) });
  }
</script>

<div class="chips" role="group" aria-label={texts.whatWasNoticed}>
  {#each symptoms as symptom (symptom.id)}<PlainButton
      pressed={chosen?.id === symptom.id}
      onclick={() => choose(symptom)}>{symptom.label}</PlainButton
    >{/each}
</div>
{#if open}
  <div class="ask" role="group" aria-label={open.text}>
    <p><strong>{open.text}</strong></p>
    <div class="chips">
      {#each open.options as option (option.id)}<PlainButton onclick={() => answer(open.id, option.id)}
          >{option.label}</PlainButton
        >{/each}
    </div>
  </div>
{/if}
{#if outcome}
  {@const state = states.find((each) => each.severity === outcome!.severity)}
  <div class="outcome {outcome.severity}" role="status">
    {#if state}<StateMark {state} large />{/if}
    <p><strong>{outcome.sentence}</strong></p>
    <p>{say(texts.possibleCausesList, { causes: outcome.causes.join("; ") })}</p>
    <p>{say(texts.measureNextMeasure, { measure: outcome.measure })}</p>
    <p class="quiet">
      {outcome.noted.closed_on ? texts.notedAsNormal : texts.noted}
      <a href="#/vehicles/{vehicle}">{texts.openVehicle}</a>
    </p>
    {#each outcome.tied as found (found.rule + found.sentence)}<p class="tied">
        {say(texts.yourReadingsTitleSentence, { title: found.title, sentence: found.sentence })}
      </p>{/each}
  </div>
{/if}

<style>
  .chips {
    display: flex;
    flex-wrap: wrap;
    gap: 0.4rem;
  }
  .ask {
    margin-top: 0.75rem;
    display: grid;
    gap: 0.4rem;
  }
  .outcome {
    margin-top: 0.75rem;
    border-left: 6px solid var(--watch);
    padding-left: 0.9rem;
    display: grid;
    gap: 0.35rem;
  }
  .stop {
    border-left-color: var(--stop);
  }
  .plan {
    border-left-color: var(--plan);
  }
  .good {
    border-left-color: var(--good);
  }
  .tied {
    color: var(--doubt);
  }
</style>
