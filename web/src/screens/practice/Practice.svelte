<script lang="ts">
  import * as texts from "../../texts/practice";
  import { say } from "../../texts/say";
  import { Button } from "carbon-components-svelte";
  import { push } from "svelte-spa-router";
  import { lazyApi } from "../../api/lazyApi";
  import type { Schemas } from "../../api/client";
  import { Loader } from "../../parts/loader.svelte";
  import { FormState } from "../../parts/formState.svelte";
  import Problem from "../../parts/Problem.svelte";
  import DrillAnswer from "./DrillAnswer.svelte";
  import DrillPicture from "./DrillPicture.svelte";
  import { next, Tally } from "./tally.svelte";

  /** Practice before the first real job: each drill has its own address and can be repeated. */
  let { params }: { params: { kind?: string; seed?: string } } = $props();
  const kinds = new Loader<Schemas["DrillKind"][]>();
  kinds.load(async () => (await lazyApi.drills()).drills);
  const drill = new Loader<Schemas["Drill"]>();
  const form = new FormState();
  const tally = new Tally();
  let marking = $state.raw<Schemas["DrillMarking"] | null>(null);

  const kind = $derived(params.kind);
  const seed = $derived(Number(params.seed ?? 1));
  $effect(() => {
    const [of, at] = [kind, seed];
    marking = null;
    form.refused = null;
    if (of) drill.load(() => lazyApi.drill(of, at));
  });
  const shown = $derived(drill.value?.kind === kind && drill.value?.seed === seed ? drill.value : null);

  const answer = (given: string | string[]) =>
    form.act(async () => {
      const first = marking === null;
      const how = typeof given === "string" ? { answer: given } : { order: given };
      marking = await lazyApi.answerDrill(kind!, { seed, ...how });
      if (first) tally.add(kind!, marking.right);
    });
</script>

<svelte:head><title>{texts.practiceGraver}</title></svelte:head>
{#if kinds.error || drill.error}<Problem error={kinds.error ?? drill.error} />{/if}
<div class="stack">
  <h1>{texts.practice}</h1>
  <p class="quiet">{texts.introduction}</p>
  {#if kinds.value}
    <nav aria-label={texts.drills} class:chosen={!!kind}>
      {#each kinds.value as each (each.id)}
        <a
          href="#/practice/{each.id}/{next(each.id === kind ? seed : 0)}"
          aria-current={each.id === kind ? "page" : null}
          >{each.label}{#if tally.of(each.id).done}<span class="quiet number"
              >{say(texts.rightOfDone, tally.of(each.id))}</span
            >{/if}</a
        >
      {/each}
    </nav>
  {/if}
  {#if shown}
    <section class="sheet stack" aria-live="polite">
      <h2>{shown.text}</h2>
      {#if shown.picture.kind}<DrillPicture picture={shown.picture} />{/if}
      {#key shown.kind + shown.seed}
        <DrillAnswer drill={shown} fault={form.fault("answer")} busy={form.busy} {answer} />
      {/key}
      {#if marking}
        <div class="marking" class:right={marking.right}>
          <p><strong>{marking.right ? texts.right : say(texts.notQuite, { should: marking.should })}</strong></p>
          {#if marking.slip}<p>{marking.slip}</p>{/if}
          <p>{marking.because}</p>
          <Button size="field" on:click={() => push(`/practice/${kind}/${next(seed)}`)}>{texts.another}</Button>
        </div>
      {/if}
    </section>
  {/if}
</div>

<style>
  nav {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(14rem, 1fr));
    gap: 0.5rem;
  }
  nav a {
    display: flex;
    justify-content: space-between;
    align-items: center;
    gap: 0.75rem;
    min-height: 48px;
    padding: 0 0.75rem;
    background: var(--sheet);
    border: 1px solid var(--line);
    color: var(--ink);
    text-decoration: none;
  }
  nav a[aria-current] {
    border-color: var(--petrol);
    box-shadow: inset 4px 0 0 var(--petrol);
    font-weight: 600;
  }
  /* On a phone the question comes first. */
  @media (max-width: 40rem) {
    nav.chosen {
      order: 1;
    }
  }
  h2 {
    max-width: 44rem;
  }
  .marking {
    border-left: 8px solid var(--plan);
    padding: 0.25rem 0 0.25rem 1rem;
    display: grid;
    gap: 0.5rem;
    max-width: 44rem;
    justify-items: start;
  }
  .marking.right {
    border-color: var(--good);
  }
  .marking p {
    margin: 0;
  }
</style>
