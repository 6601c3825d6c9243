<script lang="ts">
  import * as texts from "../../texts/inspection";
  import type { Schemas } from "../../api/client";
  import { upperFirst } from "../../format/words";
  import MarkChips from "../../parts/MarkChips.svelte";
  import type { InspectionForm } from "./inspectionForm.svelte";

  /** Quick marks of what was looked at: one tap each. */
  interface Props {
    form: InspectionForm;
    rows: [string, Schemas["LookedAt"], string][];
    /** The wheel they are at; of the vehicle there is no drawing. */
    at?: { axle: number; side: string };
  }
  let { form, rows, at }: Props = $props();
  let opened = $state(false);
  const items = $derived(
    rows.map(([, item]) => item).filter((item, place, all) => all.findIndex((each) => each.id === item.id) === place),
  );

  const cautions = $derived(
    rows.flatMap(([key, item, face]) =>
      item.marks
        .filter((mark) => form.marks(key).includes(mark.id) && mark.caution)
        .map((mark) => ({
          severity: mark.severity,
          id: `${key}|${mark.id}`,
          what: upperFirst([face, item.label.toLowerCase()].filter(Boolean).join(" ") + ": " + mark.label),
          caution: mark.caution,
        })),
    ),
  );
</script>

<div class="marks">
  {#each rows as [key, item, face] (key)}
    <div
      class="item"
      role="group"
      aria-label="{face ? `${upperFirst(face)} ` : ''}{face ? item.label.toLowerCase() : item.label}"
    >
      <span class="what">{face ? `${upperFirst(face)} ${item.label.toLowerCase()}` : item.label}</span>
      <MarkChips marks={item.marks} held={form.marks(key)} toggle={(mark) => form.toggleMark(key, item, mark)} />
    </div>
  {/each}
</div>
{#each cautions as caution (caution.id)}
  <p class="caution {caution.severity}" role="alert"><strong>{caution.what}.</strong> {caution.caution}</p>
{/each}

{#if at}
  <details ontoggle={(event) => (opened = event.currentTarget.open)}>
    <summary>{texts.whereIsIt}</summary>
    {#if opened}{#await import("./WherePicture.svelte") then { default: WherePicture }}<WherePicture
          axle={at.axle}
          side={at.side}
          {items}
        />{/await}{/if}
  </details>
{/if}

<style>
  .marks {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(min(24rem, 100%), 1fr));
    gap: 0.35rem 1.5rem;
  }
  .item {
    display: grid;
    grid-template-columns: 6.5rem 1fr;
    gap: 0.4rem;
    align-items: baseline;
  }
  .what {
    font-size: 0.9375rem;
    line-height: 1.2;
    color: var(--quiet);
  }
  .caution {
    border-left: 5px solid var(--plan);
    padding: 0.3rem 0.75rem;
    margin-top: 0.5rem;
  }
  .caution.stop {
    border-left-color: var(--stop);
    color: var(--stop);
    font-weight: 600;
  }
  @media (max-width: 46rem) {
    .item {
      grid-template-columns: 1fr;
    }
  }
</style>
