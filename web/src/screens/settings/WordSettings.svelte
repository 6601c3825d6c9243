<script lang="ts">
  import RadioGroup from "../../parts/controls/RadioGroup.svelte";
  import * as texts from "../../texts/settings";
  import { lazyApi } from "../../api/lazyApi";
  import type { Schemas } from "../../api/client";
  import Problem from "../../parts/Problem.svelte";
  import { Loader } from "../../parts/loader.svelte";
  import { undo } from "../../parts/undo.svelte";
  import * as undos from "../../texts/undo";

  /** The English and the units of this household; the page is loaded again with them. */
  const loaded = new Loader<{ words: Schemas["Vocabulary"]; units: Schemas["Units"] }>();
  const load = async () => ({ words: await lazyApi.vocabulary(), units: await lazyApi.units() });
  void loaded.load(load);
  const ENGLISH = ["us", "uk"] as const;
  const PAD = ["mm", "32nd", "in"] as const;
  const ROTOR = ["mm", "in"] as const;
  const TORQUE = ["N·m", "lbf·ft", "lbf·in"] as const;

  type Chosen = { words?: Schemas["VocabularyChange"]; units?: Schemas["UnitsChange"] };
  const send = async ({ words, units }: Chosen) => {
    if (words) await lazyApi.chooseVocabulary(words, loaded.value?.words.revision);
    if (units) await lazyApi.chooseUnits(units, loaded.value?.units.revision);
  };
  /** The page is loaded again: the choice before is kept until then, so that it can be undone. */
  const BEFORE = "words-before";
  async function choose(chosen: Chosen) {
    const { words, units } = loaded.value!;
    const before = chosen.words ? { words: pick(words, chosen.words) } : { units: pick(units, chosen.units!) };
    await loaded.load(() => send(chosen).then(load));
    if (loaded.error) return;
    sessionStorage.setItem(BEFORE, JSON.stringify(before));
    location.reload();
  }
  const pick = (of: object, like: object) => Object.fromEntries(Object.entries(of).filter(([key]) => key in like));
  const before = sessionStorage.getItem(BEFORE);
  sessionStorage.removeItem(BEFORE);
  if (before)
    undo.offer(undos.wordsChanged, async () => {
      await send(JSON.parse(before) as Chosen);
      location.reload();
    });
</script>

{#snippet choices(legend: string, each: readonly string[], chosen: string, pick: (own: string) => void)}
  <RadioGroup
    {legend}
    options={each.map((own) => ({ id: own, label: texts.englishes[own] ?? texts.unitNames[own] ?? own }))}
    {chosen}
    onpick={(own) => void pick(own)}
  />
{/snippet}

<section class="sheet">
  <h2>{texts.wordsAndUnits}</h2>
  {#if loaded.error}<Problem error={loaded.error} />{/if}
  {#if loaded.value}
    {@const { words, units } = loaded.value}
    <p class="quiet">{texts.wordsChange}</p>
    {@render choices(texts.whichEnglish, ENGLISH, words.english, (english) => choose({ words: { english } }))}
    <p class="quiet">{texts.unitsChange}</p>
    {@render choices(texts.pads, PAD, units.pad, (pad) => choose({ units: { pad } }))}
    {@render choices(texts.rotors, ROTOR, units.rotor, (rotor) => choose({ units: { rotor } }))}
    {@render choices(texts.torques, TORQUE, units.torque, (torque) => choose({ units: { torque } }))}
  {/if}
</section>

<style>
  p {
    margin: 0.75rem 0 0;
  }
</style>
