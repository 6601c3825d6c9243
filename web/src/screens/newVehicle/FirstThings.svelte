<script lang="ts">
  import Skeleton from "../../parts/Skeleton.svelte";
  import { currentPage } from "../../parts/currentPage.svelte";
  import * as texts from "../../texts/firstThings";
  import { say } from "../../texts/say";
  import { api, type Schemas } from "../../api/client";
  import { lazyApi } from "../../api/lazyApi";
  import Fault from "../../parts/Fault.svelte";
  import Problem from "../../parts/Problem.svelte";
  import { FormState } from "../../parts/formState.svelte";
  import { Loader } from "../../parts/loader.svelte";
  import { focusOn } from "../../parts/focus";
  import { axleTitle, axleWord } from "../../format/words";
  import CaliperSketch from "./CaliperSketch.svelte";

  /** Just added: what can be seen through the wheels, one tap each, then on to the first inspection. */
  let { params }: { params: { id: string } } = $props();
  const id = $derived(Number(params.id));
  $effect(() => currentPage.at({ vehicle: id }, "overview", texts.title));
  const ASKED = ["caliper.kind", "parking_brake.kind"];
  const loaded = new Loader<Schemas["BrakeData"][]>();
  const load = (of: number) =>
    loaded.load(async () => {
      const { vehicles } = await lazyApi.places();
      const axles = vehicles.find((each) => each.id === of)?.axles ?? [];
      return Promise.all(axles.map((axle) => api.brakeData(axle.id)));
    });
  $effect(() => void load(id));
  const form = new FormState();

  const choose = (axle: number, key: string, value: string) =>
    form.act(async () => {
      await api.recordBrakeData(axle, { entries: [{ key, value, unit: null, source: "measured" }] });
      await load(id);
    });
</script>

{#if loaded.error}<Problem error={loaded.error} />{/if}
{#if loaded.value}
  <div class="stack">
    <h1>{texts.title}</h1>
    <p class="quiet">{texts.tapWhatYouSee}</p>
    <div class="row">
      <a class="main-action" href="#/vehicles/{id}/inspection" use:focusOn={true}>{texts.startTheCheck}</a>
      <a href="#/vehicles/{id}">{texts.later}</a>
    </div>
    <Fault text={form.first} />
    {#each loaded.value as data (data.axle.id)}
      <section class="sheet" aria-label={say(texts.axle, { name: axleWord(data.axle.name) })}>
        <h2>{axleTitle(data.axle.name)}</h2>
        {#each data.fields.filter((field) => ASKED.includes(field.key)) as field (field.key)}
          <div class="ask" role="group" aria-label={field.label}>
            <p>{field.label}</p>
            <div class="choices">
              {#each field.choices as choice (choice.id)}
                <button
                  type="button"
                  aria-pressed={field.value === choice.id}
                  disabled={form.busy}
                  onclick={() => choose(data.axle.id, field.key, choice.id)}
                >
                  {#if field.key === "caliper.kind"}<CaliperSketch drawn={choice.drawn} />{/if}
                  <span>{choice.label}</span>
                </button>
              {/each}
            </div>
          </div>
        {/each}
      </section>
    {/each}
  </div>
{:else if loaded.loading}
  <Skeleton />
{/if}

<style>
  .ask {
    margin-top: 0.75rem;
  }
  .ask p {
    font-weight: 600;
  }
  .choices {
    display: flex;
    flex-wrap: wrap;
    gap: 0.5rem;
    margin-top: 0.35rem;
  }
  button {
    font: inherit;
    color: inherit;
    background: var(--sheet);
    border: 1px solid var(--line);
    padding: 0.6rem 0.75rem;
    min-height: 48px;
    max-width: 11rem;
    display: grid;
    gap: 0.35rem;
    justify-items: center;
    cursor: pointer;
    line-height: 1.25;
  }
  button[aria-pressed="true"] {
    border-color: var(--petrol);
    box-shadow: inset 0 0 0 2px var(--petrol);
    font-weight: 600;
  }
</style>
