<script lang="ts">
  import SelectField from "../../parts/controls/SelectField.svelte";
  import TextField from "../../parts/controls/TextField.svelte";
  import * as common from "../../texts/common";
  import * as texts from "../../texts/logbook";
  import { say } from "../../texts/say";
  import { Button } from "carbon-components-svelte";
  import { amount } from "../../format/jobs";
  import { day, listed } from "../../format/words";
  import { matching, newestFirst, type Entry, type Kind } from "./entries";

  /** A log: searched by a word, the newest first. */
  let { entries, vehicles = false }: { entries: Entry[]; vehicles?: boolean } = $props();
  const AT_ONCE = 60;
  let words = $state("");
  let kind = $state<Kind | "">("");
  let most = $state(AT_ONCE);
  const found = $derived(newestFirst(matching(entries, words, kind)));
  const spent = $derived(found.reduce((sum, entry) => sum + entry.spent, 0));
</script>

<section class="sheet">
  <div class="find">
    <TextField
      label={texts.find}
      type="search"
      placeholder={texts.findWhat}
      bind:value={words}
      oninput={() => (most = AT_ONCE)}
    />
    <SelectField
      label={texts.kind}
      bind:value={kind}
      options={[
        { id: "", label: texts.everything },
        { id: "inspection", label: texts.inspections },
        { id: "job", label: texts.jobs },
      ]}
    />
    <p class="quiet" role="status">
      {listed(
        say(texts.counted, { count: found.length }),
        spent > 0 && say(texts.countedSpent, { amount: amount(spent) }),
      )}
    </p>
  </div>
  {#if found.length}
    <div class="scroll">
      <table>
        <thead
          ><tr
            ><th>{common.day}</th>{#if vehicles}<th>{texts.vehicle}</th>{/if}<th>{texts.odometer}</th><th
              >{common.what}</th
            ><th>{common.note}</th></tr
          ></thead
        >
        <tbody>
          {#each found.slice(0, most) as entry (entry.vehicle + entry.key)}
            <tr class:job={entry.kind === "job"}
              ><td class="day"><a href={entry.href}>{day(entry.date)}</a></td>{#if vehicles}<td>{entry.vehicle}</td
                >{/if}<td class="number">{entry.odometer}</td><td class="wide">{entry.what}</td><td class="wide"
                >{entry.note}</td
              ></tr
            >
          {/each}
        </tbody>
      </table>
    </div>
    {#if found.length > most}<Button size="small" kind="ghost" on:click={() => (most += 4 * AT_ONCE)}
        >{say(texts.showOlder, { count: found.length - most })}</Button
      >{/if}
    <p class="quiet hint">{texts.correctHint}</p>
  {:else}<p>{entries.length ? texts.nothingFound : texts.empty}</p>{/if}
</section>

<style>
  .find {
    display: grid;
    grid-template-columns: minmax(12rem, 2fr) minmax(9rem, 1fr) 1fr;
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
  .number {
    white-space: nowrap;
  }
  .hint {
    margin-top: 0.75rem;
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
    }
    .find {
      grid-template-columns: 1fr;
    }
    .find p {
      text-align: left;
      padding: 0;
    }
  }
</style>
