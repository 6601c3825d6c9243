<script lang="ts">
  import TextField from "../../parts/controls/TextField.svelte";
  import PlainButton from "../../parts/controls/PlainButton.svelte";
  import { undo } from "../../parts/undo.svelte";
  import * as undos from "../../texts/undo";
  import * as common from "../../texts/common";
  import * as texts from "../../texts/workshop";
  import { say } from "../../texts/say";
  import { Button } from "carbon-components-svelte";
  import { lazyApi } from "../../api/lazyApi";
  import type { Schemas } from "../../api/client";
  import { exactLength } from "../../format/lengths";
  import { day, listed } from "../../format/words";
  import { FormState } from "../../parts/formState.svelte";
  import Fault from "../../parts/Fault.svelte";

  /** One measuring tool: what it is, whether its zero is good, and what a bad one has done. */
  let { instrument, today, onchange }: { instrument: Schemas["Instrument"]; today: string; onchange: () => void } =
    $props();

  const SHOWN = 6;
  let checking = $state(false);
  let reference = $state("0");
  let read = $state("");
  let date = $state("");
  const form = new FormState();
  let said = $state("");
  const newest = $derived(instrument.checks[0]);
  const fault = form.fault;
  // A scale of 32nds of an inch is as long as so many inches.
  const in32nds = $derived(instrument.unit === "32nd");
  const whole = (figure: string | null) =>
    figure === null ? "?" : in32nds && Number.isFinite(+figure) ? String(+figure / 32) : figure;
  const range = $derived(
    instrument.least || instrument.most
      ? say(texts.leastToMostUnit, {
          least: whole(instrument.least),
          most: whole(instrument.most),
          unit: in32nds ? "in" : instrument.unit,
        })
      : texts.rangeUnknown,
  );

  async function archive(retired: boolean) {
    await act(() => lazyApi.changeInstrument(instrument.id, { retired }, instrument.revision));
    if (retired && !form.refused)
      undo.offer(say(undos.nameArchived, { name: instrument.name }), async () => {
        await lazyApi.changeInstrument(instrument.id, { retired: false });
        onchange();
      });
  }
  async function act(action: () => Promise<unknown>) {
    await form.act(async () => {
      await action();
      checking = false;
      onchange();
    });
  }

  function check(event: SubmitEvent) {
    event.preventDefault();
    void act(() => lazyApi.checkZero(instrument.id, { date: date || today, reference, read, unit: instrument.unit }));
  }

  const withdraw = () =>
    act(async () => {
      await lazyApi.withdrawZeroCheck(instrument.id, newest!.id);
      said = texts.withdrawn;
    });

  const correct = () =>
    act(
      async () =>
        (said = say(texts.correctedReadingsCorrectedWhatWas, {
          corrected: (await lazyApi.correctZero(instrument.id)).corrected,
        })),
    );
</script>

<article class="sheet stack" class:wide={instrument.changes.length > 0} aria-label={instrument.name}>
  <div>
    <h3>{instrument.name}</h3>
    <p class="quiet">
      {listed(
        instrument.kind,
        range,
        instrument.resolution &&
          say(texts.resolutionSaid, {
            resolution: in32nds ? `${instrument.resolution}/32` : instrument.resolution,
            unit: in32nds ? "in" : instrument.unit,
          }),
      )}
    </p>
    <p class="quiet">
      {say(texts.uncertaintyOfTool, {
        said: instrument.uncertainty
          ? `${instrument.uncertainty}\u00a0${instrument.unit}`
          : say(texts.usualUncertainty, { uncertainty: exactLength(instrument.usual_uncertainty_mm, 3) }),
      })}
    </p>
  </div>
  {#if newest}
    <p class:bad={!newest.good}>
      <strong>{newest.good ? texts.zeroIsRight : texts.zeroIsOff}</strong>: {listed(
        say(texts.zeroCheckShowed, {
          read: newest.read,
          reference: newest.reference,
          unit: newest.unit,
          day: day(newest.date),
        }),
        !newest.good &&
          say(newest.offset_mm > 0 ? texts.readsHigh : texts.readsLow, {
            by: exactLength(Math.abs(newest.offset_mm), 3),
          }),
      )}.
      <PlainButton look="link" onclick={withdraw}>{texts.withdrawCheck}</PlainButton>
    </p>
  {:else}<p class="quiet">{texts.itsZeroWasNeverChecked}</p>{/if}
  {#if instrument.changes.length}
    <div class="changes">
      <p>
        {say(texts.readingsSinceGoodZero, { count: instrument.changes.length })}
      </p>
      <div class="scroll">
        <table>
          <thead
            ><tr><th>{common.day}</th><th>{texts.placeRead}</th><th>{texts.read}</th><th>{texts.corrected}</th></tr
            ></thead
          >
          <tbody>
            {#each instrument.changes.slice(0, SHOWN) as change, at (at)}<tr>
                <td><a href="#/inspections/{change.inspection}">{day(change.date)}</a></td>
                <td>{change.position}</td>
                <td class="number">{change.from} {change.unit}</td>
                <td class="number"><strong>{change.to} {change.unit}</strong></td>
              </tr>{/each}
          </tbody>
        </table>
      </div>
      {#if instrument.changes.length > SHOWN}<p>
          {say(texts.moreCount, { value: instrument.changes.length - SHOWN })}
        </p>{/if}
      <div>
        <Button size="field" on:click={correct}
          >{say((newest?.offset_mm ?? 0) > 0 ? texts.subtractZeroError : texts.addZeroError, {
            by: exactLength(Math.abs(newest?.offset_mm ?? 0), 3),
            count: instrument.changes.length,
          })}</Button
        >
      </div>
    </div>
  {/if}
  {#if said}<p role="status">{said}</p>{/if}
  {#if checking}
    <form class="row" onsubmit={check} novalidate>
      <TextField
        label={say(texts.shouldBeUnit, { unit: instrument.unit })}
        inputmode="decimal"
        bind:value={reference}
        fault={fault("reference")}
      />
      <TextField label={texts.readingShown} inputmode="decimal" bind:value={read} fault={fault("read")} />
      <TextField
        label={common.day}
        type="date"
        max={today}
        value={date || today}
        oninput={(event) => (date = event.currentTarget.value)}
        fault={fault("date")}
      />
      <Button type="submit" size="field">{common.saveNote}</Button>
      <Button kind="ghost" size="field" on:click={() => (checking = false)}>{common.cancel}</Button>
    </form>
  {:else}
    <div class="row">
      <Button size="small" kind="tertiary" on:click={() => (checking = true)}>{texts.checkItsZero}</Button>
      <Button size="small" kind="ghost" on:click={() => archive(!instrument.retired)}
        >{instrument.retired ? common.restore : texts.archiveTool}</Button
      >
    </div>
  {/if}
  <Fault text={form.refused?.faults.map((each) => each.message).join(" ") || form.first} />
</article>

<style>
  h3 {
    font-size: 1.35rem;
  }
  /* What a bad zero has done wants the room. */
  .wide {
    grid-column: 1 / -1;
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
</style>
