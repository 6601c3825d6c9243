<script lang="ts">
  import { Button } from "carbon-components-svelte";
  import { api } from "../../api/client";
  import { money } from "../../format/jobs";
  import { lowerFirst, rough, upperFirst, perUnit } from "../../format/words";
  import type { JobPlanState } from "./jobPlan.svelte";
  import { FormState } from "../../parts/formState.svelte";
  import Fault from "../../parts/Fault.svelte";

  /** Fluid volumes, time, and what it costs against a shop. */
  let { job }: { job: JobPlanState } = $props();
  const plan = $derived(job.plan!);
  const fluid = $derived(plan.fluid);
  const sums = $derived(plan.money);
  const others = $derived(fluid.may.filter((grade) => grade !== fluid.grade));
  const unit = $derived(plan.vehicle.distance_unit);
  let quote = $state("");
  let shops = $state<{ currency: string; labour_rate: string; markup_percent: string; tax_percent: string } | null>(
    null,
  );
  const form = new FormState();
  const shopFault = form.fault;
  const FIELDS = [
    ["currency", "Money"],
    ["labour_rate", "Labour, an hour"],
    ["markup_percent", "Mark-up on parts (%)"],
    ["tax_percent", "Tax (%)"],
  ] as const;

  async function keepQuote(event: SubmitEvent) {
    event.preventDefault();
    if (await job.quote(quote.trim() || null)) quote = "";
  }
  async function keepShops(event: SubmitEvent) {
    event.preventDefault();
    await form.act(async () => {
      await api.chooseMoney(shops!);
      shops = null;
      await job.act(() => api.job(job.id));
    });
  }
  const per1000 = (value: number) => money(perUnit(value, unit), sums.currency);
  const most = $derived(Math.max(sums.shop ?? 0, sums.total, 1));
</script>

