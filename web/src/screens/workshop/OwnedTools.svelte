<script lang="ts">
  import CheckField from "../../parts/controls/CheckField.svelte";
  import * as texts from "../../texts/workshop";
  import { api, type Schemas } from "../../api/client";

  /** The tools of the household: entered once, compared with every job. */
  let { tools, onchange }: { tools: Schemas["Tool"][]; onchange: () => void } = $props();
  const groups = $derived([
    { label: texts.general, tools: tools.filter((tool) => !tool.special && !tool.set) },
    { label: texts.socketsAndBits, tools: tools.filter((tool) => tool.set) },
    { label: texts.rarelyOwned, tools: tools.filter((tool) => tool.special && !tool.set) },
  ]);

  async function own(tool: string, owned: boolean) {
    await api.ownTool(tool, owned);
    onchange();
    return true;
  }
</script>

<section class="sheet">
  <h2>
    {texts.toolsYouOwn} <span class="quiet">{texts.aJobSaysEarlyWhich}</span>
  </h2>
  <div class="groups">
    {#each groups as group (group.label)}
      <fieldset>
        <legend>{group.label}</legend>
        {#each group.tools as tool (tool.id)}
          <CheckField checked={tool.owned} disabled={tool.measuring} oncheck={(on) => own(tool.id, on)}
            >{tool.label}{#if tool.measuring}{" "}<span class="quiet">{texts.aMeasuringToolAbove}</span
              >{/if}</CheckField
          >
        {/each}
      </fieldset>
    {/each}
  </div>
</section>

<style>
  .groups {
    columns: 3 18rem;
    column-gap: 1.5rem;
  }
  fieldset {
    border: 0;
    margin: 0 0 0.75rem;
    padding: 0;
  }
  legend {
    font-weight: 600;
    font-size: 1.05rem;
    padding: 0;
  }
</style>
