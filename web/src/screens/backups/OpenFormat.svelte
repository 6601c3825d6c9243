<script lang="ts">
  import FileButton from "../../parts/controls/FileButton.svelte";
  import PlainButton from "../../parts/controls/PlainButton.svelte";
  import SelectField from "../../parts/controls/SelectField.svelte";
  import Problem from "../../parts/Problem.svelte";
  import * as texts from "../../texts/openFormat";
  import { say } from "../../texts/say";
  import { lazyApi } from "../../api/lazyApi";
  import type { Schemas } from "../../api/client";

  /** The household in files for other programs, and back: a file is tried before anything changes. */
  let { imported }: { imported: () => unknown } = $props();
  type Mode = "merge" | "replace";
  const MODES = [
    { id: "merge", label: texts.merge },
    { id: "replace", label: texts.replace },
  ];
  let mode = $state<Mode>("merge");
  let file = $state<File | null>(null);
  let found = $state.raw<Schemas["HouseholdImport"] | null>(null);
  let failed = $state.raw<unknown>(null);
  let said = $state("");
  let busy = $state(false);
  const faulty = $derived(!!found?.faults.length);
  const headline = $derived(
    say(faulty ? texts.refused : mode === "merge" ? texts.wouldAdd : texts.wouldReplace, { file: file?.name ?? "" }),
  );

  const nothingNew = $derived(!faulty && mode === "merge" && !!found && found.counts.every(({ added }) => added === 0));

  async function read(trial: boolean) {
    [busy, failed] = [true, null];
    try {
      found = await lazyApi.importHousehold(file!, mode, trial);
      if (!found.done) return;
      said = found.backup ? texts.done : texts.doneAlone;
      stop();
      await imported();
    } catch (error) {
      failed = error;
    } finally {
      busy = false;
    }
  }
  function begin(chosen: File) {
    [file, said] = [chosen, ""];
    return read(true);
  }
  function choose(id: string) {
    mode = id as Mode;
    if (file) void read(true);
  }
  const stop = () => ([file, found, failed] = [null, null, null]);
  const fault = ({ line, place, text }: Schemas["HouseholdImport"]["faults"][number]) =>
    line
      ? say(place ? texts.atLine : texts.lineOnly, { line, place, text })
      : place
        ? say(texts.at, { place, text })
        : text;
</script>

<section class="stack" aria-labelledby="open-format">
  <h2 id="open-format">{texts.title}</h2>
  <p>{texts.what}</p>
  <p class="row">
    <a href="/api/v1/household.json" download>{texts.json}</a>
    <a href="/api/v1/household.zip" download>{texts.zip}</a>
  </p>
  <div class="row">
    <FileButton
      label={texts.choose}
      accept=".json,.zip,application/json,application/zip"
      disabled={busy}
      pick={(files) => begin(files[0]!)}
    />
    <SelectField label={texts.how} value={mode} options={MODES} onchoose={choose} width="long" />
  </div>
  {#if failed}<Problem error={failed} />{/if}
  <div role="status">
    {#if said}<p>{said}</p>{/if}
    {#if busy && file && !found}<p>{say(texts.trying, { file: file.name })}</p>{/if}
  </div>
  {#if found && file}
    <p class:bad={faulty}>{nothingNew ? say(texts.nothingNew, { file: file.name }) : headline}</p>
    {#if faulty}
      <ul>
        {#each found.faults as each, at (at)}<li>{fault(each)}</li>{/each}
      </ul>
    {:else}
      <table>
        <thead
          ><tr
            ><th>{texts.row}</th><th class="figure">{texts.added}</th>{#if mode === "merge"}<th class="figure"
                >{texts.present}</th
              ><th class="figure">{texts.leftOut}</th>{/if}</tr
          ></thead
        >
        <tbody>
          {#each found.counts as count (count.what)}
            <tr
              ><td>{count.what}</td><td class="figure number">{count.added}</td>{#if mode === "merge"}<td
                  class="figure number">{count.present}</td
                ><td class="figure number">{count.left_out}</td>{/if}</tr
            >
          {/each}
        </tbody>
      </table>
      {#if mode === "merge"}<p class="quiet">{texts.contradicts}</p>{/if}
    {/if}
    <p class="row">
      {#if !faulty && !nothingNew}<PlainButton disabled={busy} onclick={() => read(false)}
          >{mode === "merge" ? texts.doMerge : texts.doReplace}</PlainButton
        >{/if}
      <PlainButton look="link" onclick={stop}>{texts.cancel}</PlainButton>
    </p>
  {/if}
</section>

<style>
  section {
    border-top: 1px solid var(--line);
    margin-top: 1.5rem;
    padding-top: 1rem;
  }
  h2 {
    margin: 0;
  }
  .bad {
    color: var(--stop);
    font-weight: 600;
  }
  table {
    border-collapse: collapse;
  }
  th,
  td {
    text-align: left;
    padding: 0.2rem 1.5rem 0.2rem 0;
    border-bottom: 1px solid var(--line);
  }
  .figure {
    text-align: right;
  }
</style>
