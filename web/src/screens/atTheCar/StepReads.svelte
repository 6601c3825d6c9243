<script lang="ts">
  import TextField from "../../parts/controls/TextField.svelte";
  import SelectField from "../../parts/controls/SelectField.svelte";
  import PlainButton from "../../parts/controls/PlainButton.svelte";
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
  const events = EVENTS.map((id) => ({ id, label: texts.PAD_EVENTS[id] }));
</script>

<form
  class="reads"
  aria-label={texts.measured}
  onsubmit={(event) => {
    event.preventDefault();
    void reads.save();
  }}
  novalidate
>
  {#each typed as ask (ask.id)}
    <div class="read">
      <TextField
        id="read-{ask.id}"
        label={ask.label}
        inputmode="decimal"
        disabled={!!reads.event(ask)}
        bind:value={reads.values[ask.id]}
        placeholder={ask.places > 1 && ask.part !== "pad" ? texts.severalPlaces : ""}
        fault={reads.fault(ask)}
      >
        {#snippet aside()}
          {#if reads.said(ask)}<span class="number said">{say(texts.onFile, { said: reads.said(ask)! })}</span>{/if}
        {/snippet}
        {#snippet beside()}
          {#if ask.units.length > 1}
            <SelectField
              label={say(texts.unitOf, { label: ask.label })}
              unseen
              width="unit"
              bind:value={reads.units[ask.id]}
              options={ask.units}
            />
          {:else}<span>{ask.units[0]}</span>{/if}
        {/snippet}
      </TextField>
      {#if ask.methods.length > 1}
        <SelectField
          label={say(texts.methodOf, { label: ask.label })}
          unseen
          bind:value={reads.methods[ask.id]}
          options={[...ask.methods, ...(ask.kind === "reading" && ask.part === "pad" ? events : [])]}
        />
      {/if}
      {#if reads.questioned(ask)}
        <p class="answers">
          {#each ANSWERS as answer (answer)}<PlainButton onclick={() => void reads.answer(ask, answer)}
              >{texts.ANSWERS[answer]}</PlainButton
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
      <TextField
        id="read-odometer"
        label={common.odometer}
        inputmode="numeric"
        bind:value={reads.odometer}
        fault={reads.form.fault("odometer") || reads.form.fault("date")}
      >
        {#snippet beside()}<span>{job.plan!.odometer.unit}</span>{/snippet}
      </TextField>
      {#if reads.form.code("odometer") === "questioned"}
        <PlainButton
          look="link"
          onclick={() => {
            reads.keptOdometer = true;
            void reads.save();
          }}>{texts.saveMarkedDoubtful}</PlainButton
        >
      {/if}
    </div>
  {/if}
  <p class="row">
    <PlainButton type="submit" disabled={!reads.dirty || reads.form.busy}
      >{typed.length ? texts.saveReading : common.save}</PlainButton
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
    gap: 0.5rem;
  }
  .read :global(input) {
    font-size: 1.5rem;
  }
  .answers {
    display: flex;
    flex-wrap: wrap;
    gap: 0.5rem;
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
  .said {
    float: right;
    font-weight: 700;
  }
  p {
    margin: 0;
    align-items: center;
  }
</style>
