<script lang="ts">
  import PlainButton from "../../parts/controls/PlainButton.svelte";
  import { onDestroy } from "svelte";
  import * as texts from "../../texts/atTheCar";
  import { say } from "../../texts/say";
  import { lazyApi } from "../../api/lazyApi";
  import type { Schemas } from "../../api/client";
  import { FormState } from "../../parts/formState.svelte";
  import Fault from "../../parts/Fault.svelte";
  import { spoken } from "./aloud";

  /** Has the connected unit do it, and waits for the end it announces: later than the motors fall silent. */
  interface Props {
    unit: Schemas["Device"];
    job: number;
    step: string;
    action: NonNullable<Schemas["JobStep"]["acts"]>;
  }
  let { unit, job, step, action }: Props = $props();
  const form = new FormState();
  let left = $state<number | null>(null);
  let simulated = $state(false);
  let timer: ReturnType<typeof setInterval> | undefined;

  async function start() {
    left = null;
    await form.act(async () => {
      const done = await lazyApi.scanToolAction(job, { step, device: unit.id });
      simulated = done.simulated;
      const ends = Date.now() + done.seconds * 1000;
      left = done.seconds;
      clearInterval(timer);
      timer = setInterval(() => {
        left = Math.max(0, Math.ceil((ends - Date.now()) / 1000));
        if (left > 0) return;
        clearInterval(timer);
        spoken(texts.scanToolDone);
      }, 250);
    });
  }
  onDestroy(() => clearInterval(timer));
</script>

<div class="unit">
  <PlainButton disabled={form.busy || (left !== null && left > 0)} onclick={start}
    >{say(texts.scanToolAction, { action: texts.ACTIONS[action], unit: unit.label })}</PlainButton
  >
  {#if left !== null}
    <p role="status">
      {#if left > 0}{texts.scanToolRunning} <strong class="number">{left} s</strong>{:else}<strong
          >{texts.scanToolDone}</strong
        >{/if}
      {#if simulated}<span class="quiet">{texts.simulatedScanTool}</span>{/if}
    </p>
  {/if}
  <Fault text={form.refused ? form.first : ""} />
</div>

<style>
  .unit {
    display: grid;
    gap: 0.5rem;
  }
  p {
    margin: 0;
  }
</style>
