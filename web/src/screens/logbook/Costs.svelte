<script lang="ts">
  import * as texts from "../../texts/costs";
  import { say } from "../../texts/say";
  import { lazyApi } from "../../api/lazyApi";
  import { Loader } from "../../parts/loader.svelte";
  import Problem from "../../parts/Problem.svelte";
  import Skeleton from "../../parts/Skeleton.svelte";
  import { money } from "../../format/jobs";
  import { perUnit, rough, upperFirst } from "../../format/words";
  import type { Schemas } from "../../api/client";

  /** What was spent: by vehicle and year as bars, and as a table with axles and the cost per distance. */
  const loaded = new Loader<Schemas["LogbookCosts"]>();
  void loaded.load(lazyApi.logbookCosts);
  type Cost = Schemas["LogbookCost"];
  const unit = (cost: Cost) => cost.distance_unit as Schemas["DistanceUnit"];
  const costs = $derived((loaded.value?.vehicles ?? []).filter((cost) => cost.total > 0 || cost.unpriced));
  const years = $derived([...new Set(costs.flatMap((cost) => cost.years.map(({ year }) => year)))].sort());
  const inYear = (cost: Cost, year: number) => cost.years.find((each) => each.year === year)?.spent ?? 0;
  const most = $derived(Math.max(1, ...costs.flatMap((cost) => cost.years.map(({ spent }) => spent))));
  const total = $derived(costs.reduce((sum, cost) => sum + cost.total, 0));
  const amount = (value: number) => money(value, loaded.value!.currency);
  const axles = (cost: Cost) => cost.axles.map(({ axle, spent }) => `${upperFirst(axle)} ${amount(spent)}`).join(", ");
</script>

{#if loaded.error}<Problem error={loaded.error} />{/if}
{#if loaded.value}
  {#if costs.length}
    <div class="scroll">
      <table>
        <caption class="quiet">{say(texts.inAll, { amount: amount(total) })}</caption>
        <thead
          ><tr
            ><th>{texts.vehicle}</th>{#each years as year (year)}<th class="figure">{year}</th>{/each}<th class="figure"
              >{texts.total}</th
            ><th class="figure">{texts.perDistance}</th><th>{texts.byAxle}</th></tr
          ></thead
        >
        <tbody>
          {#each costs as cost (cost.vehicle)}
            <tr>
              <th scope="row"><a href="#/vehicles/{cost.vehicle}/log">{cost.name}</a></th>
              {#each years as year (year)}
                {@const spent = inYear(cost, year)}
                <td class="figure number" class:empty={!spent} data-label={year}
                  >{spent ? amount(spent) : ""}<span class="bar" style:width="{(100 * spent) / most}%"></span></td
                >
              {/each}
              <td class="figure number" data-label={texts.total}><strong>{amount(cost.total)}</strong></td>
              <td class="figure number"
                >{cost.per_1000_km
                  ? say(texts.per, {
                      amount: amount(Math.round(perUnit(cost.per_1000_km, unit(cost)) * 100) / 100),
                      unit: unit(cost),
                    })
                  : texts.tooShort}<br /><span class="quiet"
                  >{say(texts.over, { km: rough(cost.over_km, unit(cost)) })}</span
                ></td
              >
              <td
                >{axles(cost)}{#if cost.unpriced}<br /><span class="quiet"
                    >{say(texts.unpriced, { count: cost.unpriced })}</span
                  >{/if}</td
              >
            </tr>
          {/each}
        </tbody>
      </table>
    </div>
    <p class="quiet">{texts.what}</p>
  {:else}<p>{texts.none}</p>{/if}
{:else if loaded.loading}<Skeleton />{/if}

<style>
  table {
    border-collapse: collapse;
  }
  caption {
    text-align: left;
    padding-bottom: 0.5rem;
  }
  th,
  td {
    text-align: left;
    vertical-align: top;
    padding: 0.5rem 1.5rem 0.5rem 0;
    border-bottom: 1px solid var(--line);
  }
  .figure {
    text-align: right;
    min-width: 5.5rem;
  }
  .bar {
    display: block;
    height: 8px;
    margin: 0.25rem 0 0 auto;
    background: var(--petrol);
  }
  @media (max-width: 40rem) {
    thead {
      display: none;
    }
    tr {
      display: grid;
      padding: 0.5rem 0;
      border-bottom: 1px solid var(--line);
    }
    th,
    td {
      padding: 0.1rem 0;
      border: 0;
    }
    .figure {
      text-align: left;
    }
    .bar {
      margin-left: 0;
    }
    .empty {
      display: none;
    }
    td[data-label]::before {
      content: attr(data-label) ": ";
      font-weight: 400;
    }
  }
</style>
