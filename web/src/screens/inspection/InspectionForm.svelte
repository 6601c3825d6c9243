<script lang="ts">
  import PlainButton from "../../parts/controls/PlainButton.svelte";
  import { currentPage } from "../../parts/currentPage.svelte";
  import * as common from "../../texts/common";
  import * as texts from "../../texts/inspection";
  import { flushSync } from "svelte";
  import { Button, InlineNotification } from "carbon-components-svelte";
  import { push, router } from "svelte-spa-router";
  import AxleSection from "../../parts/AxleSection.svelte";
  import Problem from "../../parts/Problem.svelte";
  import ReadingInput from "./ReadingInput.svelte";
  import SaveBar from "./SaveBar.svelte";
  import TwoVersions from "./TwoVersions.svelte";
  import InspectionHead from "./InspectionHead.svelte";
  import InspectionOrder from "./InspectionOrder.svelte";
  import InspectionTop from "./InspectionTop.svelte";
  import VehiclePart from "./VehiclePart.svelte";
  import WheelHead from "./WheelHead.svelte";
  import WheelAsks from "./WheelAsks.svelte";
  import WheelMarks from "./WheelMarks.svelte";
  import WheelStrip from "./WheelStrip.svelte";
  import { InspectionForm, type Place } from "./inspectionForm.svelte";

  let { params }: { params: { id: string } } = $props();
  $effect(() => currentPage.at({ vehicle: Number(params.id) }, "check"));
  const axle = $derived(Number(new URLSearchParams(router.querystring ?? "").get("axle")) || null);
  const form = $derived(new InspectionForm(Number(params.id), axle));
  let at = $state(0);
  let active = $state<string | null>(null);
  let narrow = $state(false);

  $effect(() => {
    const mine = form;
    at = 0;
    void mine.load().then(() => setTimeout(() => resume(mine)));
    const wide = window.matchMedia("(max-width: 46rem)");
    const measure = () => (narrow = wide.matches);
    measure();
    wide.addEventListener("change", measure);
    return () => {
      wide.removeEventListener("change", measure);
      mine.draft.flush();
    };
  });

  /** Nothing stands there yet, or what does can't be read. */
  const isOpen = (place: Place) => !form.isFilled(place) || !!form.faultAt(place);

  /** Where it was left: at the odometer, else at the first reading that is missing. A phone shows one at a time. */
  function resume(mine: InspectionForm) {
    if (!mine.content) return;
    if (!mine.draft.state) mine.content.large = matchMedia("(max-width: 30rem)").matches;
    if (!mine.content.odometer) return focus("odometer");
    const next = mine.wheels.findIndex((each) => each.positions.some(isOpen));
    if (next >= 0) pick(next);
  }

  const wheel = $derived(form.wheels[at] ?? null);
  const corners = $derived(
    (form.preview?.axles ?? []).find((each) => each.id === (wheel ?? form.wheels.at(-1))?.axle)?.corners ?? [],
  );
  // On a phone only the wheel at hand.
  const shown = $derived(narrow && wheel ? corners.filter((corner) => corner.side === wheel.side) : corners);
  const here = $derived.by(() => {
    const place = wheel?.positions.find((each) => each.id === active);
    return place ? [place.side, place.pad].filter(Boolean).join("_") : null;
  });
  const large = $derived(form.content?.large ?? false);
  const single = $derived(wheel ? (wheel.positions.find((place) => place.id === active) ?? wheel.positions[0]!) : null);
  const device = $derived(form.bench.find(form.content?.device));
  const fault = (field: string) =>
    form.refused.find((each) => each.field === field)?.message ??
    (form.content?.odometer && field === "odometer.value" && !form.preview?.odometer_question
      ? form.faultOf(field)?.message
      : undefined);

  // At once, so that the next digit already lands where it belongs.
  function focus(id: string) {
    flushSync();
    document.getElementById(id)?.focus();
  }

  /** The position after (or before) one, over the wheel's edge too. */
  function step(from: string | null, by: 1 | -1) {
    const all = form.wheels.flatMap((each, index) => each.positions.map((place) => ({ index, id: place.id })));
    const next = all[all.findIndex((each) => each.id === from) + by];
    if (next) {
      at = next.index;
      active = next.id;
      focus(`value-${next.id}`);
    } else {
      at = by > 0 ? form.wheels.length : at;
      focus(by > 0 ? "save" : "odometer");
    }
  }

  function pick(index: number) {
    at = index;
    const places = form.wheels[index]?.positions ?? [];
    // where nothing stands yet, so that what was left out is found again
    active = (places.find(isOpen) ?? places[0])?.id ?? null;
    focus(active ? `value-${active}` : "save");
  }

  function begin(event: KeyboardEvent) {
    if (event.key !== "Enter" || event.ctrlKey || event.metaKey) return;
    event.preventDefault();
    pick(at < form.wheels.length ? at : 0);
  }

  async function save() {
    if (await form.save()) {
      await push(`/vehicles/${form.vehicle}/findings`);
      return;
    }
    const bad = form.filled.find(([, place]) => form.faultAt(place));
    if (bad) at = form.wheels.findIndex((each) => each.label === bad[0].label);
    setTimeout(() => document.querySelector<HTMLElement>("[aria-invalid='true']")?.focus(), 30);
  }

  function saveByKey(event: KeyboardEvent) {
    if (event.key !== "Enter" || !(event.ctrlKey || event.metaKey) || form.saving) return;
    event.preventDefault();
    void save();
  }

  function toggleLarge() {
    form.content!.large = !large;
    active ??= wheel?.positions[0]?.id ?? null;
    form.changed();
    if (active) focus(`value-${active}`);
  }
