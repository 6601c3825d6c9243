<script lang="ts">
  import CheckField from "../../parts/controls/CheckField.svelte";
  import SelectField from "../../parts/controls/SelectField.svelte";
  import Skeleton from "../../parts/Skeleton.svelte";
  import Problem from "../../parts/Problem.svelte";
  import * as texts from "../../texts/report";
  import { say } from "../../texts/say";
  import { Button } from "carbon-components-svelte";
  import { vehicleAt } from "./vehicleAt.svelte";

  /** What of a vehicle goes into a report on paper. */
  let { params }: { params: { id: string } } = $props();
  const loaded = vehicleAt(() => Number(params.id), "log");
  const USUAL: string[] = ["vehicle", "brakes", "fitted", "sets", "history"];
  let chosen = $state(USUAL);
  let paper = $state("a4");
  const parts = $derived(texts.parts.map(([id]) => id).filter((id) => chosen.includes(id)));
  const address = $derived(`/api/v1/vehicles/${params.id}/report.pdf?parts=${parts.join(",")}&paper=${paper}`);
</script>

{#if loaded.error}<Problem error={loaded.error} />{/if}
{#if loaded.value}
  <div class="sheet stack">
    <h1>{say(texts.title, { vehicle: loaded.value.name })}</h1>
    <p>{texts.what}</p>
    <ul class="plain-list">
      {#each texts.parts as [id, label] (id)}
        <li>
          <CheckField
            {label}
            checked={chosen.includes(id)}
            oncheck={(on) => void (chosen = on ? [...chosen, id] : chosen.filter((each) => each !== id))}
          />
        </li>
      {/each}
    </ul>
    <SelectField label={texts.paper} bind:value={paper} options={texts.papers} />
    <p>
      {#if parts.length}<Button href={address} target="_blank">{texts.open}</Button>{:else}{texts.nothing}{/if}
    </p>
  </div>
{:else if loaded.loading}
  <Skeleton />
{/if}
