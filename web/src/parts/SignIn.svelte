<script lang="ts">
  import TextField from "./controls/TextField.svelte";
  import * as texts from "../texts/access";
  import { atDevice } from "./atDevice.svelte";
  import { FormState } from "./formState.svelte";

  /** In front of everything on a device that is not signed in. */
  let { entered }: { entered: () => void } = $props();
  let passphrase = $state("");
  let person = $state("");
  const form = new FormState();

  async function enter(event: SubmitEvent) {
    event.preventDefault();
    if (await form.act(() => atDevice.signIn({ passphrase, person, device: texts.thisDevice(navigator.userAgent) })))
      entered();
  }
</script>

<!-- A code scanned while this is shown still pairs the device. -->
<svelte:window onhashchange={() => location.hash.startsWith("#/pair/") && entered()} />
<form class="sheet" onsubmit={enter} novalidate>
  <h1>{texts.signIn}</h1>
  <p>{texts.signInHint}</p>
  <TextField
    label={texts.passphrase}
    type="password"
    autocomplete="current-password"
    bind:value={passphrase}
    fault={form.fault("person") ? "" : form.first}
  />
  <TextField
    label={texts.yourName}
    autocomplete="given-name"
    maxlength={40}
    bind:value={person}
    fault={form.fault("person")}
  />
  <button type="submit" class="main-action" disabled={form.busy || !passphrase}>{texts.signIn}</button>
</form>

<style>
  form {
    display: grid;
    gap: 0.75rem;
    max-width: 24rem;
    margin: 2rem auto;
  }
  p {
    margin: 0;
  }
  button {
    border: 0;
  }
</style>
