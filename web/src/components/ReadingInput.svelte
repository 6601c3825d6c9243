<script lang="ts">
  import { mm, upperFirst } from "../format/words";
  import type { Position, WalkRound } from "../state/walkRound.svelte";

  interface Props {
    round: WalkRound;
    position: Position;
    active: boolean;
    onfocus: () => void;
    onnext: () => void;
  }
  let { round, position, active, onfocus, onnext }: Props = $props();

  const fault = $derived(round.faultAt(position));
  const questioned = $derived(fault?.code === "questioned");
  const measured = $derived(round.measured(position));
  const questions = $derived(position.keep ? (measured?.questions ?? []) : []);
  const expected = $derived(round.expected(position));
  const method = $derived(round.methods(position.part).find((each) => each.id === position.method));
  const gauge = $derived(position.method === "gauge");
  const label = $derived(`${upperFirst(position.side)} ${position.pad ? `${position.pad} pad` : "rotor"}`);

  // Letters never belong to a number here, so they are free to be keys.
  const deeds: Record<string, () => void> = {
    m: () => round.nextMethod(position),
    u: () => round.nextUnit(position),
    p: () => round.togglePlate(position),
    k: () => questioned || position.keep ? round.toggleKeep(position) : undefined,
    n: () => round.toggleNewSet(),
    r: () => round.toggleNewRotors(),
  };

  function press(event: KeyboardEvent, last: boolean) {
    if (event.ctrlKey || event.metaKey || event.altKey) return;
    const deed = deeds[event.key.toLowerCase()];
    if (deed) {
      event.preventDefault();
      deed();
    } else if (event.key === "Enter") {
      event.preventDefault();
      if (position.part === "rotor" && round.takePlace(position)) return;
      if (gauge && !last) document.getElementById(`upper-${position.id}`)?.focus();
      else onnext();
    }
  }
</script>

<div class="reading" class:active class:bad={fault && !questioned} class:questioned>
  <label for="value-{position.id}">{label}</label>
  <div class="row entry">
    <input
      id="value-{position.id}"
      inputmode="decimal"
      autocomplete="off"
      placeholder={expected === null ? "" : mm(expected)}
      bind:value={position.text}
      oninput={() => round.retyped(position)}
      onkeydown={(event) => press(event, false)}
      {onfocus}
      aria-invalid={!!fault}
      aria-describedby="says-{position.id}"
    />
    {#if gauge}
      <span class="quiet">goes;</span>
      <input
        id="upper-{position.id}"
        class="short"
        inputmode="decimal"
        autocomplete="off"
        aria-label="{label}: smallest leaf that does not go in"
        bind:value={position.upper}
        oninput={() => round.retyped(position)}
        onkeydown={(event) => press(event, true)}
        {onfocus}
      />
      <span class="quiet">does not</span>
    {/if}
    {#each position.places as place, at (at)}
      <button type="button" class="place number" onclick={() => round.dropPlace(position, at)} aria-label="Take back place {at + 1}: {place}">{place} <span aria-hidden="true">×</span></button>
    {/each}
    <button type="button" class="switch" tabindex="-1" onclick={() => round.nextUnit(position)}>{position.unit}<kbd>u</kbd></button>
    <button type="button" class="switch" tabindex="-1" onclick={() => round.nextMethod(position)}>{method?.label ?? position.method}<kbd>m</kbd></button>
    {#if position.part === "pad" && position.method !== "percent"}
      <button type="button" class="switch" tabindex="-1" aria-pressed={position.overall} onclick={() => round.togglePlate(position)}>{position.overall ? "with plate" : "friction only"}<kbd>p</kbd></button>
    {/if}
  </div>
  <p class="says" id="says-{position.id}" role={fault ? "alert" : undefined}>
    {#if fault}
      {fault.message}
      {#if questioned}
        <button type="button" class="switch keep" onclick={() => round.toggleKeep(position)}>Keep it with a doubt<kbd>k</kbd></button>
      {/if}
    {:else if questions.length}
      <span class="doubt">Kept with a doubt: {questions[0]}</span>
    {:else if measured?.mm != null}
      {#if measured.lower_mm !== null}between {mm(measured.lower_mm)} and {mm(measured.upper_mm)} mm{:else}{mm(measured.mm, measured.sd_mm)} mm, ± {(2 * measured.sd_mm!).toFixed(measured.sd_mm! < 0.05 ? 2 : 1)}{/if}{#if measured.variation_mm != null}; varies by {measured.variation_mm.toFixed(3)} mm{/if}
    {:else if active && position.part === "rotor"}
      Several places round, inside the lip; Enter after each, empty Enter to go on
    {:else if expected !== null}
      expected {mm(expected)} mm
    {/if}
  </p>
</div>

<style>
  .reading { border-left: 4px solid var(--line); padding: 0.35rem 0 0.35rem 0.75rem; }
  .active { border-left-color: var(--petrol); }
  .bad { border-left-color: var(--stop); }
  .questioned { border-left-color: var(--doubt); }
  .reading { display: grid; grid-template-columns: 8.5rem 1fr; align-items: center; column-gap: 0.5rem; }
  label { font-weight: 600; }
  .says { grid-column: 2; }
  .entry { gap: 0.4rem; }
  input {
    font: 600 1.6rem/1 "Barlow Semi Condensed", sans-serif;
    width: 6.5rem;
    min-height: 48px;
    padding: 0.2rem 0.5rem;
    border: 1px solid var(--quiet);
    background: var(--sheet);
    color: var(--ink);
    box-sizing: border-box;
  }
  input.short { width: 4.2rem; }
  input::placeholder { color: var(--gone); opacity: 0.75; }
  .switch, .place { min-height: 40px; background: none; border: 1px solid var(--line); color: inherit; font: inherit; font-size: 0.9375rem; padding: 0 0.6rem; cursor: pointer; }
  .place { font-size: 1.1rem; border-color: var(--rotor-edge); }
  .switch[aria-pressed="true"] { border-color: var(--petrol); box-shadow: inset 0 -3px var(--petrol); }
  .keep { border-color: var(--doubt); color: var(--doubt); }
  .says { min-height: 1.25rem; font-size: 0.9375rem; line-height: 1.3; color: var(--quiet); margin-top: 0.1rem; }
  .bad .says { color: var(--stop); }
  .questioned .says, .doubt { color: var(--doubt); }
  @media (max-width: 46rem) { .reading { grid-template-columns: 1fr; } .says { grid-column: 1; } }
  @media (max-width: 30rem) { kbd { display: none; } .switch { min-height: 48px; } }
</style>
