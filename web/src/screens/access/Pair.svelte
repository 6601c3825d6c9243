<script lang="ts">
  import { replace } from "svelte-spa-router";
  import * as texts from "../../texts/access";
  import { atDevice } from "../../parts/atDevice.svelte";
  import { FormState } from "../../parts/formState.svelte";
  import Fault from "../../parts/Fault.svelte";
  import PersonField from "../../parts/PersonField.svelte";

  /** The page of a scanned code: signs this device in, once, and asks who uses it. */
  let { params }: { params: { code: string } } = $props();
  const form = new FormState();
  let asked = $state(false);
  const enter = () => void replace("/");
  $effect(() => {
    const code = params.code;
    const device = texts.thisDevice(navigator.userAgent);
    void form.act(async () => {
      if (await atDevice.signIn({ code, device })) enter();
      else asked = true;
    });
  });
</script>

<div class="sheet stack">
  <h1>{asked ? texts.paired : texts.pairing}</h1>
  <Fault text={form.first} />
  {#if asked}
    <p>{texts.whoUsesIt}</p>
    <PersonField first saved={enter} />
    <p><a href="#/">{texts.withoutAName}</a></p>
  {/if}
</div>
