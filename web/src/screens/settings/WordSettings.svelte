<script lang="ts">
  import * as texts from "../../texts/settings";
  import { beside } from "../../api/beside";
  import type { Schemas } from "../../api/client";
  import Problem from "../../parts/Problem.svelte";
  import { Loader } from "../../parts/loader.svelte";

  /** What the trade's words are in this household; the page is opened anew in them. */
  const loaded = new Loader<Schemas["Words"]>();
  void loaded.load(beside.words);
  const ROTOR = ["rotor", "disc"] as const;

  async function choose(rotor: Schemas["Words"]["rotor"]) {
    await loaded.load(() => beside.chooseWords({ rotor }));
    if (!loaded.error) location.reload();
  }
</script>

<section class="sheet">
  <h2>{texts.words}</h2>
  <p class="quiet">{texts.wordsChange}</p>
  {#if loaded.error}<Problem error={loaded.error} />{/if}
  {#if loaded.value}
    <fieldset class="choices">
      <legend>{texts.whatTurnsIsCalled}</legend>
      {#each ROTOR as each (each)}
        <label
          ><input
            type="radio"
            name="rotor"
            value={each}
            checked={loaded.value.rotor === each}
            onchange={() => choose(each)}
          />
          {each}</label
        >
      {/each}
    </fieldset>
  {/if}
</section>

<style>
  fieldset {
    border: 0;
    padding: 0;
    margin: 0.75rem 0 0;
    display: flex;
    flex-wrap: wrap;
    gap: 0.25rem 1.5rem;
    align-items: center;
  }
  legend {
    float: left;
    font-weight: 600;
    margin-right: 1rem;
    padding: 0;
  }
  label {
    display: flex;
    gap: 0.5rem;
    align-items: center;
    min-height: 3rem;
  }
  input {
    width: 1.25rem;
    height: 1.25rem;
    accent-color: var(--petrol);
  }
</style>