</script>

<svelte:window onpagehide={() => form.draft.flush()} onkeydown={saveByKey} />

{#if form.error}<Problem error={form.error} />{/if}
{#if form.sheet && form.content}
  <InspectionHead {form} {axle} {large} {toggleLarge} />
  {#if form.draft.state === "elsewhere"}
    <TwoVersions {form} />
  {/if}
  {#if form.bench.says}
    <InlineNotification kind="warning" lowContrast hideCloseButton title={form.bench.says}>
      <svelte:fragment slot="actions"
        >{#if device}<Button
            size="small"
            kind="ghost"
            on:click={() => form.bench.reconnect(device.id).then(() => active && focus(`value-${active}`))}
            >{texts.connectAgain}</Button
          >{/if}</svelte:fragment
      >
    </InlineNotification>
  {/if}
  <WheelStrip {form} {at} onpick={pick} />
  <div class="round" class:large>
    <div class="drawing">
      <div class="sheet">
        <AxleSection corners={shown} scale={narrow ? 4.4 : large ? 6 : 4.5} active={here} legend={!narrow && !large} />
      </div>
    </div>
    <form class="readings" onsubmit={(event) => event.preventDefault()} novalidate>
      {#if !large || at === 0}
        <InspectionTop {form} {fault} {begin} />
      {/if}
      {#if wheel}
        <section class="wheel" aria-label={wheel.label}>
          <WheelHead {form} {wheel} />
          {#each large && single ? [single] : wheel.positions as place (place.id)}
            <ReadingInput
              {form}
              {wheel}
              {place}
              {large}
              active={active === place.id}
              onfocus={() => (active = place.id)}
              onnext={() => step(place.id, 1)}
            />
          {/each}
          <WheelAsks {form} {wheel} />
          {#if !large}
            <div class="row spread">
              <h3>{common.inspected}</h3>
              <PlainButton
                onclick={() =>
                  form.action(
                    () => texts.restMarkedOk,
                    () => form.allInOrder(wheel),
                  )}>{texts.everythingElseOK}<kbd>o</kbd></PlainButton
              >
            </div>
            <WheelMarks {form} rows={form.rows(wheel)} at={wheel} />
          {/if}
          <div class="row">
            {#if at > 0 || large}<Button kind="tertiary" on:click={() => (large ? step(active, -1) : pick(at - 1))}
                >{texts.back}</Button
              >{/if}
            {#if large}<Button on:click={() => step(active, 1)}>{texts.next}</Button>{:else}<Button
                on:click={() => pick(at + 1)}>{form.wheels[at + 1]?.label ?? texts.vehicleAndFinish}</Button
              >{/if}
          </div>
        </section>
      {:else}
        <VehiclePart {form} />
      {/if}
      <InspectionOrder {form} />
      <SaveBar {form} {save} primary={!wheel} />
    </form>
  </div>
{/if}

<style>
  .round {
    display: grid;
    grid-template-columns: minmax(0, 22rem) minmax(0, 1fr);
    gap: 1.25rem;
    align-items: start;
    margin-top: 0.75rem;
  }
  .round.large {
    grid-template-columns: minmax(0, 30rem) minmax(0, 1fr);
  }
  .drawing {
    position: sticky;
    top: 1rem;
  }
  .readings,
  .wheel {
    display: grid;
    gap: 0.45rem;
  }
  @media (max-width: 46rem) {
    .round,
    .round.large {
      grid-template-columns: 1fr;
    }
    /* The reading comes first; the drawing follows it. */
    .drawing {
      position: static;
      order: 1;
    }
  }
</style>
