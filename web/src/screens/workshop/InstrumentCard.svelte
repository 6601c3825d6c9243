<script lang="ts">
  import { Button } from "carbon-components-svelte";
  import { api, type Schemas } from "../../api/client";
  import { day } from "../../format/words";
  import { FormState } from "../../parts/formState.svelte";
  import Fault from "../../parts/Fault.svelte";

  /** One measuring tool: what it is, whether its zero is good, and what a bad one has done. */
  let { instrument, today, onchange }: { instrument: Schemas["Instrument"]; today: string; onchange: () => void } =
    $props();

  let checking = $state(false);
  let reference = $state("0");
  let read = $state("");
  let date = $state("");
  const form = new FormState();
  let said = $state("");
  const newest = $derived(instrument.checks[0]);
  const fault = form.fault;
  const range = $derived(
    instrument.least || instrument.most
      ? `${instrument.least ?? "?"} to ${instrument.most ?? "?"} ${instrument.unit}`
      : "range not known",
  );

  async function act(action: () => Promise<unknown>) {
    await form.act(async () => {
      await action();
      checking = false;
      onchange();
    });
  }

  function check(event: SubmitEvent) {
    event.preventDefault();
    void act(() => api.checkZero(instrument.id, { date: date || today, reference, read, unit: instrument.unit }));
  }

  const correct = () =>
    act(
      async () =>
        (said = `${(await api.correctZero(instrument.id)).corrected} readings corrected; what was entered stays beside them.`),
    );
</script>

<article class="sheet stack" aria-label={instrument.name}>
  <div>
    <h3>{instrument.name}</h3>
    <p class="quiet">
      {instrument.kind}, {range}{instrument.resolution ? `, steps of ${instrument.resolution} ${instrument.unit}` : ""}
    </p>
    <p class="quiet">
      Standard uncertainty {instrument.uncertainty
        ? `${instrument.uncertainty} ${instrument.unit}`
        : `${instrument.usual_uncertainty_mm} mm (usual for its kind)`}
    </p>
  </div>
  {#if newest}
    <p class:bad={!newest.good}>
      <strong>{newest.good ? "Zero is right" : "Zero is off"}</strong>: showed {newest.read} at {newest.reference}
      {newest.unit} on {day(newest.date)}{newest.good
        ? ""
        : `, ${Math.abs(newest.offset_mm).toFixed(3)} mm too ${newest.offset_mm > 0 ? "much" : "little"}`}.
    </p>
  {:else}<p class="quiet">Its zero was never checked.</p>{/if}
  {#if instrument.changes.length}
    <div class="changes">
      <p>
        {instrument.changes.length}
        {instrument.changes.length === 1 ? "reading was" : "readings were"} made with it since its zero was last good:
      </p>
      <ul class="plain-list">
        {#each instrument.changes.slice(0, 6) as change, at (at)}<li>
            <a href="#/look-overs/{change.look_over}">{day(change.date)}</a>
            {change.position}: <span class="number">{change.from} → {change.to} {change.unit}</span>
          </li>{/each}
        {#if instrument.changes.length > 6}<li>and {instrument.changes.length - 6} more</li>{/if}
      </ul>
      <Button size="small" on:click={correct}
        >Take the {Math.abs(newest?.offset_mm ?? 0).toFixed(3)} mm out of them</Button
      >
    </div>
  {/if}
  {#if said}<p role="status">{said}</p>{/if}
  {#if checking}
    <form class="row" onsubmit={check} novalidate>
      <label
        >Should be ({instrument.unit})<input
          inputmode="decimal"
          bind:value={reference}
          aria-invalid={!!fault("reference")}
        /></label
      >
      <label>It shows<input inputmode="decimal" bind:value={read} aria-invalid={!!fault("read")} /></label>
      <label
        >Day<input
          type="date"
          max={today}
          value={date || today}
          oninput={(event) => (date = event.currentTarget.value)}
          aria-invalid={!!fault("date")}
        /></label
      >
      <Button type="submit" size="field">Note it</Button>
      <Button kind="ghost" size="field" on:click={() => (checking = false)}>Cancel</Button>
    </form>
  {:else}
    <div class="row">
      <Button size="small" kind="tertiary" on:click={() => (checking = true)}>Check its zero</Button>
      <Button
        size="small"
        kind="ghost"
        on:click={() => act(() => api.changeInstrument(instrument.id, { retired: !instrument.retired }))}
        >{instrument.retired ? "Restore" : "Put it away"}</Button
      >
    </div>
  {/if}
  <Fault text={form.refused?.faults.map((each) => each.message).join(" ") || form.first} />
</article>

<style>
  h3 {
    font-size: 1.35rem;
  }
  .bad {
    color: var(--doubt);
  }
  .changes {
    border-left: 4px solid var(--doubt);
    padding-left: 0.75rem;
    display: grid;
    gap: 0.4rem;
  }
  label {
    font-weight: 600;
    display: grid;
  }
  input {
    font: inherit;
    font-size: 1.1rem;
    min-height: 48px;
    width: 6.5rem;
    border: 1px solid var(--quiet);
    background: var(--sheet);
    color: var(--ink);
    padding: 0 0.5rem;
    box-sizing: border-box;
    color-scheme: inherit;
  }
  input[type="date"] {
    width: 9.5rem;
  }
  input[aria-invalid="true"] {
    border-color: var(--stop);
    box-shadow: 0 0 0 1px var(--stop);
  }
</style>
