<script lang="ts">
  import PlainButton from "../../parts/controls/PlainButton.svelte";
  import TextField from "../../parts/controls/TextField.svelte";
  import * as common from "../../texts/common";
  import * as texts from "../../texts/job";
  import { Button } from "carbon-components-svelte";
  import { lazyApi } from "../../api/lazyApi";
  import { api, type Schemas } from "../../api/client";
  import { FormState } from "../../parts/formState.svelte";
  import type { JobPlanState } from "../../parts/jobPlan.svelte";

  /** What shops nearby ask, which the estimate of a shop's bill rests on. */
  let { job }: { job: JobPlanState } = $props();
  let shops = $state<Schemas["Money"] | null>(null);
  const form = new FormState();
  const shopFault = form.fault;
  const FIELDS = [
    ["currency", texts.money],
    ["labour_rate", texts.labourAnHour],
    ["markup_percent", texts.markUpOnParts],
    ["tax_percent", texts.tax],
    ["own_rate", texts.ownHourlyRate],
  ] as const;

  async function keepShops(event: SubmitEvent) {
    event.preventDefault();
    await form.act(async () => {
      await lazyApi.chooseMoney(shops!, shops!.revision);
      shops = null;
      await job.act(() => api.job(job.id));
    });
  }
</script>

{#if shops}
  <form class="row" onsubmit={keepShops} novalidate>
    {#each FIELDS as [key, label] (key)}<TextField {label} bind:value={shops[key]} fault={shopFault(key)} />{/each}
    <Button type="submit" size="field">{common.save}</Button><Button
      size="field"
      kind="ghost"
      on:click={() => (shops = null)}>{common.cancel}</Button
    >
  </form>
{:else}
  <PlainButton look="link" onclick={async () => (shops = await lazyApi.money())}>{texts.localShopPrices}</PlainButton>
{/if}

<style>
  form {
    margin-top: 0.75rem;
    align-items: end;
  }
</style>
