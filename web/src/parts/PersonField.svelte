<script lang="ts">
  import TextField from "./controls/TextField.svelte";
  import * as texts from "../texts/access";
  import { Button } from "carbon-components-svelte";
  import { atDevice } from "./atDevice.svelte";
  import { FormState } from "./formState.svelte";

  /** The name of who uses this device. */
  let { first = false, saved }: { first?: boolean; saved?: () => void } = $props();
  const form = new FormState();
  let name = $state(atDevice.person ?? "");
  let done = $state(false);

  async function keep(event: SubmitEvent) {
    event.preventDefault();
    done = await form.act(() => atDevice.name(name));
    if (done) saved?.();
  }
</script>

<form class="row" onsubmit={keep} novalidate>
  <TextField
    label={texts.yourName}
    {first}
    autocomplete="given-name"
    maxlength={40}
    bind:value={name}
    fault={form.fault("person")}
    oninput={() => (done = false)}
  />
  <Button type="submit" size="field" kind={first ? "primary" : "tertiary"} disabled={form.busy}>{texts.saveName}</Button
  >
  {#if done}<span role="status">{texts.nameSaved}</span>{/if}
</form>

<style>
  form {
    align-items: end;
  }
  span {
    padding-bottom: 0.6rem;
  }
</style>
