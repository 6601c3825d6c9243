<script lang="ts">
  import FileButton from "../../parts/controls/FileButton.svelte";
  import PlainButton from "../../parts/controls/PlainButton.svelte";
  import Skeleton from "../../parts/Skeleton.svelte";
  import * as texts from "../../texts/backups";
  import { say } from "../../texts/say";
  import { Button } from "carbon-components-svelte";
  import { lazyApi } from "../../api/lazyApi";
  import { Refusal, type Schemas } from "../../api/client";
  import TextField from "../../parts/controls/TextField.svelte";
  import EncryptedCopy from "./EncryptedCopy.svelte";
  import OpenFormat from "./OpenFormat.svelte";
  import Problem from "../../parts/Problem.svelte";
  import { Loader } from "../../parts/loader.svelte";
  import { day } from "../../format/words";

  /** Backups of the household: list, make and restore. */
  const loaded = new Loader<Schemas["Backups"]>();
  loaded.load(lazyApi.backups);
  const backups = $derived(loaded.value?.backups ?? []);
  const newest = $derived(loaded.value?.may_restore ? backups.find((backup) => backup.archive) : undefined);
  let said = $state("");
  let failed = $state<unknown>(null);
  let busy = $state(false);

  /** An encrypted copy that waits for its passphrase. */
  let locked = $state.raw<File | null>(null);
  let passphrase = $state("");
  let refused = $state("");
  async function add(file: File) {
    [locked, passphrase, refused] = [null, "", ""];
    if (file.name.endsWith(".zip")) locked = file;
    else await act(() => lazyApi.addBackup(file), texts.added);
  }
  async function unlock() {
    await act(() => lazyApi.addBackup(locked!, passphrase), texts.added);
    const fault = failed instanceof Refusal ? failed.faults.find(({ field }) => field === "passphrase") : undefined;
    refused = fault?.message ?? "";
    if (fault) failed = null;
    else locked = null;
  }

  const moment = (iso: string) =>
    `${day(iso.slice(0, 10))}, ${new Date(iso).toLocaleTimeString("en-GB", { hour: "2-digit", minute: "2-digit" })}`;

  const size = (bytes: number) =>
    bytes < 1e6
      ? say(texts.kilobytes, { count: Math.ceil(bytes / 1000) })
      : say(texts.megabytes, { count: (bytes / 1e6).toFixed(bytes < 1e7 ? 1 : 0) });

  async function act(action: () => Promise<Schemas["Backups"]>, done: string) {
    busy = true;
    try {
      const answer = await action();
      await loaded.load(() => Promise.resolve(answer));
      [said, failed] = [done, null];
    } catch (error) {
      failed = error;
    } finally {
      busy = false;
    }
  }
</script>

<svelte:head><title>{texts.title}</title></svelte:head>

{#if loaded.error ?? failed}<Problem error={loaded.error ?? failed} />{/if}
{#if loaded.value}
  <div class="sheet stack">
    <h1>{texts.backups}</h1>
    <p class="last">{backups[0] ? say(texts.lastGood, { when: moment(backups[0].made_at) }) : texts.none}</p>
    <p>{texts.what}</p>
    {#if loaded.value.folder}<p class="folder">{texts.kept} <code>{loaded.value.folder}</code></p>{/if}
    <p>{loaded.value.may_restore ? texts.whatRestores : texts.onlyThere}</p>
    <div class="row">
      <Button disabled={busy} on:click={() => act(lazyApi.makeBackup, texts.made)}>{texts.makeNow}</Button>
      {#if loaded.value.may_restore}
        <FileButton
          label={texts.add}
          accept=".tar,.zip,application/x-tar,application/zip"
          disabled={busy}
          pick={(files) => add(files[0]!)}
        />
      {/if}
      {#if said}<p role="status">
          {said}
          {#if said === texts.made && newest}<a href="/api/v1/backups/{newest.name}" download>{texts.saveThisOne}</a
            >{/if}
        </p>{/if}
    </div>
    {#if locked}
      <form class="row end" onsubmit={(event) => (event.preventDefault(), unlock())}>
        <TextField
          label={say(texts.locked, { name: locked.name })}
          type="password"
          autocomplete="off"
          width="long"
          first
          bind:value={passphrase}
          fault={refused}
        />
        <PlainButton type="submit" disabled={busy || !passphrase}>{texts.unlock}</PlainButton>
      </form>
    {/if}
    {#if backups.length}
      <table>
        <thead><tr><th>{texts.when}</th><th>{texts.why}</th><th class="figure">{texts.size}</th><th></th></tr></thead>
        <tbody
          >{#each backups as backup (backup.name)}
            {@const when = moment(backup.made_at)}
            <tr>
              <td>{when}</td>
              <td>{backup.occasion}</td>
              <td class="figure number">{size(backup.bytes)}</td>
              <td>
                {#if loaded.value.may_restore}
                  <span class="row">
                    <PlainButton
                      look="link"
                      disabled={busy}
                      aria-label={say(texts.restoreLabel, { when })}
                      onclick={() => act(() => lazyApi.restoreBackup(backup.name), say(texts.restored, { when }))}
                      >{texts.restore}</PlainButton
                    >
                    {#if backup.archive}<a
                        href="/api/v1/backups/{backup.name}"
                        download
                        aria-label={say(texts.saveLabel, { when })}>{texts.save}</a
                      >{/if}
                  </span>
                {/if}
              </td>
            </tr>
          {/each}</tbody
        >
      </table>
    {/if}
    {#if loaded.value.may_restore}<EncryptedCopy made={() => loaded.load(lazyApi.backups)} />{/if}
    {#if loaded.value.may_restore}<OpenFormat imported={() => loaded.load(lazyApi.backups)} />{/if}
  </div>
{:else if loaded.loading}
  <Skeleton />
{/if}

<style>
  .last {
    font-size: 1.25rem;
    font-weight: 600;
  }
  .folder {
    overflow-wrap: anywhere;
  }
  th,
  td {
    text-align: left;
    padding: 0.5rem 1.5rem 0.5rem 0;
    border-top: 1px solid var(--line);
  }
  thead th {
    border-top: 0;
    color: var(--quiet);
    font-weight: 400;
  }
  .figure {
    text-align: right;
  }
</style>
