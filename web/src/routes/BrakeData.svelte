<script lang="ts">
  import { Button, InlineNotification, Select, SelectItem, TextInput } from "carbon-components-svelte";
  import Problem from "../components/Problem.svelte";
  import { upperFirst } from "../format/words";
  import { BrakeDataForm } from "../state/brakeData.svelte";
  import { Refusal } from "../api/client";

  let { params }: { params: { id: string } } = $props();
  const form = $derived(new BrakeDataForm(Number(params.id)));
  $effect(() => {
    form.load();
  });
  const gaps = $derived(form.lines.filter((line) => line.field.needed_for_job && !line.field.value));

  function submit(event: SubmitEvent) {
    event.preventDefault();
    form.save();
  }
</script>

<svelte:head><title>Brake data - Graver</title></svelte:head>

{#if form.data}
  {@const axle = form.data.axle}
  <form class="stack" onsubmit={submit} novalidate>
    <div>
      <p class="quiet"><a href="#/vehicles/{axle.vehicle_id}">{axle.vehicle_name}</a></p>
      <h1>{upperFirst(axle.name)} brake data</h1>
    </div>
    {#if gaps.length}
      <InlineNotification kind="info" lowContrast hideCloseButton title="The next pad job still needs" subtitle={gaps.map((line) => line.field.label).join("; ")} />
    {/if}
    {#each form.data.groups as group (group.id)}
      {@const lines = form.lines.filter((line) => line.field.group === group.id)}
      {#if lines.length}
        <section class="sheet">
          <h2>{group.label}</h2>
          <div class="lines">
            {#each lines as line (line.field.key)}
              {@const fault = form.faults[line.field.key]}
              <div class="line">
                {#if line.field.quantity === "choice"}
                  <Select labelText={line.field.label} bind:selected={line.value} invalid={!!fault} invalidText={fault?.message}>
                    <SelectItem value="" text="Not known" />
                    {#each line.field.choices as choice (choice.id)}<SelectItem value={choice.id} text={choice.label} />{/each}
                  </Select>
                {:else}
                  <TextInput labelText={line.field.label} placeholder="not known" inputmode="decimal" autocomplete="off" bind:value={line.value} invalid={!!fault} invalidText={fault?.message} />
                {/if}
                {#if line.field.units.length}
                  <Select labelText="Unit" bind:selected={line.unit}>
                    {#each line.field.units as unit (unit)}<SelectItem value={unit} text={unit} />{/each}
                  </Select>
                {:else}<span></span>{/if}
                <Select labelText="Where from" bind:selected={line.source} disabled={!line.value.trim()}>
                  {#each form.data.sources as source (source.id)}<SelectItem value={source.id} text={source.label} />{/each}
                </Select>
                <p class="help quiet">
                  {#if line.field.doubt}<strong class="doubt">{line.field.doubt}</strong>
                  {:else if !line.field.value}{upperFirst(line.field.waits)}. Find it: {line.field.find}.
                  {:else if line.field.earlier.length}Earlier: {line.field.earlier.join(", ")}{/if}
                </p>
              </div>
            {/each}
          </div>
        </section>
      {/if}
    {/each}
    {#if form.error && !(form.error instanceof Refusal && form.error.faults.length)}<Problem error={form.error} />{/if}
    <div class="row save">
      <Button type="submit" disabled={form.changed.length === 0}>Save {form.changed.length || ""} {form.changed.length === 1 ? "change" : "changes"}</Button>
      <Button kind="ghost" href="#/axles/{axle.id}/job-card">To the job card</Button>
      <span role="status">{#if form.saved && form.changed.length === 0}Saved{:else if form.error}Not saved yet: see the fields marked{/if}</span>
    </div>
  </form>
{:else if form.error}
  <Problem error={form.error} />
{/if}

<style>
  .lines { display: grid; gap: 0.9rem; }
  .line { display: grid; grid-template-columns: minmax(12rem, 1.1fr) 7rem minmax(10rem, 0.9fr) minmax(12rem, 1.4fr); gap: 0.75rem; align-items: start; }
  .help { padding-top: 1.6rem; line-height: 1.3; }
  .doubt { color: var(--doubt); }
  .save { position: sticky; bottom: 0; background: var(--paper); padding: 0.75rem 0; border-top: 1px solid var(--line); }
  @media (max-width: 56rem) { .line { grid-template-columns: 1fr 7rem; } .help { grid-column: 1 / -1; padding-top: 0; } }
</style>
