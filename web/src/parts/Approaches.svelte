<script lang="ts">
  import type { Schemas } from "../api/client";
  import * as texts from "../texts/parts";
  import { say } from "../texts/say";
  import Choose from "./Choose.svelte";

  /** Approaches in their groups, each with the reason of the one that holds. In a job, one may hold for it alone. */
  interface Props {
    schools: Schemas["School"][];
    disabled?: boolean;
    /** every answer with its reason, unfolded on demand */
    reasons?: boolean;
    /** option null: as in every job */
    onchoose: (id: string, option: string | null) => void;
  }
  let { schools, disabled = false, reasons = false, onchoose }: Props = $props();
  const groups = $derived([...new Set(schools.map((school) => school.group))]);
  const chosen = (school: Schemas["School"]) => school.options.find((option) => option.id === school.chosen);
  const usual = (school: Schemas["School"]) => school.options.find((option) => option.id === school.default)!.label;
</script>

{#each groups as group (group)}
  <h3>{group}</h3>
  <div class="approaches">
    {#each schools.filter((school) => school.group === group) as school (school.id)}
      <div class="approach">
        <label for="approach-{school.id}">{school.label}</label>
        <Choose
          id="approach-{school.id}"
          {disabled}
          value={school.chosen}
          options={school.options}
          onchoose={(option) => onchoose(school.id, option)}
        />
        <p class="quiet">
          {chosen(school)?.because}
          {#if school.here}
            <strong>{texts.thisJobAlone}</strong>
            <button type="button" class="link" {disabled} onclick={() => onchoose(school.id, null)}
              >{texts.asInEveryJob}</button
            >
          {:else if school.chosen !== school.default}
            <span class="own">{say(texts.usuallyOption, { option: usual(school) })}</span>
          {/if}
        </p>
        {#if reasons}
          <details>
            <summary>{texts.whatSpeaksForEach}</summary>
            <dl>
              {#each school.options as option (option.id)}
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
  label {
    font-weight: 600;
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
