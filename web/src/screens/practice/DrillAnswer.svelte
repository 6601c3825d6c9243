<script lang="ts">
  import RadioGroup from "../../parts/controls/RadioGroup.svelte";
  import TextField from "../../parts/controls/TextField.svelte";
  import * as texts from "../../texts/practice";
  import { say } from "../../texts/say";
  import { Button } from "carbon-components-svelte";
  import type { Schemas } from "../../api/client";
  import Fault from "../../parts/Fault.svelte";

  /** A number typed, one choice, or all of them in order. */
  let {
    drill,
    fault,
    busy,
    answer,
  }: {
    drill: Schemas["Drill"];
    fault: string;
    busy: boolean;
    answer: (given: string | string[]) => unknown;
  } = $props();
  let typed = $state("");
  let chosen = $state("");
  let order = $state<string[]>([]);
  const ready = $derived(
    { number: typed.trim() !== "", choice: chosen !== "", order: order.length === drill.choices.length }[drill.form],
  );
  const given = () => ({ number: typed, choice: chosen, order })[drill.form];
  const place = (id: string) => (order = order.includes(id) ? order.filter((each) => each !== id) : [...order, id]);
</script>

<form
  onsubmit={(event) => {
    event.preventDefault();
    if (ready) answer(given());
  }}
  novalidate
>
  {#if drill.form === "number"}
    <TextField label={texts.yourReading} first inputmode="decimal" bind:value={typed} {fault}>
      {#snippet beside()}{drill.unit}{/snippet}
    </TextField>
  {:else if drill.form === "choice"}
    <RadioGroup legend={texts.answers} unseen options={drill.choices} bind:chosen />
  {:else}
    <ul>
      {#each drill.choices as choice (choice.id)}
        {@const at = order.indexOf(choice.id)}
        <li>
          <button type="button" class="step" aria-pressed={at >= 0} onclick={() => place(choice.id)}>
            <span class="at number" aria-label={at >= 0 ? say(texts.place, { at: at + 1 }) : texts.noPlace}
              >{at >= 0 ? at + 1 : "·"}</span
            >
            {choice.label}
          </button>
        </li>
      {/each}
    </ul>
  {/if}
  {#if drill.form !== "number"}<Fault text={fault} />{/if}
  <Button type="submit" size="field" kind="tertiary" disabled={!ready || busy}>{texts.check}</Button>
</form>

<style>
  form {
    display: grid;
    gap: 0.75rem;
    justify-items: start;
  }
  ul {
    list-style: none;
    margin: 0;
    padding: 0;
    display: grid;
    gap: 0.35rem;
  }
  .step {
    font: inherit;
    color: inherit;
    background: none;
    border: 1px solid var(--line);
    min-height: 48px;
    padding: 0.25rem 0.75rem;
    display: flex;
    gap: 0.75rem;
    align-items: center;
    text-align: left;
    width: min(44rem, 100%);
  }
  .step[aria-pressed="true"] {
    border-color: var(--petrol);
  }
  .at {
    font-weight: 700;
    min-width: 1.25rem;
  }
</style>