<div class="columns">
  <section class="sheet">
    <h2>Time</h2>
    <p class="number figure">{sums.hours.said}</p>
    <p class="quiet">
      {sums.hours.jobs
        ? `At your own pace, from ${sums.hours.jobs} of your own jobs.`
        : "Common practice when nothing is stuck; rust doubles it. Note your hours when you finish, and your own pace counts."}
    </p>
    <h2 class="next">Money</h2>
    {#if sums.shop !== null}
      <div
        class="bars"
        role="img"
        aria-label="Yourself {money(sums.total, sums.currency)}, a shop {money(sums.shop, sums.currency)}"
      >
        <p>
          <span>Yourself</span><span class="bar" style:width="{(sums.total / most) * 60}%"></span><strong class="number"
            >{money(sums.total, sums.currency)}</strong
          >
        </p>
        <p>
          <span>A shop</span><span class="bar shop" style:width="{(sums.shop / most) * 60}%"></span><strong
            class="number">{sums.shop_from === "estimate" ? "about " : ""}{money(sums.shop, sums.currency)}</strong
          >
        </p>
      </div>
      {#if sums.saving !== null}<p>
          {sums.saving > 0
            ? `Doing it yourself saves ${sums.shop_from === "estimate" ? "about " : ""}${money(sums.saving, sums.currency)}${sums.hours.high ? `, some ${money(sums.saving / ((sums.hours.low + sums.hours.high) / 2), sums.currency)} an hour of your time` : ""}.`
            : "Doing it yourself does not save money this time."}
        </p>{/if}
    {/if}
    <p class="quiet">
      Parts {money(sums.parts, sums.currency)}, consumables to buy {money(sums.consumables, sums.currency)}, tools to
      buy {money(sums.tools, sums.currency)}.
    </p>
    {#if sums.unpriced.length}<p class="open">
        What it saves cannot be said yet. Your side lacks the price of: {sums.unpriced
          .map(lowerFirst)
          .join(", ")}.{sums.shop_from === "quote"
          ? " The shop's quote has them in."
          : " The shop's estimate lacks these parts too."}
      </p>{/if}
    {#if sums.spent}<p>
        So far {money(sums.spent, sums.currency)} went into this vehicle's brakes{sums.over_km >= 1000
          ? `, over ${rough(sums.over_km, unit)} on file: ${per1000((sums.spent / sums.over_km) * 1000)} per 1,000 ${unit}`
          : ""}.
      </p>{/if}
    {#if job.open}
      <form class="row" onsubmit={keepQuote} novalidate>
        <label
          ><span>A shop's quote for the same ({sums.currency})</span><input
            inputmode="decimal"
            autocomplete="off"
            bind:value={quote}
            placeholder={plan.quote === null ? "" : String(plan.quote)}
            aria-invalid={!!job.fault("total")}
          /></label
        >
        <Button type="submit" size="field" kind="tertiary"
          >{quote.trim() || plan.quote === null ? "Save quote" : "Back to the estimate"}</Button
        >
      </form>
      <Fault text={job.fault("total")} />
      {#if shops}
        <form class="row" onsubmit={keepShops} novalidate>
          {#each FIELDS as [key, label] (key)}<label
              ><span>{label}</span><input
                autocomplete="off"
                bind:value={shops[key]}
                aria-invalid={!!shopFault(key)}
              /><Fault text={shopFault(key)} /></label
            >{/each}
          <Button type="submit" size="field">Save</Button><Button
            size="field"
            kind="ghost"
            on:click={() => (shops = null)}>Cancel</Button
          >
        </form>
      {:else}
        <button type="button" class="link" onclick={async () => (shops = await api.money())}
          >What shops ask around here</button
        >
      {/if}
    {/if}
  </section>
  <section class="sheet">
    <h2>Fluid</h2>
    {#if fluid.pushed_ml !== null}
      <p class="number figure">{fluid.pushed_ml} ml <small>comes back as the pistons go home</small></p>
      {#if fluid.headroom_ml !== null}
        <p>
          Room above the level: {fluid.headroom_ml} ml. {fluid.draw_off_ml
            ? `Draw off ${fluid.draw_off_ml} ml first.`
            : "It takes that without drawing off."}
        </p>
      {:else}<p>
          Whether it overflows cannot be said: level or reservoir volume are not known. Watch it while you push.
        </p>{/if}
    {:else}<p>
        How much comes back is not known: it takes piston diameter, their number and the new pads' thickness.
      </p>{/if}
    <p>
      {fluid.bleeds ? "For bleeding and flushing" : "For topping up"}: {fluid.needed_ml} ml, bought as {fluid.bottles_ml.join(
        " + ",
      )} ml{fluid.grade ? `, ${fluid.grade}` : ", grade not known"}.{#if others.length}{" "}{others.join(", ")} may go in
        too.{/if}{#if fluid.never.length}{" "}<strong>Never {fluid.never.join(", ")}.</strong>{/if}
    </p>
    {#if fluid.bleeds}
      <h3 class="next">Order of bleeding</h3>
      <ol class="order">
        {#each fluid.order as place (place)}<li>{upperFirst(place)}</li>{/each}
      </ol>
      {#if fluid.order_from}<p class="quiet">{fluid.order_from}</p>{/if}
      <h3 class="next">How</h3>
      <ul class="order">
        {#each fluid.methods as method (method.label)}<li>
            {method.label}{#if method.owned}: <strong>you have the tool</strong>{/if}
          </li>{/each}
      </ul>
    {/if}
  </section>
</div>
{#if sums.choices.length}
  <section class="sheet scroll">
    <h2>What each choice of pads costs over its life</h2>
    <table>
      <thead
        ><tr
          ><th>Pads</th><th>Last about</th><th>Pads, per 1,000 {unit}</th><th>Their share of the rotors</th><th
            >Together</th
          ></tr
        ></thead
      >
      <tbody>
        {#each sums.choices as choice (choice.supply)}
          <tr
            ><th scope="row">{choice.name}{plan.axles.length > 1 ? `, ${choice.axle}` : ""}</th><td
              >{rough(choice.life_km, unit)}</td
            ><td>{per1000(choice.pads_per_1000_km)}</td><td
              >{choice.rotors_per_1000_km === null ? "not known" : per1000(choice.rotors_per_1000_km)}</td
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
      Life at this axle's pace to your limit; a harder or softer kind by rough figures of the trade. A rotor's share is
      what the pads' life takes of the wear it has in it.
    </p>
  </section>
{/if}

<style>
  .figure {
    font-size: 2rem;
    line-height: 1.15;
  }
  .figure small {
    font-size: 1.05rem;
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
  form {
    margin-top: 0.75rem;
    align-items: end;
  }
  label {
    display: grid;
    gap: 0.3rem;
    font-weight: 600;
    font-size: 0.9688rem;
    line-height: 1.3;
  }
  input {
    font: inherit;
    font-size: 1.05rem;
    min-height: 48px;
    width: 9rem;
    border: 1px solid var(--quiet);
    background: var(--sheet);
    color: var(--ink);
    padding: 0 0.5rem;
  }
  .order {
    margin: 0;
    padding-left: 1.4rem;
    list-style: revert;
  }
</style>
