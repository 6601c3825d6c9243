<script lang="ts">
  import * as texts from "../../texts/reminders";
  import PlainButton from "../../parts/controls/PlainButton.svelte";
  import TextField from "../../parts/controls/TextField.svelte";
  import Fault from "../../parts/Fault.svelte";
  import { lazyApi } from "../../api/lazyApi";
  import type { Schemas } from "../../api/client";
  import { FormState } from "../../parts/formState.svelte";

  /** The private address under which calendar programs read what is due. */
  let feed = $state.raw<Schemas["CalendarFeed"] | null>(null);
  const form = new FormState();
  const act = (action: () => Promise<Schemas["CalendarFeed"]>) => form.act(async () => (feed = await action()));
  void act(lazyApi.calendarFeed);
  const addresses = $derived(
    [
      [texts.here, feed?.path && `${location.origin}${feed.path}`],
      [texts.inTheNetwork, feed?.network],
    ].filter((each): each is [string, string] => !!each[1]),
  );
</script>

<details class="sheet matter">
  <summary>{texts.subscribe}</summary>
  <p>{texts.whatSubscribing}</p>
  {#each addresses as [label, address] (label)}
    <TextField {label} width="long" readonly value={address} onfocus={(event) => event.currentTarget.select()} />
  {/each}
  {#if feed?.path && !feed.network}<p class="quiet">
      {texts.onlyHere} <a href="#/access">{texts.allowPhones}</a>
    </p>{/if}
  <p class="row">
    <PlainButton disabled={form.busy} onclick={() => act(lazyApi.openCalendarFeed)}
      >{feed?.path ? texts.newAddress : texts.makeAddress}</PlainButton
    >
    {#if feed?.path}<PlainButton look="link" disabled={form.busy} onclick={() => act(lazyApi.closeCalendarFeed)}
        >{texts.removeAddress}</PlainButton
      >{/if}
  </p>
  <Fault text={form.first} />
</details>
