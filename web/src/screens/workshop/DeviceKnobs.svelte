<script lang="ts">
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
    <label>
      <span>{setting.label} ({setting.unit})</span>
      <input
        type="number"
        min={setting.least}
        max={setting.most}
        step="any"
        value={setting.value}
        onchange={(event) => change({ settings: { [setting.id]: Number(event.currentTarget.value) } })}
      />
    </label>
  {/each}
  <div class="row">
    <Button size="small" kind="tertiary" on:click={() => change({ connected: !device.connected })}
      >{device.connected ? texts.disconnect : texts.connect}</Button
    >
  </div>
  <Fault text={form.first} />
</article>

<style>
  label {
    display: flex;
    justify-content: space-between;
    gap: 1rem;
    align-items: center;
  }
  input {
    font: inherit;
    font-size: 1.1rem;
    min-height: 44px;
    width: 7rem;
    border: 1px solid var(--quiet);
    background: var(--sheet);
    color: var(--ink);
    padding: 0 0.5rem;
    box-sizing: border-box;
  }
  .off {
    color: var(--plan);
    font-weight: 600;
  }
</style>
