<script lang="ts">
  import SelectField from "../../parts/controls/SelectField.svelte";
  import TextField from "../../parts/controls/TextField.svelte";
  import { usualUnit } from "../../format/units";
  import { undo } from "../../parts/undo.svelte";
  import * as undos from "../../texts/undo";
  import * as common from "../../texts/common";
  import * as texts from "../../texts/workshop";
  import { say } from "../../texts/say";
  import { Button } from "carbon-components-svelte";
  import { lazyApi } from "../../api/lazyApi";
  import type { Schemas } from "../../api/client";
  import { day, upperFirst } from "../../format/words";
  import { FormState } from "../../parts/formState.svelte";
  import Fault from "../../parts/Fault.svelte";

  /** Torque wrenches of the household: a job picks among them. */
  let { wrenches, today, onchange }: { wrenches: Schemas["TorqueWrench"][]; today: string; onchange: () => void } =
    $props();
  const blank = { name: "", least: "", most: "", graduation: "", length_mm: "", calibrated_on: "" };
  let adding = $state(false);
  let unit = $state<string>(usualUnit(["N·m", "lbf·ft", "lbf·in"]));
  let typed = $state({ ...blank });
  const form = new FormState();
  const fault = form.fault;
  const fields: [keyof typeof blank, string][] = [
    ["least", common.from],
    ["most", common.to],
    ["graduation", texts.smallestStep],
    ["length_mm", texts.lengthDriveToGripMm],
  ];

  const act = async (action: () => Promise<unknown>) => (await form.act(action)) && (onchange(), true);

  async function archive(wrench: Schemas["TorqueWrench"]) {
    if (await act(() => lazyApi.changeWrench(wrench.id, { retired: true }, wrench.revision)))
      undo.offer(say(undos.nameArchived, { name: wrench.name }), async () => {
        await lazyApi.changeWrench(wrench.id, { retired: false });
        onchange();
      });
  }
  async function add(event: SubmitEvent) {
    event.preventDefault();
    if (await act(() => lazyApi.addWrench({ ...typed, unit }))) [typed, adding] = [{ ...blank }, false];
  }
</script>

<section class="stack">
  <div class="row spread">
    <h2>{texts.torqueWrenches}</h2>
    {#if !adding}<Button size="small" kind="tertiary" on:click={() => (adding = true)}>{texts.addATorqueWrench}</Button
      >{/if}
  </div>
  {#if adding}
    <form class="sheet row fields" onsubmit={add} novalidate>
      <TextField
        label={common.yourNameForIt}
        width="long"
        id="wrench-name"
        maxlength={60}
        bind:value={typed.name}
        fault={fault("name")}
      />
      <SelectField
        label={texts.wrenchUnit}
        width="short"
        id="wrench-unit"
        bind:value={unit}
        options={["N·m", "lbf·ft", "lbf·in"].map((each) => ({ id: each, label: each }))}
      />
      {#each fields as [key, label] (key)}
        <TextField {label} id="wrench-{key}" inputmode="decimal" bind:value={typed[key]} fault={fault(key)} />
      {/each}
      <TextField
        label={texts.lastCalibrated}
        id="wrench-day"
        type="date"
        max={today}
        bind:value={typed.calibrated_on}
        fault={fault("calibrated_on")}
      />
      <p class="quiet wide">
        {texts.wrenchNote}
      </p>
      {#if form.refused}<div class="wide">
          {#each form.refused.faults as each (each.field)}<Fault
              text="{upperFirst(each.field.replace('_mm', '').replace('_', ' '))}: {each.message}"
            />{/each}
        </div>{/if}
      <div class="row">
        <Button type="submit" size="field">{texts.addWrench}</Button><Button
          kind="ghost"
          size="field"
          on:click={() => (adding = false)}>{common.cancel}</Button
        >
      </div>
    </form>
  {/if}
  {#if wrenches.some((each) => !each.retired)}
    <div class="scroll">
      <table>
        <thead
          ><tr
            ><th>{texts.wrench}</th><th>{texts.range}</th><th>{common.steps}</th><th>{texts.length}</th><th
              >{texts.calibrated}</th
            ><th><span class="sr">{texts.whatToDo}</span></th></tr
          ></thead
        >
        <tbody>
          {#each wrenches.filter((each) => !each.retired) as wrench (wrench.id)}
            <tr>
              <th scope="row">{wrench.name}</th>
              <td>{say(texts.leastToMostUnit, { least: wrench.least, most: wrench.most, unit: wrench.unit })}</td>
              <td>{wrench.graduation} {wrench.unit}</td>
              <td>{wrench.length_mm ? say(texts.lengthMm, { lengthMm: wrench.length_mm }) : "?"}</td>
              <td>{wrench.calibrated_on ? day(wrench.calibrated_on) : texts.neverCalibrated}</td>
              <td>
                <Button
                  size="small"
                  kind="ghost"
                  on:click={() => act(() => lazyApi.changeWrench(wrench.id, { calibrated_on: today }, wrench.revision))}
                  >{texts.calibratedToday}</Button
                >
                <Button size="small" kind="ghost" on:click={() => archive(wrench)}>{texts.archive}</Button>
              </td>
            </tr>
          {/each}
        </tbody>
      </table>
    </div>
  {:else if !adding}
    <p class="quiet">
      {texts.noneYetWithYourWrenches}
    </p>
  {/if}
  {#each wrenches.filter((each) => each.retired) as wrench (wrench.id)}
    <p class="quiet">
      {say(texts.nameIsArchived, { name: wrench.name })}
      <Button
        size="small"
        kind="ghost"
        on:click={() => act(() => lazyApi.changeWrench(wrench.id, { retired: false }, wrench.revision))}
        >{common.restore}</Button
      >
    </p>
  {/each}
</section>

<style>
  .wide {
    flex: 1 1 100%;
  }
</style>
