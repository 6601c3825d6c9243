<script lang="ts">
  import SelectField from "../../parts/controls/SelectField.svelte";
  import TextField from "../../parts/controls/TextField.svelte";
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
      <form class="sheet row fields" onsubmit={add} novalidate>
        <TextField
          label={common.yourNameForIt}
          width="long"
          id="name"
          maxlength={60}
          bind:value={name}
          fault={fault("name")}
        />
        <SelectField label={common.kind} id="method" bind:value={method} options={workshop.kinds} />
        <SelectField
          label={texts.toolUnit}
          width="short"
          id="unit"
          bind:value={unit}
          options={["mm", "in", "32nd", "thou", "100th"].map((each) => ({ id: each, label: each }))}
        />
        <TextField label={common.from} id="least" inputmode="decimal" bind:value={least} fault={fault("least")} />
        <TextField label={common.to} id="most" inputmode="decimal" bind:value={most} fault={fault("most")} />
        <TextField
          label={texts.smallestStep}
          id="resolution"
          inputmode="decimal"
          placeholder={unit === "mm" ? String(kind?.resolution_mm ?? "") : ""}
          bind:value={resolution}
          fault={fault("resolution")}
        />
        <TextField
          label={texts.standardUncertainty}
          id="uncertainty"
          inputmode="decimal"
          placeholder={unit === "mm" ? String(kind?.uncertainty_mm ?? "") : ""}
          bind:value={uncertainty}
          fault={fault("uncertainty")}
        />
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
  .wide {
    flex: 1 1 100%;
  }
</style>
