<script lang="ts">
  import PlainButton from "../../parts/controls/PlainButton.svelte";
  import TextField from "../../parts/controls/TextField.svelte";
  import Problem from "../../parts/Problem.svelte";
  import * as texts from "../../texts/backups";
  import { say } from "../../texts/say";
  import { lazyApi } from "../../api/lazyApi";
  import { Refusal } from "../../api/client";

  /** A new backup in one file, locked with a passphrase. made: there is one backup more. */
  let { made }: { made: () => unknown } = $props();
  let passphrase = $state("");
  let fault = $state("");
  let failed = $state.raw<unknown>(null);
  let said = $state("");
  let busy = $state(false);

  async function encrypt() {
    [busy, fault, failed, said] = [true, "", null, ""];
    try {
      const copy = await lazyApi.encryptBackup(passphrase);
      const link = document.createElement("a");
      link.href = URL.createObjectURL(copy);
      link.download = `graver-${new Date().toISOString().slice(0, 10)}-encrypted.zip`;
      link.click();
      setTimeout(() => URL.revokeObjectURL(link.href), 60_000);
      said = say(texts.encryptedMade, { name: link.download });
      passphrase = "";
      await made();
    } catch (error) {
      fault = error instanceof Refusal ? (error.faults[0]?.message ?? "") : "";
      failed = fault ? null : error;
    } finally {
      busy = false;
    }
  }
</script>

<section class="stack" aria-labelledby="encrypted-copy">
  <h2 id="encrypted-copy">{texts.encrypted}</h2>
  <p>{texts.encryptedWhat}</p>
  {#if failed}<Problem error={failed} />{/if}
  <form class="row end" onsubmit={(event) => (event.preventDefault(), void encrypt())}>
    <TextField
      label={texts.passphrase}
      type="password"
      autocomplete="new-password"
      width="long"
      bind:value={passphrase}
      {fault}
      placeholder={texts.passphraseHint}
    />
    <PlainButton type="submit" disabled={busy || !passphrase}>{texts.encrypt}</PlainButton>
  </form>
  <p role="status">{said}</p>
</section>

<style>
  section {
    border-top: 1px solid var(--line);
    margin-top: 1.5rem;
    padding-top: 1rem;
  }
  h2,
  p {
    margin: 0;
  }
  .end {
    align-items: end;
  }
</style>
