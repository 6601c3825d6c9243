<script lang="ts">
  import * as common from "../../texts/common";
  import * as texts from "../../texts/loggedInspection";
  import { say } from "../../texts/say";
  import type { Schemas } from "../../api/client";
  import { day, listed } from "../../format/words";
  import type { Correction } from "./correction.svelte";

  /** One reading: figure, method, questions and corrections. Press it to correct it. */
  interface Props {
    reading: Schemas["LoggedReading"];
    correction: Correction;
    /** The one that counts of several places. */
    counts?: boolean;
  }
  let { reading, correction, counts = false }: Props = $props();
  const figure = $derived(
    reading.value === null
      ? reading.event_label
      : [
          reading.value,
          reading.upper && say(texts.toUpper, { upper: reading.upper }),
          reading.unit,
          reading.overall && common.withPlate,
        ]
          .filter(Boolean)
          .join(" "),
  );
  const details = $derived(
    [
      reading.place > 1 ? say(texts.placeCount, { count: reading.place }) : "",
      reading.method_label ?? "",
      reading.value !== null && reading.event !== "reading" ? reading.event_label : "",
    ].filter(Boolean),
  );
</script>

<div class="entry" class:void={reading.void}>
  <button
    type="button"
    class="number"
    class:counts
    aria-label={say(texts.changeLabel, { label: reading.label })}
    aria-expanded={correction.reading === reading.id}
    onclick={() => (correction.reading === reading.id ? correction.close() : correction.openReading(reading))}
    >{figure}</button
  >
  <span class="quiet"
    >{listed(
      ...details,
      counts && texts.counts,
      reading.kept && texts.markedDoubtful,
      reading.simulated && texts.simulated,
      reading.void && texts.struckOutMark,
    )}</span
  >
  {#each reading.flags as doubt (doubt)}<p class="history doubt">
      {doubt.value}: {doubt.question} <strong>{doubt.answer}.</strong>
    </p>{/each}
  {#each reading.corrections as made (made)}<p class="history">
      {listed(day(made.date), made.done_by)}: {made.change}{reading.entered && made.voids !== true
        ? ` (${say(texts.enteredAsEntered, { entered: reading.entered })})`
        : ""}. {made.reason}
    </p>{/each}
</div>

<style>
  .entry {
    display: grid;
    gap: 0.1rem;
    justify-items: start;
    min-width: 0;
  }
  button {
    font:
      600 1.4rem/1.2 "Barlow Semi Condensed",
      sans-serif;
    color: var(--ink);
    background: none;
    border: 0;
    padding: 0.35rem 0;
    min-height: 2.5rem;
    text-align: left;
    cursor: pointer;
    text-decoration: underline dotted var(--quiet);
    text-underline-offset: 0.25rem;
  }
  .counts {
    color: var(--petrol);
  }
  .void button {
    text-decoration: line-through 2px;
    color: var(--quiet);
  }
  .quiet {
    font-size: 0.9375rem;
  }
  .doubt {
    border-left-color: var(--doubt);
  }
</style>
