<script lang="ts">
  import CheckField from "../../parts/controls/CheckField.svelte";
  import RadioField from "../../parts/controls/RadioField.svelte";
  import PlainButton from "../../parts/controls/PlainButton.svelte";
  import * as common from "../../texts/common";
  import * as texts from "../../texts/job";
  import { say } from "../../texts/say";
  import { Button } from "carbon-components-svelte";
  import type { Schemas } from "../../api/client";
  import { money } from "../../format/jobs";
  import { day } from "../../format/words";
  import type { JobPartsState } from "./jobParts.svelte";
  import PartChecks from "./PartChecks.svelte";
  import SupplyForm from "./SupplyForm.svelte";

  /** One part: what it is and whether it is there, in a line; opened, what there is to choose from. */
  let { parts, line }: { parts: JobPartsState; line: Schemas["PartLine"] } = $props();
  const job = $derived(parts.job);
  const currency = $derived(job.plan!.money.currency);
  const chosen = $derived(line.supplies.find((each) => each.id === line.chosen));
  const open = $derived(parts.isOpen(line));
  const differs = $derived(line.checks.filter((check) => check.verdict === "differs"));
  const fits = $derived(line.checks.length > 0 && line.checks.every((check) => check.verdict === "fits"));
  const offers = $derived(parts.asked?.line === line.id ? parts.asked.answer : null);
  const known = $derived(parts.entering?.line === line.id ? parts.entering : null);
  const more = $derived(open || line.supplies.length > 0 || line.lays.length > 0 || line.kit_lacks !== null);
  const article = (supply: Schemas["Supply"]) =>
    [supply.number, supply.supplier, supply.compound].filter(Boolean).join(", ");
</script>

