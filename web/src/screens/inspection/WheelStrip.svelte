<script lang="ts">
  import { listed } from "../../format/words";
  import * as texts from "../../texts/inspection";
  import { say } from "../../texts/say";
  import type { InspectionForm } from "./inspectionForm.svelte";

  /** The stations of the walk in order, each with what it has so far. */
  let { form, at, onpick }: { form: InspectionForm; at: number; onpick: (at: number) => void } = $props();
</script>

<ol class="strip plain-list">
  {#each form.wheels as wheel, index (wheel.label)}
    {@const done = wheel.positions.filter((place) => form.isFilled(place)).length}
    {@const doubtful = wheel.positions.some((place) => form.questionAt(place) && !form.entry(place).answer)}
    <li>
      <button
        type="button"
        aria-current={at === index ? "step" : undefined}
        onclick={() => onpick(index)}
        aria-label={listed(
          say(texts.wheelProgress, { label: wheel.label, done, count: wheel.positions.length }),
          doubtful && texts.oneQuestioned,
        )}
      >
        <span class="name">{wheel.label}</span>
        <span class="dots" aria-hidden="true">
          {#each wheel.positions as place (place.id)}<i
              class:full={form.isFilled(place)}
              class:asked={form.questionAt(place) && !form.entry(place).answer}
            ></i>{/each}
        </span>
      </button>
    </li>
  {/each}
  <li>
    <button
      type="button"
      aria-current={at === form.wheels.length ? "step" : undefined}
      onclick={() => onpick(form.wheels.length)}><span class="name">{texts.vehicleAndFinish}</span></button
    >
  </li>
</ol>

<style>
  .strip {
    display: flex;
    flex-wrap: wrap;
    gap: 0.35rem;
  }
  button {
    min-height: 48px;
    display: grid;
    gap: 0.25rem;
    align-content: center;
    padding: 0.25rem 0.8rem;
    background: var(--sheet);
    border: 1px solid var(--line);
    color: inherit;
    font: inherit;
    cursor: pointer;
    text-align: left;
  }
  button[aria-current] {
    border-color: var(--petrol);
    box-shadow: inset 0 -4px var(--petrol);
    font-weight: 600;
  }
  .dots {
    display: flex;
    gap: 0.25rem;
  }
  i {
    width: 0.85rem;
    height: 0.4rem;
    border: 1px solid var(--quiet);
    box-sizing: border-box;
  }
  i.full {
    background: var(--friction);
    border-color: var(--friction);
  }
  i.asked {
    background: var(--doubt);
    border-color: var(--doubt);
  }
  @media (max-width: 46rem) {
    button {
      padding: 0.25rem 0.5rem;
    }
    .name {
      font-size: 0.875rem;
    }
  }
</style>
