<script lang="ts">
  import SelectField from "../../parts/controls/SelectField.svelte";
  import TextField from "../../parts/controls/TextField.svelte";
  import * as texts from "../../texts/settings";
  import { say } from "../../texts/say";
  import { lazyApi } from "../../api/lazyApi";
  import type { Schemas } from "../../api/client";
  import { undo } from "../../parts/undo.svelte";
  import * as undos from "../../texts/undo";
  import { FormState } from "../../parts/formState.svelte";
  import { asRead } from "../../format/words";

  let { schedule, load }: { schedule: Schemas["ScheduleChosen"]; load: () => Promise<void> } = $props();
  const form = new FormState();
  let typed = $state<Record<string, string>>({});
  let saved = $state(false);
  const value = (choice: Schemas["ScheduleChoice"]) => typed[choice.id] ?? String(choice.value);
  const changed = $derived(schedule.choices.filter((choice) => value(choice) !== String(choice.value)));
  /** Entered, but not a whole number in range. */
  const wrong = (choice: Schemas["ScheduleChoice"]) =>
    !/^\d+$/.test(value(choice).trim()) || +value(choice) < choice.least || +value(choice) > choice.most;
  const fault = (choice: Schemas["ScheduleChoice"]) =>
    tried && wrong(choice) ? say(texts.between, { least: choice.least, most: choice.most }) : form.fault(choice.id);
  let tried = $state(false);

  /** Saves what was changed, when a field is left or a choice made. */
  async function save() {
    [tried, saved] = [true, false];
    if (!changed.length || schedule.choices.some(wrong)) return;
    const wanted = Object.fromEntries(changed.map((choice) => [choice.id, Number(value(choice))]));
    const before = Object.fromEntries(changed.map((choice) => [choice.id, choice.value]));
    if (!(await form.act(() => lazyApi.schedule(wanted, schedule.revision)))) return;
    await load();
    [typed, tried, saved] = [{}, false, true];
    const seen = schedule.revision;
    undo.offer(undos.planningChanged, async () => {
      await lazyApi.schedule(before, seen);
      await load();
      saved = false;
    });
  }
</script>

<form class="sheet" onsubmit={(event) => event.preventDefault()} novalidate>
  <h2>{texts.planning}</h2>
  <p class="quiet">{texts.planningChanges}</p>
  <div class="list">
    {#each schedule.choices as choice (choice.id)}
      {#if choice.options}
        <SelectField
          id={choice.id}
          label={choice.label}
          value={value(choice)}
          options={choice.options}
          fault={fault(choice)}
          onchoose={(id) => ((typed[choice.id] = id), void save())}
        />
      {:else}
        <TextField
          id={choice.id}
          label={choice.label}
          inputmode="numeric"
          value={value(choice)}
          oninput={(event) => ((typed[choice.id] = event.currentTarget.value), (saved = false))}
          onchange={save}
          fault={fault(choice)}
        >
          {#snippet beside()}<span class="quiet usual">{say(texts.usual, { usual: asRead(String(choice.usual)) })}</span
            >{/snippet}
        </TextField>
      {/if}
    {/each}
  </div>
  <p role="status">{saved ? texts.saved : ""}</p>
</form>

<style>
  .list {
    display: grid;
    gap: 0.75rem;
    margin: 0.75rem 0;
  }
  .usual {
    white-space: nowrap;
  }
  p[role="status"] {
    min-height: 1.5em;
    margin: 0;
  }
</style>
