<script lang="ts">
  import { replace } from "svelte-spa-router";
  import * as texts from "../../texts/access";
  import { lazyApi } from "../../api/lazyApi";
  import { FormState } from "../../parts/formState.svelte";
  import Fault from "../../parts/Fault.svelte";

  /** The page of a scanned code: signs this device in, once. */
  let { params }: { params: { code: string } } = $props();
  const form = new FormState();
  $effect(() => {
    const code = params.code;
    const device = texts.thisDevice(navigator.userAgent);
    void form.act(() => lazyApi.signIn({ code, device })).then((taken) => (taken ? replace("/") : undefined));
  });
</script>

<div class="sheet">
  <h1>{texts.pairing}</h1>
  <Fault text={form.first} />
</div>
