<script lang="ts">
  import "../../parts/fields.css";
  import * as texts from "../../texts/atTheCar";
  import * as common from "../../texts/common";
  import { say } from "../../texts/say";
  import Fault from "../../parts/Fault.svelte";
  import MarkChips from "../../parts/MarkChips.svelte";
  import { ANSWERS, EVENTS, type Reads } from "./reads.svelte";

  /** Fields for a step's readings, and marks for inspected items; both are logged at once. */
  let { reads }: { reads: Reads } = $props();
  const job = $derived(reads.job);
  const [typed, looked] = $derived([
    reads.asks.filter((ask) => ask.kind !== "marks"),
    reads.asks.filter((ask) => ask.kind === "marks"),
  ]);
  const cautions = $derived(
    looked.flatMap((ask) =>
      reads
        .choices(ask)
        .filter((mark) => mark.caution && reads.held(ask).includes(mark.id))
        .map((mark) => ({ ...mark, id: ask.id + mark.id, what: `${ask.label}: ${mark.label}.` })),
    ),
  );
  const found = $derived(job.plan?.scope.offers.filter((offer) => offer.found) ?? []);
</script>

<form
  class="reads fields"
  aria-label={texts.measured}
  onsubmit={(event) => {
    event.preventDefault();
    void reads.save();
  }}
  novalidate
>
  {#each typed as ask (ask.id)}
    <div class="read">
      <label for="read-{ask.id}"
        >{ask.label}{#if reads.said(ask)}<span class="number said">{say(texts.onFile, { said: reads.said(ask)! })}</span
          >{/if}</label
      >
      <input
        id="read-{ask.id}"
        inputmode="decimal"
        autocomplete="off"
        disabled={!!reads.event(ask)}
        bind:value={reads.values[ask.id]}
        placeholder={ask.places > 1 && ask.part === "rotor" ? texts.severalPlaces : ""}
        aria-invalid={!!reads.fault(ask)}
      />
      {#if ask.units.length > 1}
        <select aria-label={say(texts.unitOf, { label: ask.label })} bind:value={reads.units[ask.id]}>
          {#each ask.units as unit (unit)}<option>{unit}</option>{/each}
        </select>
      {:else}<span class="unit">{ask.units[0]}</span>{/if}
      {#if ask.methods.length > 1}
        <select
          class="method"
          aria-label={say(texts.methodOf, { label: ask.label })}
          bind:value={reads.methods[ask.id]}
        >
          {#each ask.methods as method (method.id)}<option value={method.id}>{method.label}</option>{/each}
          {#if ask.kind === "reading" && ask.part === "pad"}
            {#each EVENTS as event (event)}<option value={event}>{texts.PAD_EVENTS[event]}</option>{/each}
          {/if}
        </select>
      {/if}
      <Fault text={reads.fault(ask)} />
      {#if reads.questioned(ask)}
        <p class="answers">
          {#each ANSWERS as answer (answer)}<button
              type="button"
              class="plain"
              onclick={() => void reads.answer(ask, answer)}>{texts.ANSWERS[answer]}</button
            >{/each}
        </p>
      {/if}
    </div>
  {/each}
  {#each looked as ask (ask.id)}
    <div class="looked" role="group" aria-label={ask.label}>
      <span class="what">{ask.label}</span>
      <MarkChips marks={reads.choices(ask)} held={reads.held(ask)} toggle={(mark) => reads.tap(ask, mark)} />
    </div>
  {/each}
  {#each cautions as caution (caution.id)}
    <p class="seen {caution.severity}" role="alert"><strong>{caution.what}</strong> {caution.caution}</p>
  {/each}
  {#if reads.wantsOdometer}
    <div class="read">
      <label for="read-odometer">{common.odometer}</label>
      <input id="read-odometer" inputmode="numeric" autocomplete="off" bind:value={reads.odometer} />
      <span class="unit">{job.plan!.odometer.unit}</span>
      <Fault text={reads.form.fault("odometer") || reads.form.fault("date")} />
      {#if reads.form.code("odometer") === "questioned"}
        <button
          type="button"
          class="link"
          onclick={() => {
            reads.keptOdometer = true;
            void reads.save();
          }}>{texts.saveMarkedDoubtful}</button
        >
      {/if}
    </div>
  {/if}
  <p class="row">
    <button type="submit" class="plain" disabled={!reads.dirty || reads.form.busy}
      >{typed.length ? texts.saveReading : common.save}</button
    >
    {#if reads.saved}<span role="status">{texts.inTheLog}</span>{/if}
  </p>
  {#if looked.length}
    {#each found as offer (offer.text)}<p>
        {offer.text} <a href="#/jobs/{job.id}/scope">{texts.changeScope}</a>
      </p>{/each}
  {/if}
  {#if reads.form.refused && !reads.form.refused.faults.length}<Fault text={reads.form.refused.message} />{/if}
</form>

<style>
  .reads {
    display: grid;
    gap: 0.75rem;
    border: 2px solid var(--ink);
    padding: 0.75rem;
  }
  .read {
    display: grid;
    grid-template-columns: 1fr 5rem;
    gap: 0.25rem 0.5rem;
    align-items: center;
  }
  .read > :global(.fault),
  .read label,
  .answers,
  .link {
    grid-column: 1 / -1;
  }
  .answers {
    display: flex;
    flex-wrap: wrap;
    gap: 0.5rem;
  }
  .answers button {
    min-height: 48px;
  }
  .read label {
    display: flex;
    justify-content: space-between;
    gap: 0.5rem;
    font-weight: 600;
  }
  .read input {
    font-size: 1.5rem !important;
    min-height: 56px !important;
  }
  .looked {
    display: grid;
    gap: 0.3rem;
  }
  .what {
    font-weight: 600;
  }
  .seen {
    border-left: 8px solid var(--plan);
    padding: 0.3rem 0.75rem;
  }
  .seen.stop {
    border-left-color: var(--stop);
    font-weight: 600;
  }
  .method {
    grid-column: 1 / -1;
    min-height: 48px;
  }
  .said {
    font-weight: 700;
  }
  .link {
    min-height: 48px;
    text-align: left;
  }
  p {
    margin: 0;
    align-items: center;
  }
</style>
