<script lang="ts">
  import SelectField from "../../parts/controls/SelectField.svelte";
  import TextField from "../../parts/controls/TextField.svelte";
  import * as common from "../../texts/common";
  import * as texts from "../../texts/logbook";
  import { say } from "../../texts/say";
  import { untrack } from "svelte";
  import { Button } from "carbon-components-svelte";
  import { lazyApi } from "../../api/lazyApi";
  import PhotoStrip from "../../parts/PhotoStrip.svelte";
  import Problem from "../../parts/Problem.svelte";
  import { money } from "../../format/jobs";
  import { day, exact, listed, upperFirst } from "../../format/words";
  import type { Schemas } from "../../api/client";

  /** Everything on file with its day, the newest first, searched by words. vehicle: only of this one. */
  let { vehicle }: { vehicle?: string } = $props();
  const [AT_ONCE, DELAY_MS] = [60, 150];
  const KINDS = ["inspection", "job", "forecast", "correction", "follow_up", "event"] as const;
  let words = $state("");
  let kind = $state("");
  let from = $state("");
  let upto = $state("");
  let most = $state(AT_ONCE);
  let found = $state.raw<Schemas["Logbook"] | null>(null);
  let failed = $state.raw<unknown>(null);
  let turn = 0;
  const people = $derived(!!found?.lines.some((line) => line.done_by));
  const searched = $derived(!!(words.trim() || kind || from || upto));

  async function look() {
    const mine = ++turn;
    try {
      const answer = await lazyApi.logbook({ words, kind, from, upto, vehicle: vehicle ?? "", most: String(most) });
      if (mine === turn) [found, failed] = [answer, null];
    } catch (error) {
      if (mine === turn) failed = error;
    }
  }
  // One question for all that is typed in a moment.
  $effect(() => {
    void [words, kind, from, upto, vehicle, most];
    const timer = setTimeout(look, untrack(() => found) ? DELAY_MS : 0);
    return () => clearTimeout(timer);
  });
</script>

{#if failed}<Problem error={failed} />{/if}
<section class="sheet">
  <div class="find">
    <TextField
      label={texts.find}
      type="search"
      width="long"
      placeholder={texts.findWhat}
      bind:value={words}
      oninput={() => (most = AT_ONCE)}
    />
    <SelectField
      label={texts.kind}
      bind:value={kind}
      options={[{ id: "", label: texts.everything }, ...KINDS.map((id) => ({ id, label: texts.kinds[id] }))]}
    />
    <TextField label={texts.from} type="date" bind:value={from} />
    <TextField label={texts.upto} type="date" bind:value={upto} />
    <p class="quiet" role="status">
      {#if found}{listed(
          say(texts.counted, { count: found.count }),
          found.spent > 0 && say(texts.countedSpent, { amount: money(found.spent, found.currency) }),
        )}{/if}
    </p>
  </div>
  {#if found?.lines.length}
    <div class="scroll">
      <table>
        <thead
          ><tr
            ><th>{common.day}</th>{#if !vehicle}<th>{texts.vehicle}</th>{/if}<th>{texts.odometer}</th><th
              >{common.what}</th
            ><th>{common.note}</th>{#if people}<th>{texts.who}</th>{/if}</tr
          ></thead
        >
        <tbody>
          {#each found.lines as line, at (at)}
            <tr class={line.kind}
              ><td class="day"><a href="#/{line.place}">{day(line.date)}</a></td>{#if !vehicle}<td>{line.vehicle}</td
                >{/if}<td class="number"
                >{line.odometer_km ? exact(line.odometer_km, line.distance_unit as Schemas["DistanceUnit"]) : ""}</td
              ><td class="wide">{upperFirst(line.what)}<PhotoStrip photos={line.photos} small /></td><td class="wide"
                >{listed(
                  line.note,
                  line.spent ? say(texts.spent, { amount: money(line.spent, found.currency) }) : "",
                )}</td
              >{#if people}<td>{line.done_by ?? ""}</td>{/if}</tr
            >
          {/each}
        </tbody>
      </table>
    </div>
    {#if found.count > most}<Button size="small" kind="ghost" on:click={() => (most += 4 * AT_ONCE)}
        >{say(texts.showOlder, { count: found.count - most })}</Button
      >{/if}
    <p class="quiet hint">{texts.correctHint}</p>
  {:else if found}<p>{searched ? texts.nothingFound : texts.empty}</p>{/if}
</section>

<style>
  .find {
    display: grid;
    grid-template-columns: minmax(14rem, 2fr) minmax(9rem, 1fr) 10.5rem 10.5rem auto;
    gap: 0.75rem 1rem;
    align-items: end;
    margin-bottom: 0.75rem;
  }
  .find p {
    text-align: right;
    padding-bottom: 0.6rem;
  }
  .day {
    white-space: nowrap;
  }
  .job td {
    font-weight: 600;
  }
  .correction td,
  .event td,
  .follow_up td {
    color: var(--quiet);
  }
  .number {
    white-space: nowrap;
  }
  .hint {
    margin-top: 0.75rem;
  }
  @media (max-width: 60rem) {
    .find {
      grid-template-columns: 1fr 1fr;
    }
    .find p {
      text-align: left;
      padding: 0;
    }
  }
  @media (max-width: 40rem) {
    thead {
      display: none;
    }
    tr {
      display: flex;
      flex-wrap: wrap;
      gap: 0.1rem 1rem;
      padding: 0.5rem 0;
      border-top: 1px solid var(--line);
    }
    td {
      padding: 0;
      border: 0;
    }
    td:empty {
      display: none;
    }
    .wide {
      flex-basis: 100%;
      order: 1;
    }
  }
</style>
