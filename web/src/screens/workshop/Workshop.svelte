<script lang="ts">
  import { Button } from "carbon-components-svelte";
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
        api.wrenches(),
        api.devices(),
        api.tools(),
        api.shelf(),
        api.catalogue(),
      ]);
      return { workshop, wrenches, devices, tools, shelf, today };
    });
  load();

  let adding = $state(false);
  let name = $state("");
  let method = $state("caliper");
  let unit = $state("mm");
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
      await api.addInstrument({
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

<svelte:head><title>Workshop - Graver</title></svelte:head>
{#if loaded.error}<Problem error={loaded.error} />{/if}
{#if loaded.value}
  {@const { workshop, wrenches, devices, tools, shelf, today } = loaded.value}
  <div class="stack">
    <div class="row spread">
      <h1>Workshop</h1>
      {#if !adding}<Button size="field" on:click={() => (adding = true)}>Add a measuring tool</Button>{/if}
    </div>
    {#if adding}
      <form class="sheet form" onsubmit={add} novalidate>
        <div class="field wide">
          <label for="name">Name you know it by</label><input
            id="name"
            class="text"
            maxlength="60"
            autocomplete="off"
            bind:value={name}
            aria-invalid={!!fault("name")}
          />
        </div>
        <div class="field">
          <label for="method">Kind</label><select id="method" bind:value={method}
            >{#each workshop.kinds as each (each.id)}<option value={each.id}>{each.label}</option>{/each}</select
          >
        </div>
        <div class="field">
          <label for="unit">It reads in</label><select id="unit" bind:value={unit}
            >{#each ["mm", "in", "32nd", "thou", "100th"] as each (each)}<option value={each}>{each}</option
              >{/each}</select
          >
        </div>
        <div class="field">
          <label for="least">From</label><input
            id="least"
            inputmode="decimal"
            autocomplete="off"
            bind:value={least}
            aria-invalid={!!fault("least")}
          />
        </div>
        <div class="field">
          <label for="most">To</label><input
            id="most"
            inputmode="decimal"
            autocomplete="off"
            bind:value={most}
            aria-invalid={!!fault("most")}
          />
        </div>
        <div class="field">
          <label for="resolution">Smallest step</label><input
            id="resolution"
            inputmode="decimal"
            autocomplete="off"
            placeholder={unit === "mm" ? String(kind?.resolution_mm ?? "") : ""}
            bind:value={resolution}
            aria-invalid={!!fault("resolution")}
          />
        </div>
        <div class="field">
          <label for="uncertainty">Standard uncertainty</label><input
            id="uncertainty"
            inputmode="decimal"
            autocomplete="off"
            placeholder={unit === "mm" ? String(kind?.uncertainty_mm ?? "") : ""}
            bind:value={uncertainty}
            aria-invalid={!!fault("uncertainty")}
          />
        </div>
        <p class="quiet wide">
          Leave open what you do not know: the usual figure of its kind is then taken. A maker's “± 0.03” is a standard
          uncertainty of 0.017 (divided by the square root of three, JCGM 100).
        </p>
        {#if form.refused}<div class="wide">
            {#each form.refused.faults as each (each.field)}<Fault
                text="{upperFirst(each.field)}: {each.message}"
              />{/each}
          </div>{/if}
        <div class="row">
          <Button type="submit" size="field">Add it</Button><Button
            kind="ghost"
            size="field"
            on:click={() => (adding = false)}>Cancel</Button
          >
        </div>
      </form>
    {/if}
    {#if workshop.instruments.length === 0 && !adding}
      <div class="sheet stack">
        <h2>No measuring tools yet</h2>
        <p>
          Without a tool of your own every reading is taken to be as good as is usual for its kind. Add your caliper or
          micrometer, check its zero now and then, and Graver says what a bad zero has done to your readings, and takes
          it out of them.
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
        <summary>Archived</summary>
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
      <h2>On the bench</h2>
      {#if devices.length}
        <p class="quiet">
          Devices that send their value into the walk-round. These are simulated: choose one there, press <kbd>z</kbd>,
          and try here what noise, a wrong zero or a dropped line does. What they send is made up, stays labelled, and
          never counts on a vehicle of your own.
        </p>
      {:else}
        <p class="quiet">
          No device is connected. To try simulated ones, start Graver with <code>bin/serve --simulated-devices</code>,
          or look at the demo.
        </p>
      {/if}
      <div class="tools">
        {#each devices as device (device.id)}<DeviceKnobs {device} onchange={load} />{/each}
      </div>
    </section>
  </div>
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