<section class="part {line.state}" class:open aria-label={line.label}>
  <div class="head">
    <p class="count number">{line.count ?? "?"}</p>
    <div class="grow">
      <h3>
        {line.label}
        {#if job.plan!.axles.length > 1}<span class="quiet">{line.axle}</span>{/if}
      </h3>
      {#if chosen && !open}<p class="quiet">
          {chosen.name}{article(chosen) ? `, ${article(chosen)}` : ""}
          {#if fits}<span class="fits">{texts.fitsTheOldOne}</span>{/if}
        </p>
      {:else if !chosen && line.state !== "resolved"}<p class="quiet">{line.note}</p>{/if}
      {#if chosen && !open && differs.length}<PartChecks checks={differs} />{/if}
    </div>
    {#if line.order_by || line.price !== null}
      <p class="state">
        {#if line.price !== null}<strong class="number">{money(line.price, currency)}</strong>{/if}
        {#if line.order_by}<br />{say(texts.orderByDay, { day: day(line.order_by) })}{/if}
      </p>
    {/if}
    <div class="row actions no-print">
      {#if job.open && !chosen}
        <PlainButton look="link" onclick={() => parts.enter(line, null)}>{texts.enterAPart}</PlainButton>
        {#if parts.counter}<PlainButton look="link" onclick={() => parts.ask(line)}>{texts.askTheCounter}</PlainButton
          >{/if}
      {/if}
      {#if job.open && line.state !== "shelf"}<CheckField
          checked={line.state === "resolved"}
          oncheck={(on) => job.resolve([line.resolves], on)}
          label={texts.iHaveIt}
        />{/if}
      {#if more}<PlainButton
          look="link"
          aria-expanded={open}
          aria-label={say(texts.detailsOfPart, { part: line.label })}
          onclick={() => parts.toggle(line)}>{open ? texts.closeDetails : texts.details}</PlainButton
        >{/if}
    </div>
  </div>
  {#if open}
    <div class="inside">
      {#if line.supplies.length}
        <ul class="plain-list supplies">
          {#each line.supplies as supply (supply.id)}
            <li>
              <RadioField
                name={line.id}
                id={String(supply.id)}
                disabled={!job.open}
                chosen={line.chosen === null ? null : String(line.chosen)}
                onpick={() => job.choose(line.id, supply.id)}
                ><strong>{supply.name}</strong
                >{#each [article(supply), supply.price && say( texts.priceEachSaid, { currency, price: supply.price } ), supply.lead_days !== null && say( texts.leadTime, { leadDays: supply.lead_days } )].filter(Boolean) as each (each)},
                  {each}{/each}{#if supply.on_shelf && supply.on_shelf !== "0"},
                  <strong>{say(texts.onShelfOnTheShelf, { onShelf: supply.on_shelf })}</strong>{/if}</RadioField
              >
              {#if job.open}
                <span class="row actions"
                  ><PlainButton look="link" onclick={() => parts.enter(line, supply)}>{common.change}</PlainButton
                  ><PlainButton look="link" onclick={() => job.archive(supply)}>{texts.archiveSupply}</PlainButton
                  ></span
                >
              {/if}
            </li>
          {/each}
        </ul>
      {/if}
      {#if chosen && line.checks.length}<PartChecks checks={line.checks} />{/if}
      {#if line.lays.length}<p>{say(texts.layNewAndOldSide, { lays: line.lays.join(", ") })}</p>{/if}
      <p class="quiet">
        {#if chosen || line.state === "resolved"}{line.note}{" "}{/if}{line.kit_lacks ?? ""}
      </p>
      {#if job.open && chosen}
        <div class="row actions">
          <PlainButton look="link" onclick={() => parts.enter(line, null)}>{texts.enterAPart}</PlainButton>
          {#if parts.counter}<PlainButton look="link" onclick={() => parts.ask(line)}>{texts.askTheCounter}</PlainButton
            >{/if}
        </div>
      {/if}
      {#if known}
        {#key known.known?.id}
          <SupplyForm
            {job}
            about={{ kind: "part", item: line.item, axle: parts.axleId(line.axle) }}
            measured={line.checks.length > 0}
            compounds={line.item === "pads"}
            known={known.known}
            done={() => (parts.entering = null)}
          />
        {/key}
      {/if}
      {#if offers}
        <div class="offers" role="status">
          {#if offers.simulated}<p class="quiet">
              {texts.simulatedCounterNote}
            </p>{/if}
          <ul class="plain-list">
            {#each offers.offers as offer (offer.number)}
              <li>
                <div>
                  <strong>{offer.name}</strong>, {say(texts.offerDetails, {
                    number: offer.number,
                    currency,
                    price: offer.price,
                    leadDays: offer.lead_days,
                  })}
                  <PartChecks checks={offer.checks} />
                </div>
                <Button size="small" kind="tertiary" on:click={() => parts.take(line, offer)}
                  >{texts.chooseThisOne}</Button
                >
              </li>
            {/each}
          </ul>
        </div>
      {/if}
    </div>
  {/if}
</section>

<style>
  .part {
    border-top: 1px solid var(--line);
    border-left: 4px solid var(--plan);
    padding: 0.5rem 0 0.5rem 0.75rem;
  }
  .part.shelf,
  .part.resolved {
    border-left-color: var(--good);
  }
  .head {
    display: flex;
    gap: 0.25rem 1rem;
    align-items: center;
    flex-wrap: wrap;
  }
  .head .grow {
    flex: 1 1 min(20rem, 100% - 3.5rem);
    min-width: 0;
  }
  h3,
  .head p {
    margin: 0;
  }
  .count {
    font-size: 1.6rem;
    line-height: 1;
    min-width: 1.75rem;
  }
  .state {
    text-align: right;
    line-height: 1.3;
  }
  .inside {
    padding: 0.25rem 0 0.5rem 2.75rem;
  }
  .supplies li {
    display: flex;
    flex-wrap: wrap;
    justify-content: space-between;
    gap: 0.25rem 1rem;
    padding: 0.2rem 0;
  }
  .fits {
    color: var(--good);
    font-weight: 600;
    margin-left: 0.5rem;
  }
  .actions {
    gap: 0 1.1rem;
  }
  .have {
    display: flex;
    gap: 0.5rem;
    align-items: center;
    min-height: 44px;
    font-size: 1rem;
  }
  .offers {
    border-top: 1px solid var(--line);
    margin-top: 0.5rem;
    padding-top: 0.5rem;
  }
  .offers li {
    display: flex;
    flex-wrap: wrap;
    justify-content: space-between;
    gap: 0.5rem;
    align-items: center;
    padding: 0.35rem 0;
    border-bottom: 1px solid var(--line);
  }
  @media (max-width: 40rem) {
    .inside {
      padding-left: 0;
    }
    .state {
      text-align: left;
    }
    .state br {
      display: none;
    }
  }
</style>
