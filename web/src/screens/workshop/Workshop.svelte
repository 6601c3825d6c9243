<script lang="ts">
  import { usualUnit } from "../../format/units";
  import Skeleton from "../../parts/Skeleton.svelte";
  import * as common from "../../texts/common";
  import * as texts from "../../texts/workshop";
  import { Button } from "carbon-components-svelte";
  import { lazyApi } from "../../api/lazyApi";
  import { api, type Schemas } from "../../api/client";
  import DeviceKnobs from "./DeviceKnobs.svelte";
  import InstrumentCard from "./InstrumentCard.svelte";
  import OwnedTools from "./OwnedTools.svelte";
  import Problem from "../../parts/Problem.svelte";
  import Shelf from "./Shelf.svelte";
  import TorqueWrenches from "./TorqueWrenches.svelte";
  import { upperFirst } from "../../format/words";
  import { Loader } from "../../parts/loader.svelte";
  import { FormState } from "../../parts/formState.svelte";
  import Fault from "../../parts/Fault.svelte";

  const loaded = new Loader<{
    workshop: Schemas["Workshop"];
    wrenches: Schemas["TorqueWrench"][];
    devices: Schemas["Device"][];
    tools: Schemas["Tool"][];
    shelf: Schemas["Shelf"];
    today: string;
  }>();
  const load = () =>
    loaded.load(async () => {
      const [workshop, { wrenches }, { devices }, { tools }, shelf, { today }] = await Promise.all([
        api.instruments(),
        lazyApi.wrenches(),
        api.devices(),
        lazyApi.tools(),
        lazyApi.shelf(),
        api.catalogue(),
      ]);
      return { workshop, wrenches, devices, tools, shelf, today };
    });
  load();

  let adding = $state(false);
  let name = $state("");
  let method = $state("caliper");
  let unit = $state<string>(usualUnit(["mm", "in"]));
  let least = $state("");
  let most = $state("");
  let resolution = $state("");
  let uncertainty = $state("");
  const form = new FormState();
  const fault = form.fault;
  const kind = $derived(loaded.value?.workshop.kinds.find((each) => each.id === method));

  async function add(event: SubmitEvent) {
    event.preventDefault();
    const text = (value: string) => value.trim() || null;
    await form.act(async () => {
      await lazyApi.addInstrument({
        name,
        method,
        unit,
        least: text(least),
        most: text(most),
        resolution: text(resolution),
        uncertainty: text(uncertainty),
      });
      [name, least, most, resolution, uncertainty, adding] = ["", "", "", "", "", false];
      await load();
    });
  }
</script>

