<script lang="ts">
  import { Button, InlineNotification } from "carbon-components-svelte";
  import { push } from "svelte-spa-router";
  import AxleSection from "../components/AxleSection.svelte";
  import Problem from "../components/Problem.svelte";
  import ReadingInput from "../components/ReadingInput.svelte";
  import { upperFirst } from "../format/words";
  import { WalkRound } from "../state/walkRound.svelte";

  let { params }: { params: { id: string } } = $props();
  const round = $derived(new WalkRound(Number(params.id)));
  let active = $state<string | null>(null);
  let narrow = $state(false);

  $effect(() => {
    const mine = round;
    mine.load().then(() => document.getElementById(mine.content.odometer ? "" : "odometer")?.focus());
    const wide = window.matchMedia("(max-width: 46rem)");
    const measure = () => (narrow = wide.matches);
    measure();
    wide.addEventListener("change", measure);
    return () => {
      wide.removeEventListener("change", measure);
      mine.flush();
    };
  });

  const name = $derived(round.wear?.axle_name);
  const corners = $derived(round.preview?.corners ?? []);
  // On a phone only the wheel at hand.
  const shown = $derived(narrow ? corners.filter((corner) => (active ?? corners[0]!.side).startsWith(corner.side)) : corners);
  const lastKm = $derived(round.wear?.readings.at(-1)?.odometer_km ?? null);
  const fault = (field: string) => round.refused.find((each) => each.field === field)?.message ?? (round.content.odometer && field === "odometer.value" ? round.faultOf(field)?.message : undefined);

  function go(at: number) {
    const next = round.content.positions[at];
    document.getElementById(next ? `value-${next.id}` : "save")?.focus();
  }

  function enter(event: KeyboardEvent, to: () => void) {
    if (event.key !== "Enter") return;
    event.preventDefault();
    to();
  }

  async function save() {
    round.content.positions.forEach((position) => round.takePlace(position));
    if (await round.save()) {
      await push(`/axles/${round.axle}/wear`);
      return;
    }
    setTimeout(() => document.querySelector<HTMLElement>("[aria-invalid='true']")?.focus(), 30);
  }
</script>

<svelte:head><title>Look-over - Graver</title></svelte:head>
<svelte:window onpagehide={() => round.flush()} />

{#if round.error}<Problem error={round.error} />{/if}
{#if name}
  <div class="head row spread">
    <div>
      <p class="quiet"><a href="#/vehicles/{name.vehicle_id}">{name.vehicle_name}</a></p>
      <h1>{upperFirst(name.name)} look-over</h1>
    </div>
    <p class="quiet" role="status">
      {#if round.kept === "kept"}Kept as you type{:else if round.kept === "keeping"}Keeping…{:else if round.kept === "not kept"}Not kept yet: the server cannot be reached{/if}
    </p>
  </div>
  {#if round.kept === "elsewhere"}
    <InlineNotification kind="warning" lowContrast hideCloseButton title="Another window went on with this look-over." subtitle="What you typed here is still on this screen.">
      <svelte:fragment slot="actions"><Button size="small" kind="ghost" on:click={() => round.takeTheirs()}>Take over what it has</Button></svelte:fragment>
    </InlineNotification>
  {/if}
  <div class="round">
    <div class="drawing">
      <div class="sheet"><AxleSection corners={shown} scale={narrow ? 4.4 : 4.5} {active} legend={!narrow} /></div>
    </div>
    <form class="readings" onsubmit={(event) => event.preventDefault()} novalidate>
      <div class="row top">
        <div class="field">
          <label for="odometer">Odometer ({round.content.unit})</label>
          <input id="odometer" inputmode="decimal" autocomplete="off" bind:value={round.content.odometer} oninput={() => round.changed()} onkeydown={(event) => enter(event, () => go(0))} aria-invalid={!!fault("odometer.value")} aria-describedby="odometer-says" />
        </div>
        <div class="field">
          <label for="date">Day</label>
          <input id="date" type="date" class="date" max={round.catalogue?.today} bind:value={round.content.date} oninput={() => round.changed()} aria-invalid={!!fault("date")} />
        </div>
        <label class="tick"><input type="checkbox" checked={round.content.newSet} onchange={() => round.toggleNewSet()} /> New pads went on <kbd>n</kbd></label>
        <label class="tick"><input type="checkbox" checked={round.content.newRotors} onchange={() => round.toggleNewRotors()} /> New rotors <kbd>r</kbd></label>
      </div>
      <p class="fault" id="odometer-says" role="alert">{upperFirst(fault("odometer.value") ?? fault("date") ?? "")}</p>
      {#if round.content.newSet || round.content.newRotors}<p class="quiet">Readings below are then those of the new {[round.content.newSet && "pads", round.content.newRotors && "rotors"].filter(Boolean).join(" and ")}; the old ones go into a look-over of their own, saved before.</p>{/if}
      {#if lastKm === null}<p class="quiet">The first look-over of this axle: the baseline for everything after.</p>{/if}
      {#each round.content.positions as position, at (position.id)}
        <ReadingInput {round} {position} active={active === position.id} onfocus={() => (active = position.id)} onnext={() => go(at + 1)} />
      {/each}
      <div class="field">
        <label for="note">Note</label>
        <textarea id="note" rows="2" maxlength="2000" bind:value={round.content.note} oninput={() => round.changed()} placeholder="pins, boots, hose, what you noticed"></textarea>
      </div>
      {#if fault("readings")}<p class="fault" role="alert">{upperFirst(fault("readings") ?? "")}: type the first thickness.</p>{/if}
      {#if round.refused.length}<p class="fault" role="alert">Not saved yet: {round.refused.length === 1 ? "one field needs" : `${round.refused.length} fields need`} another look. Nothing is lost.</p>{/if}
      <div class="row">
        <Button id="save" disabled={round.saving} on:click={save}>Save look-over</Button>
        <Button kind="ghost" on:click={() => round.startOver()}>Start over</Button>
      </div>
    </form>
  </div>
{/if}

<style>
  .head { margin-bottom: 1rem; }
  .round { display: grid; grid-template-columns: minmax(0, 22rem) minmax(0, 1fr); gap: 1.25rem; align-items: start; }
  .drawing { position: sticky; top: 1rem; }
  .readings { display: grid; gap: 0.45rem; }
  .top { align-items: end; }
  .field label { display: block; font-weight: 600; margin-bottom: 0.2rem; }
  .field input { font: 600 1.4rem/1 "Barlow Semi Condensed", sans-serif; min-height: 48px; width: 9.5rem; padding: 0.2rem 0.5rem; border: 1px solid var(--quiet); background: var(--sheet); color: var(--ink); box-sizing: border-box; color-scheme: inherit; }
  .field .date { font-size: 1.05rem; }
  .tick { display: inline-flex; align-items: center; gap: 0.4rem; min-height: 48px; }
  .tick input { width: 1.3rem; height: 1.3rem; }
  textarea { width: 100%; box-sizing: border-box; font: inherit; font-size: 1rem; padding: 0.5rem; background: var(--sheet); color: var(--ink); border: 1px solid var(--quiet); }
  .fault { color: var(--stop); }
  .fault:empty { display: none; }
  [aria-invalid="true"] { border-color: var(--stop); box-shadow: 0 0 0 1px var(--stop); }
  @media (max-width: 46rem) {
    .round { grid-template-columns: 1fr; }
    .drawing { top: 0; z-index: 1; }
  }
</style>
