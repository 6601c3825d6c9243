<script lang="ts">
  import "../../parts/fields.css";
  import * as common from "../../texts/common";
  import * as texts from "../../texts/atTheCar";
  import { say } from "../../texts/say";
  import Fault from "../../parts/Fault.svelte";
  import { focusOn } from "../../parts/focus";
  import type { Bolts } from "./bolts.svelte";

  /** Every bolt of a line: tap it when it clicks, or enter the wrench's reading. */
  let { bolts, wrench }: { bolts: Bolts; wrench: { id: string; label: string } | null } = $props();
  const state = (bolt: number) =>
    bolts.tight(bolt) ? texts.tight : bolts.of(bolt)?.verdict === "under" ? texts.under : texts.open;
</script>

<div class="bolts" role="group" aria-label={bolts.line.label}>
  {#each bolts.numbers as bolt (bolt)}
    <button
      type="button"
      class:tight={bolts.tight(bolt)}
      class:under={["under", "undone"].includes(bolts.of(bolt)?.verdict ?? "")}
      aria-pressed={bolts.tight(bolt)}
      aria-label="{bolts.line.label} {bolts.name(bolt)}: {state(bolt)}{bolts.of(bolt)?.said
        ? `, ${bolts.of(bolt)!.said}`
        : ''}"
      onclick={() => bolts.enter(bolt)}
    >
      <span class="number">{bolts.name(bolt)}</span>
      <small
        >{bolts.of(bolt)?.said ??
          (bolts.of(bolt)?.verdict === "felt" ? texts.byFeel : bolts.tight(bolt) ? texts.clicked : "")}</small
      >
    </button>
  {/each}
</div>
{#if bolts.open !== null}
  <form
    class="fields entry"
    onsubmit={(event) => {
      event.preventDefault();
      void bolts.save();
    }}
    novalidate
  >
    <p><strong>{say(texts.boltNumber, { label: bolts.line.label, bolt: bolts.name(bolts.open) })}</strong></p>
    <div class="row">
      <button type="button" class="plain" onclick={() => bolts.clicked([bolts.open!]).then(() => (bolts.open = null))}
        >{texts.itClicked}</button
      >
      {#if wrench}<button type="button" class="plain" disabled={bolts.form.busy} onclick={() => bolts.read(wrench.id)}
          >{say(texts.readFrom, { wrench: wrench.label })}</button
        >{/if}
    </div>
    <div class="row">
      <label
        ><span>{texts.reachedPeak}</span><input
          use:focusOn
          inputmode="decimal"
          autocomplete="off"
          bind:value={bolts.reached}
          oninput={() => (bolts.simulated = false)}
          aria-invalid={!!bolts.form.fault("reached")}
        /></label
      >
      <label
        ><span>{texts.unit}</span><select bind:value={bolts.unit}
          >{#each ["N·m", "lbf·ft", "lbf·in"] as unit (unit)}<option>{unit}</option>{/each}</select
        ></label
      >
      {#if bolts.line.angle_degrees}<label
          ><span>{texts.thenAngle}</span><input
            inputmode="decimal"
            autocomplete="off"
            bind:value={bolts.angle}
          /></label
        >{/if}
    </div>
    {#if bolts.simulated}<p class="quiet">{texts.simulatedWrench}</p>{/if}
    <Fault text={bolts.form.first} />
    {#if bolts.form.code("answer") === "over"}
      <label
        ><span>{texts.reasonToKeep}</span><input autocomplete="off" maxlength="500" bind:value={bolts.because} /></label
      >
      <div class="row">
        <button type="button" class="plain" onclick={() => bolts.save("renewed")}>{texts.newBolt}</button>
        <button type="button" class="plain" onclick={() => bolts.save("loosened")}>{texts.loosened}</button>
        <button type="button" class="plain" disabled={!bolts.because.trim()} onclick={() => bolts.save("kept")}
          >{texts.keepIt}</button
        >
      </div>
    {/if}
    <div class="row">
      <button type="submit" class="plain" disabled={!bolts.reached.trim() || bolts.form.busy}>{common.save}</button>
      <button type="button" class="plain" onclick={() => (bolts.open = null)}>{common.cancel}</button>
    </div>
  </form>
{:else}
  <Fault text={bolts.form.first} />
{/if}

<style>
  .bolts {
    display: grid;
    grid-template-columns: repeat(auto-fill, minmax(4.75rem, 1fr));
    gap: 0.4rem;
  }
  .bolts button {
    display: grid;
    justify-items: center;
    align-content: center;
    min-height: 64px;
    font: inherit;
    color: var(--ink);
    background: var(--sheet);
    border: 2px dashed var(--ink);
  }
  .bolts .number {
    font-size: 1.5rem;
    line-height: 1;
  }
  .bolts .tight {
    border-style: solid;
    border-width: 4px;
    border-color: var(--good);
  }
  .bolts .under {
    border-color: var(--stop);
    border-style: solid;
  }
  .entry {
    display: grid;
    gap: 0.6rem;
    border: 2px solid var(--ink);
    padding: 0.6rem;
  }
  .entry p {
    margin: 0;
  }
  .entry label {
    flex: 1 1 6rem;
  }
</style>
