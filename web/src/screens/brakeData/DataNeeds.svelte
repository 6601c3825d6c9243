<script lang="ts">
  import SelectField from "../../parts/controls/SelectField.svelte";
  import PlainButton from "../../parts/controls/PlainButton.svelte";
  import * as texts from "../../texts/brakeData";
  import { say } from "../../texts/say";
  import { Button } from "carbon-components-svelte";
  import { lowerFirst } from "../../format/words";
  import type { BrakeData } from "./brakeData.svelte";

  /** The effects of gaps, and proposals to fill them: typical values, another axle's. */
  let { form, show }: { form: BrakeData; show: (key: string) => void } = $props();
  const data = $derived(form.data!);
  let from = $state("");
</script>

<section class="sheet needs" aria-label={texts.missingData}>
  {#each data.needs as need (need.id)}
    {@const gaps = form.gaps(need.id)}
    <div class="need">
      <strong>{need.label}</strong>
      <span class="bar" aria-hidden="true"
        >{#each { length: need.of }, at (at)}<i class:full={at < need.known}></i>{/each}</span
      >
      <span class="quiet">
        {#if gaps.length === 0}{say(texts.allOfKnown, { of: need.of })}{:else}{say(texts.knownOfOfKnownWants, {
            known: need.known,
            of: need.of,
          })}
          {#each gaps.slice(0, 4) as gap, at (gap.key)}{at ? ", " : " "}<PlainButton
              look="link"
              onclick={() => show(gap.key)}>{lowerFirst(gap.label)}</PlainButton
            >{/each}{gaps.length > 4 ? ` ${say(texts.moreCount, { value: gaps.length - 4 })}` : ""}{/if}
      </span>
    </div>
  {/each}
  <div class="row fill">
    <Button size="small" kind="tertiary" on:click={() => form.propose("template")}>{texts.suggestTypicalValues}</Button>
    {#if data.others.length}
      <SelectField
        label={texts.copyFrom}
        bind:value={from}
        options={[
          { id: "", label: texts.anotherAxle },
          ...data.others.map((other) => ({ id: String(other.id), label: other.label })),
        ]}
        onchoose={() => from && form.propose(from)}
      />
    {/if}
  </div>
  {#if form.proposed.length}
    <div class="row proposals">
      <p>
        <strong>{say(texts.proposedCount, { count: form.proposed.length })}.</strong>
        {texts.proposedNote}{#if form.leftOut.length}
          {say(texts.notCopied, { leftOut: form.leftOut.join(", ") })}{/if}
      </p>
      <Button size="small" on:click={() => form.acceptAll()}
        >{say(texts.saveAllCount, { count: form.proposed.length })}</Button
      >
      <Button size="small" kind="ghost" on:click={() => form.dismiss()}>{texts.cancelProposed}</Button>
    </div>
  {/if}
</section>

<style>
  .needs {
    display: grid;
    gap: 0.6rem;
  }
  .need {
    display: grid;
    grid-template-columns: 1fr auto;
    gap: 0.25rem 1rem;
    align-items: center;
  }
  .need .quiet {
    grid-column: 1 / -1;
  }
  .bar {
    display: flex;
    gap: 3px;
    flex-wrap: wrap;
  }
  .bar i {
    width: 0.8rem;
    height: 0.8rem;
    border: 1px solid var(--plan);
    box-sizing: border-box;
  }
  .bar i.full {
    background: var(--petrol);
    border-color: var(--petrol);
  }
  .fill {
    border-top: 1px solid var(--line);
    padding-top: 0.75rem;
    align-items: end;
  }
  .proposals p {
    flex: 1 1 20rem;
  }
</style>
