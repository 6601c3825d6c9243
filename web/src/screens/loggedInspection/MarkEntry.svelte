<script lang="ts">
  import SelectField from "../../parts/controls/SelectField.svelte";
  import TextField from "../../parts/controls/TextField.svelte";
  import "./correct.css";
  import * as common from "../../texts/common";
  import * as texts from "../../texts/loggedInspection";
  import { say } from "../../texts/say";
  import { Button } from "carbon-components-svelte";
  import type { Schemas } from "../../api/client";
  import Fault from "../../parts/Fault.svelte";
  import { day, listed, upperFirst } from "../../format/words";
  import type { Correction } from "./correction.svelte";
  import ReasonField from "./ReasonField.svelte";

  /** A mark, changed or struck out in place. */
  let { mark, correction }: { mark: Schemas["LoggedMark"]; correction: Correction } = $props();
</script>

<li class={mark.severity} class:void={mark.void}>
  <div class="row">
    <span
      ><span class="quiet">{upperFirst(mark.place || "vehicle")}:</span>
      {mark.item.toLowerCase()} <strong>{mark.mark}</strong>{mark.simulated ? `, ${texts.simulated}` : ""}{mark.void
        ? `, ${texts.struckOutMark}`
        : ""}</span
    >
    {#if correction.mark !== mark.id}<Button
        size="small"
        kind="ghost"
        aria-label={say(texts.changeMark, {
          place: mark.place,
          toLowerCase: mark.item.toLowerCase(),
        })}
        on:click={() => correction.openMark(mark)}>{common.change}</Button
      >{/if}
  </div>
  {#each mark.corrections as made (made)}<p class="history">
      {listed(day(made.date), made.done_by)}: {made.voids !== null
        ? made.change
        : say(texts.wasEntered, { entered: mark.entered })}. {made.reason}
    </p>{/each}
  {#if correction.mark === mark.id}
    <form class="correct" onsubmit={(event) => (event.preventDefault(), correction.saveMark(mark))} novalidate>
      {#if !mark.void}
        {#if mark.choices.length}<SelectField
            label={texts.whatItIs}
            id="mark"
            bind:value={correction.markId}
            options={mark.choices}
          />
        {:else}<TextField label={texts.value} id="mark" first inputmode="decimal" bind:value={correction.markId} />{/if}
      {/if}
      <ReasonField id="mark-reason" {correction} />
      <div class="row">
        {#if !mark.void}<Button size="field" type="submit">{common.save}</Button>{/if}
        <Button
          size="field"
          kind="danger-tertiary"
          on:click={() => correction.send({ condition: mark.id, void: !mark.void })}
          >{mark.void ? common.restore : texts.strikeItOut}</Button
        >
        <Button size="field" kind="ghost" on:click={correction.close}>{common.cancel}</Button>
      </div>
      <Fault text={correction.form.first} />
    </form>
  {/if}
</li>

<style>
  .stop strong {
    color: var(--stop);
  }
  .plan strong {
    color: var(--plan);
  }
  .void strong {
    text-decoration: line-through 2px;
    color: var(--quiet);
  }
</style>
