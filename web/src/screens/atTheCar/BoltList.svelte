<script lang="ts">
  import SelectField from "../../parts/controls/SelectField.svelte";
  import TextField from "../../parts/controls/TextField.svelte";
  import PlainButton from "../../parts/controls/PlainButton.svelte";
  import * as common from "../../texts/common";
  import * as texts from "../../texts/atTheCar";
  import { say } from "../../texts/say";
  import Fault from "../../parts/Fault.svelte";
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
    class="entry"
    onsubmit={(event) => {
      event.preventDefault();
      void bolts.save();
    }}
    novalidate
  >
    <p><strong>{say(texts.boltNumber, { label: bolts.line.label, bolt: bolts.name(bolts.open) })}</strong></p>
    <div class="row">
      <PlainButton onclick={() => bolts.clicked([bolts.open!]).then(() => (bolts.open = null))}
        >{bolts.line.angle_degrees
          ? say(texts.clickedAndTurned, { angle: bolts.line.angle_degrees })
          : texts.itClicked}</PlainButton
      >
      {#if wrench}<PlainButton disabled={bolts.form.busy} onclick={() => bolts.read(wrench.id)}
          >{say(texts.readFrom, { wrench: wrench.label })}</PlainButton
        >{/if}
    </div>
    <div class="row">
      <TextField
        label={texts.reachedPeak}
        first
        inputmode="decimal"
        bind:value={bolts.reached}
        oninput={() => (bolts.simulated = false)}
        fault={bolts.form.fault("reached")}
      />
      <SelectField label={texts.unit} width="short" bind:value={bolts.unit} options={["N·m", "lbf·ft", "lbf·in"]} />
      {#if bolts.line.angle_degrees}<TextField
          label={texts.thenAngle}
          inputmode="decimal"
          bind:value={bolts.angle}
        />{/if}
    </div>
    {#if bolts.simulated}<p class="quiet">{texts.simulatedWrench}</p>{/if}
    <Fault text={bolts.form.first} />
    {#if bolts.form.code("answer") === "over"}
      <TextField label={texts.reasonToKeep} maxlength={500} bind:value={bolts.because} />
      <div class="row">
        <PlainButton onclick={() => bolts.save("renewed")}>{texts.newBolt}</PlainButton>
        <PlainButton onclick={() => bolts.save("loosened")}>{texts.loosened}</PlainButton>
        <PlainButton disabled={!bolts.because.trim()} onclick={() => bolts.save("kept")}>{texts.keepIt}</PlainButton>
      </div>
    {/if}
    <div class="row">
      <PlainButton type="submit" disabled={!bolts.reached.trim() || bolts.form.busy}>{common.save}</PlainButton>
      <PlainButton onclick={() => (bolts.open = null)}>{common.cancel}</PlainButton>
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
</style>
