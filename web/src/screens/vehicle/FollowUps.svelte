<script lang="ts">
  import TextField from "../../parts/controls/TextField.svelte";
  import PlainButton from "../../parts/controls/PlainButton.svelte";
  import * as common from "../../texts/common";
  import * as texts from "../../texts/vehicle";
  import { say } from "../../texts/say";
  import { Button } from "carbon-components-svelte";
  import { lazyApi } from "../../api/lazyApi";
  import type { Schemas } from "../../api/client";
  import { day } from "../../format/words";
  import { FormState } from "../../parts/formState.svelte";

  /** A vehicle's follow-ups: added, checked again, closed with their cause. */
  let { vehicle, changed }: { vehicle: Schemas["Vehicle"]; changed: () => Promise<unknown> } = $props();
  const open = $derived(vehicle.follow_ups.filter((end) => !end.closed_on));
  const closed = $derived(vehicle.follow_ups.filter((end) => end.closed_on));
  let adding = $state(false);
  let closing = $state<number | null>(null);
  let text = $state("");
  let lookOn = $state("");
  let because = $state("");
  const form = new FormState();

  async function add(event: SubmitEvent) {
    event.preventDefault();
    const kept = await form.act(() => lazyApi.addFollowUp(vehicle.id, { text, look_on: lookOn || null }));
    if (!kept) return;
    [adding, text, lookOn] = [false, "", ""];
    await changed();
  }
  async function change(id: number, why: string | null) {
    if (!(await form.act(() => lazyApi.changeFollowUp(id, why)))) return;
    [closing, because] = [null, ""];
    await changed();
  }
</script>

<section class="sheet" aria-label={texts.followUps}>
  <div class="row spread">
    <h2>{texts.followUps}</h2>
    {#if !adding}<Button size="field" kind="tertiary" on:click={() => (adding = true)}>{texts.addAnFollowUp}</Button
      >{/if}
  </div>
  {#if adding}
    <form class="row" onsubmit={add} novalidate>
      <TextField
        label={texts.followUpText}
        width="long"
        first
        maxlength={300}
        bind:value={text}
        fault={form.fault("text")}
      />
      <TextField label={texts.checkAgainOn} type="date" bind:value={lookOn} fault={form.fault("look_on")} />
      <Button type="submit" size="field" disabled={form.busy}>{common.save}</Button>
      <Button size="field" kind="ghost" on:click={() => (adding = false)}>{common.cancel}</Button>
    </form>
  {/if}
  {#if open.length}
    <ul class="plain-list">
      {#each open as end (end.id)}
        <li class:due={end.due}>
          <strong>{end.text}</strong>
          <span class="quiet"
            >{say(texts.sinceDay, { day: day(end.day) })}{end.look_on
              ? `; ${say(texts.checkAgainOnDay, { day: day(end.look_on) })}`
              : ""}</span
          >
          {#if closing === end.id}
            <form
              class="row"
              onsubmit={(event) => {
                event.preventDefault();
                void change(end.id, because);
              }}
              novalidate
            >
              <TextField
                label={texts.whatItWas}
                width="long"
                first
                maxlength={300}
                bind:value={because}
                fault={form.fault("because")}
              />
              <Button type="submit" size="field" disabled={form.busy}>{texts.closeFollowUp}</Button>
              <Button size="field" kind="ghost" on:click={() => (closing = null)}>{common.cancel}</Button>
            </form>
          {:else}<PlainButton look="link" onclick={() => (closing = end.id)}>{texts.closeFollowUp}</PlainButton>{/if}
        </li>
      {/each}
    </ul>
  {:else}<p class="quiet">{texts.noFollowUps}</p>{/if}
  {#if closed.length}
    <details>
      <summary>{say(texts.closedCount, { count: closed.length })}</summary>
      <ul class="plain-list">
        {#each closed as end (end.id)}
          <li>
            {end.text}: <strong>{end.closed_because}</strong> <span class="quiet">{day(end.closed_on!)}</span>
            <PlainButton look="link" onclick={() => change(end.id, null)}>{texts.reopen}</PlainButton>
          </li>
        {/each}
      </ul>
    </details>
  {/if}
</section>

<style>
  form {
    align-items: end;
    margin: 0.5rem 0;
  }
  li {
    padding: 0.4rem 0;
    border-bottom: 1px solid var(--line);
  }
  li:last-child {
    border-bottom: 0;
  }
  .due strong {
    color: var(--watch);
  }
</style>