<svelte:head><title>{texts.workshopGraver}</title></svelte:head>
{#if loaded.error}<Problem error={loaded.error} />{/if}
{#if loaded.value}
  {@const { workshop, wrenches, devices, tools, shelf, today } = loaded.value}
  <div class="stack">
    <div class="row spread">
      <h1>{common.workshop}</h1>
      {#if !adding}<Button size="field" on:click={() => (adding = true)}>{texts.addAMeasuringTool}</Button>{/if}
    </div>
    {#if adding}
      <form class="sheet form" onsubmit={add} novalidate>
        <div class="field wide">
          <label for="name">{common.yourNameForIt}</label><input
            id="name"
            class="text"
            maxlength="60"
            autocomplete="off"
            bind:value={name}
            aria-invalid={!!fault("name")}
          />
        </div>
        <div class="field">
          <label for="method">{common.kind}</label><select id="method" bind:value={method}
            >{#each workshop.kinds as each (each.id)}<option value={each.id}>{each.label}</option>{/each}</select
          >
        </div>
        <div class="field">
          <label for="unit">{texts.toolUnit}</label><select id="unit" bind:value={unit}
            >{#each ["mm", "in", "32nd", "thou", "100th"] as each (each)}<option value={each}>{each}</option
              >{/each}</select
          >
        </div>
        <div class="field">
          <label for="least">{common.from}</label><input
            id="least"
            inputmode="decimal"
            autocomplete="off"
            bind:value={least}
            aria-invalid={!!fault("least")}
          />
        </div>
        <div class="field">
          <label for="most">{common.to}</label><input
            id="most"
            inputmode="decimal"
            autocomplete="off"
            bind:value={most}
            aria-invalid={!!fault("most")}
          />
        </div>
        <div class="field">
          <label for="resolution">{texts.smallestStep}</label><input
            id="resolution"
            inputmode="decimal"
            autocomplete="off"
            placeholder={unit === "mm" ? String(kind?.resolution_mm ?? "") : ""}
            bind:value={resolution}
            aria-invalid={!!fault("resolution")}
          />
        </div>
        <div class="field">
          <label for="uncertainty">{texts.standardUncertainty}</label><input
            id="uncertainty"
            inputmode="decimal"
            autocomplete="off"
            placeholder={unit === "mm" ? String(kind?.uncertainty_mm ?? "") : ""}
            bind:value={uncertainty}
            aria-invalid={!!fault("uncertainty")}
          />
        </div>
        <p class="quiet wide">
          {texts.leaveOpenWhatYouDo}
        </p>
        {#if form.refused}<div class="wide">
            {#each form.refused.faults as each (each.field)}<Fault
                text="{upperFirst(each.field)}: {each.message}"
              />{/each}
          </div>{/if}
        <div class="row">
          <Button type="submit" size="field">{texts.addTool}</Button><Button
            kind="ghost"
            size="field"
            on:click={() => (adding = false)}>{common.cancel}</Button
          >
        </div>
      </form>
    {/if}
    {#if workshop.instruments.length === 0 && !adding}
      <div class="sheet stack">
        <h2>{texts.noMeasuringToolsYet}</h2>
        <p>
          {texts.withoutAToolOfYour}
        </p>
      </div>
    {/if}
    <div class="tools">
      {#each workshop.instruments.filter((each) => !each.retired) as instrument (instrument.id)}<InstrumentCard
          {instrument}
          {today}
          onchange={load}
        />{/each}
    </div>
    {#if workshop.instruments.some((each) => each.retired)}
      <details>
        <summary>{texts.archived}</summary>
        <div class="tools">
          {#each workshop.instruments.filter((each) => each.retired) as instrument (instrument.id)}<InstrumentCard
              {instrument}
              {today}
              onchange={load}
            />{/each}
        </div>
      </details>
    {/if}
    <TorqueWrenches {wrenches} {today} onchange={load} />
    <OwnedTools {tools} onchange={load} />
    <Shelf {shelf} onchange={load} />
    <section>
      <h2>{texts.connectedDevices}</h2>
      {#if devices.length}
        <p class="quiet">
          {texts.simulatedDevicesIntro} <kbd>z</kbd>. {texts.simulatedDevicesNote}
        </p>
      {:else}
        <p class="quiet">
          {texts.noDeviceNote} <code>bin/serve --simulated-devices</code>. {texts.lookAtDemo}
        </p>
      {/if}
      <div class="tools">
        {#each devices as device (device.id)}<DeviceKnobs {device} onchange={load} />{/each}
      </div>
    </section>
  </div>
{:else if loaded.loading}
  <Skeleton />
{/if}

<style>
  .tools {
    display: grid;
    grid-template-columns: repeat(auto-fill, minmax(min(22rem, 100%), 1fr));
    gap: 1rem;
    align-items: start;
    margin-top: 0.5rem;
  }
  .form {
    display: flex;
    flex-wrap: wrap;
    gap: 0.75rem;
    align-items: end;
  }
  .field label {
    display: block;
    font-weight: 600;
  }
  .field input,
  .field select {
    font: inherit;
    font-size: 1.05rem;
    min-height: 48px;
    width: 8.5rem;
    border: 1px solid var(--quiet);
    background: var(--sheet);
    color: var(--ink);
    padding: 0 0.5rem;
    box-sizing: border-box;
  }
  .field select {
    width: 11rem;
  }
  .wide {
    flex: 1 1 100%;
  }
  .field .text {
    width: min(24rem, 100%);
  }
  .field input[aria-invalid="true"] {
    border-color: var(--stop);
    box-shadow: 0 0 0 1px var(--stop);
  }
  summary {
    cursor: pointer;
    color: var(--petrol);
    min-height: 48px;
  }
</style>
