<script lang="ts">
  import PlainButton from "../../parts/controls/PlainButton.svelte";
  import TextField from "../../parts/controls/TextField.svelte";
  import TermDrawing from "../../parts/TermDrawing.svelte";
  import * as texts from "../../texts/help";
  import * as brakeTexts from "../../texts/brake";
  import { say } from "../../texts/say";
  import { lazyApi } from "../../api/lazyApi";
  import type { Schemas } from "../../api/client";
  import Problem from "../../parts/Problem.svelte";
  import { Loader } from "../../parts/loader.svelte";

  /** How Graver comes to what it says, how often it was right, and the words of the trade. */
  const loaded = new Loader<Schemas["Help"]>();
  void loaded.load(lazyApi.help);
  // A picture is drawn when it is asked for.
  const opened = $state<Record<string, boolean>>({});
  let words = $state("");
  const terms = $derived(
    (loaded.value?.terms ?? []).filter((term) =>
      `${term.term} ${term.text}`.toLowerCase().includes(words.trim().toLowerCase()),
    ),
  );
  const percent = (share: number) => `${(share * 100).toFixed(share < 0.1 ? 1 : 0)} %`;
  const all = $derived(loaded.value?.worlds.find((row) => row.kind === "all"));
</script>

<svelte:head><title>{texts.titleGraver}</title></svelte:head>
{#if loaded.error}<Problem error={loaded.error} />{/if}
<div class="stack">
  <h1>{texts.title}</h1>
  <nav class="row" aria-label={texts.contents}>
    {#each [[texts.words, "words"], [texts.howGraverThinks, "thinks"], [texts.howOften, "often"]] as const as [label, id] (id)}
      <PlainButton look="link" onclick={() => document.getElementById(id)?.scrollIntoView()}>{label}</PlainButton>
    {/each}
    <a href="#/practice">{texts.practise}</a>
  </nav>
  {#if loaded.value}
    <section class="sheet" id="words">
      <h2>{texts.words}</h2>
      <TextField label={texts.find} type="search" bind:value={words} />
      <dl class="words">
        {#each terms as term (term.id)}
          <div>
            <dt>{term.term}<TermDrawing term={term.id} /></dt>
            <dd>
              {term.text}{#if term.see.length}{" "}<span class="quiet"
                  >{say(texts.see, { see: term.see.join(", ") })}</span
                >{/if}
              {#if term.drawn}
                <details ontoggle={(event) => (opened[term.id] = event.currentTarget.open)}>
                  <summary>{brakeTexts.showOnBrake}</summary>
                  {#if opened[term.id]}{#await import("../../parts/brake/TermPicture.svelte") then { default: TermPicture }}<TermPicture
                        {term}
                      />{/await}{/if}
                </details>
              {/if}
            </dd>
          </div>
        {:else}<p>{texts.none}</p>{/each}
      </dl>
    </section>
  {/if}
  <section class="sheet" id="thinks">
    <h2>{texts.howGraverThinks}</h2>
    <dl class="thinking">
      {#each texts.thinking as [what, how] (what)}
        <dt>{what}</dt>
        <dd>{how}</dd>
      {/each}
    </dl>
  </section>
  {#if loaded.value && all}
    <section class="sheet" id="often">
      <h2>{texts.howOften}</h2>
      <p class="quiet">{say(texts.simulated, { logs: all.logs })}</p>
      <div class="scroll">
        <table>
          <thead
            ><tr
              ><th>{texts.conditions}</th><th>{texts.withinRange}</th><th aria-hidden="true"></th><th>{texts.late}</th
              ><th>{texts.loss}</th></tr
            ></thead
          >
          <tbody>
            {#each loaded.value.worlds as row (row.kind + row.id)}
              <tr class={row.kind}
                ><td>{row.label}</td><td class="number">{percent(row.eight_in_ten)}</td><td aria-hidden="true"
                  ><span class="bar" style="--share: {row.eight_in_ten}"></span></td
                ><td class="number">{percent(row.late)}</td><td class="number">{percent(row.to_line)}</td></tr
              >
            {/each}
          </tbody>
        </table>
      </div>
    </section>
  {/if}
</div>

<style>
  .thinking {
    display: grid;
    grid-template-columns: minmax(8rem, 12rem) minmax(0, 44rem);
    gap: 0.75rem 1.5rem;
    margin: 0.5rem 0 0;
  }
  dt {
    font-weight: 600;
  }
  dd {
    margin: 0;
    line-height: 1.45;
  }
  .bar {
    display: block;
    width: 10rem;
    height: 0.8rem;
    border: 1px solid var(--petrol);
    background:
      linear-gradient(to right, transparent calc(80% - 1px), var(--ink) 0 calc(80% + 1px), transparent 0),
      linear-gradient(to right, var(--petrol) calc(var(--share) * 100%), transparent 0);
  }
  tr.all td {
    font-weight: 600;
    border-top: 2px solid var(--ink);
  }
  .find {
    max-width: 22rem;
    margin: 0.5rem 0 1rem;
  }
  .words {
    columns: 22rem;
    column-gap: 2rem;
    margin: 1rem 0 0;
  }
  .words > div {
    break-inside: avoid;
    padding-bottom: 0.75rem;
  }
  @media (max-width: 40rem) {
    .thinking {
      grid-template-columns: 1fr;
      gap: 0.25rem;
    }
    .thinking dd {
      margin-bottom: 0.75rem;
    }
  }
</style>
