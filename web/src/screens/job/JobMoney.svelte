<script lang="ts">
  import ShopPrices from "./ShopPrices.svelte";
  import JobFluid from "./JobFluid.svelte";
  import * as common from "../../texts/common";
  import * as texts from "../../texts/job";
  import { say } from "../../texts/say";
  import { money } from "../../format/jobs";
  import { day, lowerFirst, rough, perUnit } from "../../format/words";
  import type { JobPlanState } from "../../parts/jobPlan.svelte";
  import ShopQuote from "./ShopQuote.svelte";

  /** Fluid volumes, time, and what it costs against a shop. */
  let { job }: { job: JobPlanState } = $props();
  const plan = $derived(job.plan!);
  const fluid = $derived(plan.fluid);
  const sums = $derived(plan.money);
  const unit = $derived(plan.vehicle.distance_unit);
  const per1000 = (value: number) => money(perUnit(value, unit), sums.currency);
  const most = $derived(Math.max(sums.shop ?? 0, sums.total, 1));
</script>

<div class="columns">
  <section class="sheet">
    <h2>{texts.money}</h2>
    {#if sums.shop !== null}
      <div
        class="bars"
        role="img"
        aria-label={say(texts.costComparison, {
          money: money(sums.total, sums.currency),
          money2: money(sums.shop, sums.currency),
        })}
      >
        <p>
          <span>{texts.yourself}</span><span class="bar" style:width="{(sums.total / most) * 60}%"></span><strong
            class="number">{money(sums.total, sums.currency)}</strong
          >
        </p>
        <p>
          <span>{texts.aShop}</span><span class="bar shop" style:width="{(sums.shop / most) * 60}%"></span><strong
            class="number">{sums.shop_from === "estimate" ? common.about : ""}{money(sums.shop, sums.currency)}</strong
          >
        </p>
      </div>
      {#if sums.saving !== null}<p>
          {sums.saving > 0
            ? say(texts.doingItYourselfSaves, {
                money: `${sums.shop_from === "estimate" ? common.about : ""}${money(sums.saving, sums.currency)}`,
              })
            : texts.doingItYourselfDoesNot}
          {#if sums.saving > 0 && sums.hours.high}{say(texts.savesAnHour, {
              money: money(sums.saving / ((sums.hours.low + sums.hours.high) / 2), sums.currency),
            })}{/if}
        </p>{/if}
    {/if}
    <p class="quiet">
      {say(texts.partsMoneyConsumablesToBuy, {
        money: money(sums.parts, sums.currency),
        money2: money(sums.consumables, sums.currency),
        money3: money(sums.tools, sums.currency),
      })}{#if sums.own_time}{" "}{say(texts.yourOwnHoursCountFor, { money: money(sums.own_time, sums.currency) })}{/if}
    </p>
    {#if sums.unpriced.length}<details>
        <summary class="open">{say(texts.pricesMissing, { count: sums.unpriced.length })}</summary>
        <p>
          {say(texts.savingNeedsPrices, {
            unpriced: sums.unpriced.map(lowerFirst).join(", "),
          })}
          {sums.shop_from === "quote" ? texts.theShopsQuoteHasThem : texts.theShopsEstimateLacksThese}
          {#if plan.id !== null}<a href="#/jobs/{plan.id}/parts">{texts.enterPricesOfParts}</a>,
            <a href="#/jobs/{plan.id}/tools">{texts.ofToolsAndConsumables}</a>{/if}
        </p>
      </details>{/if}
    {#if sums.spent}<p>
        {sums.over_km >= 1000
          ? say(texts.spentOver, {
              money: money(sums.spent, sums.currency),
              rough: rough(sums.over_km, unit),
              per1000: per1000((sums.spent / sums.over_km) * 1000),
              unit,
            })
          : say(texts.spentSoFar, { money: money(sums.spent, sums.currency) })}
      </p>{/if}
    {#if sums.by_axle.length > 1}<p>
        {say(texts.spentOnAxles, {
          sums: sums.by_axle.map(({ axle, spent }) => `${axle} ${money(spent, sums.currency)}`).join(", "),
        })}
      </p>{/if}
    {#if sums.history.length}
      <details>
        <summary>{texts.paidBefore}</summary>
        <ul class="plain-list">
          {#each sums.history as paid, at (at)}<li>
              {say(texts.paidLine, {
                day: paid.day ? day(paid.day) : "?",
                axle: paid.axle ?? "",
                part: lowerFirst(paid.part),
                name: paid.name ?? "",
                price: money(paid.price, sums.currency),
              })}
            </li>{/each}
        </ul>
      </details>
    {/if}
    <ShopQuote {job} />
    {#if job.open}
      <ShopPrices {job} />
    {/if}
    <h2 class="next">{texts.time}</h2>
    <p class="number figure">{sums.hours.said}</p>
    <p class="quiet">
      {sums.actual
        ? texts.itTook
        : sums.hours.jobs
          ? say(texts.hoursOwnPace, { jobs: sums.hours.jobs })
          : texts.hoursCommonPractice}
    </p>
  </section>
  {#if fluid}<JobFluid {fluid} />{/if}
</div>
{#if sums.rotors.length}
  <section class="sheet scroll">
    <h2>{texts.rotorsNewOrMachined}</h2>
    <table>
      <thead
        ><tr
          ><th>{texts.theRotors}</th><th>{texts.priceOfBoth}</th><th>{texts.lastAbout}</th><th
            >{say(texts.per1000Unit, { unit })}</th
          ></tr
        ></thead
      >
      <tbody>
        {#each sums.rotors as choice (choice.axle + choice.what)}
          <tr
            ><th scope="row"
              >{choice.what === "new" ? texts.newRotors : texts.machined}{plan.axles.length > 1
                ? `, ${choice.axle}`
                : ""}</th
            ><td>{money(choice.price, sums.currency)}</td><td>{rough(choice.life_km, unit)}</td><td
              ><strong>{per1000(choice.per_1000_km)}</strong></td
            ></tr
          >
        {/each}
      </tbody>
    </table>
    <p class="quiet">{texts.toTheDiscardThickness}</p>
  </section>
{/if}
{#if sums.choices.length}
  <section class="sheet scroll">
    <h2>{texts.whatEachChoiceOfPads}</h2>
    <table>
      <thead
        ><tr
          ><th>{texts.pads}</th><th>{texts.lastAbout}</th><th>{say(texts.padsPerDistance, { unit })}</th><th
            >{texts.rotorShare}</th
          ><th>{texts.together}</th></tr
        ></thead
      >
      <tbody>
        {#each sums.choices as choice (choice.supply)}
          <tr
            ><th scope="row">{choice.name}{plan.axles.length > 1 ? `, ${choice.axle}` : ""}</th><td
              >{rough(choice.life_km, unit)}</td
            ><td>{per1000(choice.pads_per_1000_km)}</td><td
              >{choice.rotors_per_1000_km === null ? common.unknown : per1000(choice.rotors_per_1000_km)}</td
            ><td
              ><strong
                >{choice.rotors_per_1000_km === null
                  ? ""
                  : per1000(choice.pads_per_1000_km + choice.rotors_per_1000_km)}</strong
              ></td
            ></tr
          >
        {/each}
      </tbody>
    </table>
    <p class="quiet">
      {texts.lifeAtThisAxlesPace}
    </p>
  </section>
{/if}

<style>
  .figure {
    font-size: 2rem;
    line-height: 1.15;
  }
  .next {
    margin-top: 1rem;
  }
  .bars {
    margin: 0.25rem 0 0.5rem;
  }
  .bars p {
    display: flex;
    align-items: center;
    gap: 0.6rem;
  }
  .bars span:first-child {
    width: 5rem;
  }
  .bar {
    height: 1.1rem;
    background: var(--petrol);
    min-width: 2px;
  }
  .bar.shop {
    background: var(--gone);
  }
  .open {
    color: var(--plan);
  }
</style>
