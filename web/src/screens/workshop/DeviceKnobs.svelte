<script lang="ts">
  import TextField from "../../parts/controls/TextField.svelte";
  import * as texts from "../../texts/workshop";
  import { Button } from "carbon-components-svelte";
  import { lazyApi } from "../../api/lazyApi";
  import type { Schemas } from "../../api/client";
  import { FormState } from "../../parts/formState.svelte";
  import Fault from "../../parts/Fault.svelte";

  /** A simulated device and what can be dialled in. */
  let { device, onchange }: { device: Schemas["Device"]; onchange: () => void } = $props();
  const form = new FormState();

  async function change(what: Schemas["DeviceChange"]) {
    if (await form.act(() => lazyApi.changeDevice(device.id, what))) onchange();
  }
</script>

<article class="sheet stack" aria-label={device.label}>
  <div class="row spread">
    <h3>{device.label}</h3>
    <span class:off={!device.connected}>{device.connected ? texts.connected : texts.notConnected}</span>
  </div>
  {#each device.settings as setting (setting.id)}
    <TextField
      label="{setting.label} ({setting.unit})"
      type="number"
      min={setting.least}
      max={setting.most}
      step="any"
      value={setting.value}
      onchange={(event) => change({ settings: { [setting.id]: Number(event.currentTarget.value) } })}
    />
  {/each}
  <div class="row">
    <Button size="small" kind="tertiary" on:click={() => change({ connected: !device.connected })}
      >{device.connected ? texts.disconnect : texts.connect}</Button
    >
  </div>
  <Fault text={form.first} />
</article>

<style>
  .off {
    color: var(--plan);
    font-weight: 600;
  }
</style>
