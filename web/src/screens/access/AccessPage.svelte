<script lang="ts">
  import CheckField from "../../parts/controls/CheckField.svelte";
  import TextField from "../../parts/controls/TextField.svelte";
  import PlainButton from "../../parts/controls/PlainButton.svelte";
  import Skeleton from "../../parts/Skeleton.svelte";
  import * as common from "../../texts/common";
  import * as texts from "../../texts/access";
  import { say } from "../../texts/say";
  import { Button } from "carbon-components-svelte";
  import { lazyApi } from "../../api/lazyApi";
  import type { Schemas } from "../../api/client";
  import { day } from "../../format/words";
  import { FormState } from "../../parts/formState.svelte";
  import { Loader } from "../../parts/loader.svelte";
  import Fault from "../../parts/Fault.svelte";
  import Problem from "../../parts/Problem.svelte";
  import SquareCode from "./SquareCode.svelte";

  /** Who may come in over the network: seen and changed on the machine Graver runs on. */
  const loaded = new Loader<Schemas["Access"]>();
  loaded.load(lazyApi.access);
  const form = new FormState();
  let passphrase = $state("");
  let saved = $state(false);
  let code = $state.raw<Schemas["Pairing"] | null>(null);

  /** How many of the three steps are done. */
  const reached = (access: Schemas["Access"]) =>
    [!!access.passphrase, access.listening, access.sessions.length > 0].findIndex((done) => !done) >>> 0;
  const change = (of: Schemas["AccessChange"]) => form.act(async () => (loaded.value = await lazyApi.changeAccess(of)));
  async function keep(event: SubmitEvent) {
    event.preventDefault();
    saved = await change({ passphrase });
    if (saved) passphrase = "";
  }
  let guest = $state(false);
  const pair = () => form.act(async () => (code = await lazyApi.pair(guest)));
  const makeGuest = (id: number, on: boolean) =>
    form.act(async () => (loaded.value = await lazyApi.changeSession(id, on)));
  const signOut = (id: number) => form.act(async () => (loaded.value = await lazyApi.endSession(id)));
</script>

<svelte:head><title>{texts.phoneAccessGraver}</title></svelte:head>
{#if loaded.error}<Problem error={loaded.error} />{/if}
{#if loaded.value}
  {@const access = loaded.value}
  <div class="stack">
    <h1>{common.phoneAccess}</h1>
    <ol class="steps">
      {#each texts.steps as [step, what], at (step)}
        <li class:done={at < reached(access)} class:next={at === reached(access)}>
          <strong>{step}</strong>
          <span>{what}</span>
        </li>
      {/each}
    </ol>
    <section class="sheet stack">
      <p>{access.listening ? say(texts.listeningAt, { address: access.address! }) : texts.notListening}</p>
      {#if access.listening}<p class="quiet">{access.https ? texts.withHttps : texts.withoutHttps}</p>{/if}
      {#if access.fingerprint}<p class="number address">
          {say(texts.theFingerprint, { fingerprint: access.fingerprint })}
        </p>{/if}
      <form class="row" onsubmit={keep} novalidate>
        <TextField
          label={access.passphrase ? texts.aNewPassphrase : texts.setAPassphrase}
          width="long"
          type="password"
          autocomplete="new-password"
          bind:value={passphrase}
          fault={form.fault("passphrase")}
        />
        <Button type="submit" size="field" disabled={form.busy || !passphrase}>{texts.savePassphrase}</Button>
      </form>
      {#if saved}<p role="status">{texts.passphraseSaved}</p>{/if}
      <CheckField
        checked={access.wanted || access.listening}
        disabled={!access.passphrase || form.busy}
        oncheck={(on) => change({ wanted: on })}
        label={texts.allowPhones}
      />
      <CheckField
        checked={access.https}
        disabled={!access.passphrase || form.busy}
        oncheck={(on) => change({ https: on })}
        label={texts.encryptTheWay}
      />
      <Fault text={form.fault("wanted")} />
    </section>
    {#if access.listening}
      <section class="sheet stack">
        <CheckField checked={guest} oncheck={(on) => void ([guest, code] = [on, null])} label={texts.asGuest} />
        <Button size="field" disabled={form.busy} on:click={pair}>{code ? texts.pairAnother : texts.pairAPhone}</Button>
        {#if code}
          <div class="code">
            <SquareCode modules={code.modules} label={texts.theCode} />
            <div>
              <p>{say(texts.scanHint, { minutes: Math.round(code.seconds / 60) })}</p>
              <p class="number address">{code.address}</p>
            </div>
          </div>
        {/if}
      </section>
    {/if}
    <section class="sheet">
      <h2>{texts.devices}</h2>
      {#if access.sessions.length}
        <ul class="plain-list">
          {#each access.sessions as session (session.id)}
            <li>
              <strong
                >{session.person
                  ? say(texts.usedBy, { device: session.device, person: session.person })
                  : session.device}</strong
              >
              <span class="quiet"
                >{say(texts.signedInSeen, {
                  begun: day(session.begun_at.slice(0, 10)),
                  seen: day(session.seen_at.slice(0, 10)),
                  until: day(session.expires_at.slice(0, 10)),
                })}</span
              >
              <span class="row">
                <CheckField
                  checked={session.guest}
                  disabled={form.busy}
                  oncheck={(on) => makeGuest(session.id, on)}
                  label={texts.guestDevice}
                />
                <PlainButton look="link" onclick={() => signOut(session.id)}>{texts.signOut}</PlainButton>
              </span>
            </li>
          {/each}
        </ul>
      {:else}<p class="quiet">{texts.noDevices}</p>{/if}
    </section>
  </div>
{:else if loaded.loading}
  <Skeleton />
{/if}

<style>
  .steps {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(min(16rem, 100%), 1fr));
    gap: 1rem;
    margin: 0;
    padding: 0;
    list-style: none;
    counter-reset: step;
  }
  .steps li {
    counter-increment: step;
    display: grid;
    align-content: start;
    grid-template-columns: 2.25rem 1fr;
    border-top: 4px solid var(--line);
    padding-top: 0.5rem;
  }
  .steps li::before {
    content: counter(step);
    grid-row: span 2;
    font:
      600 1.75rem/1 "Barlow Semi Condensed",
      sans-serif;
    color: var(--quiet);
  }
  .steps .done::before {
    content: "✓" / "";
  }
  .steps .next {
    border-color: var(--petrol);
  }
  form {
    align-items: end;
  }
  .code {
    display: flex;
    flex-wrap: wrap;
    gap: 1.5rem;
  }
  .address {
    overflow-wrap: anywhere;
    max-width: 28rem;
  }
</style>
