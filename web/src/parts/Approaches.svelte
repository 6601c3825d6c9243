<script lang="ts">
  import PlainButton from "./controls/PlainButton.svelte";
  import type { Schemas } from "../api/client";
  import * as texts from "../texts/parts";
  import { say } from "../texts/say";
  import SelectField from "./controls/SelectField.svelte";

  /** Approaches in their groups, each with the reason of the one that holds. In a job, one may hold for it alone. */
  interface Props {
    approaches: Schemas["Approach"][];
    disabled?: boolean;
    /** every answer with its reason, unfolded on demand */
    reasons?: boolean;
    /** those that are as usual are folded away */
    folded?: boolean;
    /** option null: as in every job */
    onchoose: (id: string, option: string | null) => void;
  }
  let { approaches, disabled = false, reasons = false, folded = false, onchoose }: Props = $props();
  const groups = $derived([...new Set(approaches.map((approach) => approach.group))]);
  const chosen = (approach: Schemas["Approach"]) => approach.options.find((option) => option.id === approach.chosen);
  // What was folded stays so until the page is opened again: nothing moves at a choice.
  const unfolded = new Set<string>();
  function hidden(approach: Schemas["Approach"]): boolean {
    if (!folded || approach.here || approach.chosen !== approach.default) unfolded.add(approach.id);
    return !unfolded.has(approach.id);
  }
  const usual = (approach: Schemas["Approach"]) =>
    approach.options.find((option) => option.id === approach.default)!.label;
</script>

{#snippet inGroups(some: Schemas["Approach"][])}
  {#each groups.filter((group) => some.some((approach) => approach.group === group)) as group (group)}
    <h3>{group}</h3>
    <div class="approaches">
      {#each some.filter((approach) => approach.group === group) as approach (approach.id)}
        <div class="approach">
          <SelectField
            id="approach-{approach.id}"
            label={approach.label}
            {disabled}
            value={approach.chosen}
            options={approach.options}
            onchoose={(option) => onchoose(approach.id, option)}
          />
          <p class="quiet">
            {chosen(approach)?.because}
            {#if approach.here}
              <strong>{texts.thisJobAlone}</strong>
              <PlainButton look="link" {disabled} onclick={() => onchoose(approach.id, null)}
                >{texts.asInEveryJob}</PlainButton
              >
            {:else if approach.chosen !== approach.default}
              <span class="own">{say(texts.usuallyOption, { option: usual(approach) })}</span>
            {/if}
          </p>
          {#if reasons}
            <details>
              <summary>{texts.reasonsForEach}</summary>
              <dl>
                {#each approach.options as option (option.id)}
                  <dt>{option.label}</dt>
                  <dd class="quiet">{option.because}</dd>
                {/each}
              </dl>
            </details>
          {/if}
        </div>
      {/each}
    </div>
  {/each}
{/snippet}

{@render inGroups(approaches.filter((approach) => !hidden(approach)))}
{#if approaches.some(hidden)}
  <details>
    <summary>{say(texts.asUsual, { count: approaches.filter(hidden).length })}</summary>
    {@render inGroups(approaches.filter(hidden))}
  </details>
{/if}

<style>
  h3 {
    font-size: 1.05rem;
    margin: 1.25rem 0 0.5rem;
    padding-bottom: 0.2rem;
    border-bottom: 1px solid var(--line);
  }
  .approaches {
    display: grid;
    grid-template-columns: repeat(auto-fill, minmax(min(20rem, 100%), 1fr));
    gap: 1rem 1.25rem;
    align-items: start;
  }
  .approach {
    min-width: 0;
    display: grid;
    gap: 0.25rem;
  }
  p {
    margin: 0;
    font-size: 0.9688rem;
  }
  dl {
    margin: 0.25rem 0 0;
    font-size: 0.9688rem;
  }
  dt {
    font-weight: 600;
  }
  dd {
    margin: 0 0 0.4rem;
  }
  .own {
    font-style: italic;
  }
</style>
