<script lang="ts">
  import * as common from "../../texts/common";
  import * as texts from "../../texts/job";
  import { say } from "../../texts/say";
  import { Button } from "carbon-components-svelte";
  import { api, type Schemas } from "../../api/client";
  import { picked, ticked } from "../../parts/boxes";
  import { figure, money } from "../../format/jobs";
  import { day } from "../../format/words";
  import type { JobPlanState } from "../../parts/jobPlan.svelte";
  import SupplyForm from "./SupplyForm.svelte";
  import { FormState } from "../../parts/formState.svelte";
  import Fault from "../../parts/Fault.svelte";

  /** What is bought: each line held against the old part, with the owner's own entries and a counter to ask. */
  let { job }: { job: JobPlanState } = $props();
  const plan = $derived(job.plan!);
  const currency = $derived(plan.money.currency);
  let entering = $state<{ line: string; known: Schemas["Supply"] | null } | null>(null);
  let asked = $state.raw<{ line: string; answer: Schemas["Offers"] } | null>(null);
  const asking = new FormState();
  let counter = $state(false);
  api.devices().then(
    (devices) => (counter = devices.counter),
    () => undefined,
  );

  const STATES: Record<Schemas["PartLine"]["state"], string> = {
    shelf: common.onTheShelf,
    order: texts.toOrder,
    choose: texts.notChosen,
    resolved: texts.youHaveIt,
  };
  const axleId = (name: string) => plan.axles.find((each) => each.axle.name === name)!.axle.id;

  async function ask(line: Schemas["PartLine"]) {
    if (asked?.line === line.id) return (asked = null);
    const answered = await asking.act(
      async () => (asked = { line: line.id, answer: await api.offers(job.id, line.id) }),
    );
    if (!answered) asked = null;
  }
  async function take(line: Schemas["PartLine"], offer: Schemas["Offer"]) {
    const { checks: _, thickness_mm, diameter_mm, ...fields } = offer;
    const mm = (value: number | null) => (value === null ? null : String(value));
    const before = line.supplies.map((each) => each.id);
    if (
      !(await job.stock({
        kind: "part",
        item: line.item,
        axle: axleId(line.axle),
        ...fields,
        thickness: mm(thickness_mm),
        diameter: mm(diameter_mm),
        unit: "mm",
      }))
    )
      return;
    const added = job
      .plan!.parts.find((each) => each.id === line.id)
      ?.supplies.find((each) => !before.includes(each.id));
    if (added && (await job.choose(line.id, added.id))) asked = null;
  }
  const said = (check: Schemas["PartCheck"]) =>
    check.verdict === "unknown"
      ? `${check.what}: ${check.old_mm === null ? texts.theOldOnesIsNot : texts.notGiven}`
      : say(texts.whatFigureMmTheOld, {
          what: check.what,
          figure: figure(check.new_mm),
          figure2: figure(check.old_mm),
        });
</script>

{#if plan.parts.length}
  <Fault text={asking.first} />
  <div class="lines">
    {#each plan.parts as line (line.id)}
      {@const chosen = line.supplies.find((each) => each.id === line.chosen)}
      <section class="sheet line {line.state}" aria-label={line.label}>
        <div class="head">
          <p class="count number">{line.count ?? "?"}</p>
          <div class="grow">
            <h2>
              {line.label}
              {#if plan.axles.length > 1}<span class="quiet">{line.axle}</span>{/if}
            </h2>
            <p class="quiet">
              {line.note}{#if line.kit_lacks}{" "}{line.kit_lacks}{/if}
            </p>
          </div>
          <p class="state">
            <strong>{line.optional && line.state === "choose" ? texts.inCase : STATES[line.state]}</strong>
            {#if line.order_by}<br />{say(texts.orderByDay, { day: day(line.order_by) })}{/if}
            {#if line.price !== null}<br /><span class="number">{money(line.price, currency)}</span>{/if}
          </p>
        </div>
        {#if line.supplies.length}
          <ul class="plain-list supplies">
            {#each line.supplies as supply (supply.id)}
              <li>
                <label
                  ><input
                    type="radio"
                    name={line.id}
                    value={supply.id}
                    checked={supply.id === line.chosen}
                    disabled={!job.open}
                    onchange={(event) =>
                      picked(event.currentTarget, line.chosen === null ? null : String(line.chosen), () =>
                        job.choose(line.id, supply.id),
                      )}
                  />
                  <span
                    ><strong>{supply.name}</strong>{#if supply.number}, {supply.number}{/if}{#if supply.supplier}, {supply.supplier}{/if}{#if supply.price}{say(
                        texts.currencyPriceEach,
                        { currency, price: supply.price },
                      )}{/if}{#if supply.lead_days !== null}{say(texts.leadDaysDays, {
                        leadDays: supply.lead_days,
                      })}{/if}{#if supply.on_shelf && supply.on_shelf !== "0"},
                      <strong>{say(texts.onShelfOnTheShelf, { onShelf: supply.on_shelf })}</strong
                      >{/if}{#if supply.compound}, {supply.compound}{/if}</span
                  ></label
                >
                {#if job.open}
                  <span class="actions"
                    ><button type="button" class="link" onclick={() => (entering = { line: line.id, known: supply })}
                      >{common.change}</button
                    ><button type="button" class="link" onclick={() => job.restock(supply, { retired: true })}
                      >{texts.archiveSupply}</button
                    ></span
                  >
                {/if}
              </li>
            {/each}
          </ul>
        {/if}
        {#if chosen && line.checks.length}
          <ul class="checks">
            {#each line.checks as check (check.what)}<li class={check.verdict}>
                <strong
                  >{check.verdict === "fits"
                    ? texts.fits
                    : check.verdict === "differs"
                      ? texts.differs
                      : texts.notKnown}:</strong
                >
                {said(check)}
              </li>{/each}
          </ul>
        {/if}
        {#if line.lays.length}<p class="quiet">{say(texts.layNewAndOldSide, { lays: line.lays.join(", ") })}</p>{/if}
        {#if job.open}
          <div class="row actions">
            <button type="button" class="link" onclick={() => (entering = { line: line.id, known: null })}
              >{texts.enterAPart}</button
            >
            {#if counter}<button type="button" class="link" onclick={() => ask(line)}>{texts.askTheCounter}</button
              >{/if}
            {#if line.state !== "shelf"}<label class="have"
                ><input
                  type="checkbox"
                  checked={line.state === "resolved"}
                  onchange={(event) => ticked(event.currentTarget, (on) => job.resolve([line.resolves], on))}
                />
                {texts.iHaveIt}</label
              >{/if}
          </div>
        {/if}
        {#if entering?.line === line.id}
          {#key entering.known?.id}
            <SupplyForm
              {job}
              about={{ kind: "part", item: line.item, axle: axleId(line.axle) }}
              measured={line.checks.length > 0}
              compounds={line.item === "pads"}
              known={entering.known}
              done={() => (entering = null)}
            />
          {/key}
        {/if}
        {#if asked?.line === line.id}
          <div class="offers" role="status">
            {#if asked.answer.simulated}<p class="quiet">
                {texts.aSimulatedCounterAnswersIts}
              </p>{/if}
            <ul class="plain-list">
              {#each asked.answer.offers as offer (offer.number)}
                <li>
                  <span
                    ><strong>{offer.name}</strong>{say(texts.numberCurrencyPriceLeadDaysDays, {
                      number: offer.number,
                      currency,
                      price: offer.price,
                      leadDays: offer.lead_days,
                    })}{#each offer.checks as check (check.what)}<br /><span class={check.verdict}
                        >{check.verdict === "fits"
                          ? texts.fits
                          : check.verdict === "differs"
                            ? texts.differs
                            : texts.notKnown}: {said(check)}</span
                      >{/each}</span
                  >
                  <Button size="small" kind="tertiary" on:click={() => take(line, offer)}>{texts.chooseThisOne}</Button>
                </li>
              {/each}
            </ul>
          </div>
        {/if}
      </section>
    {/each}
  </div>
{:else}
  <p class="sheet">{texts.nothingIsBoughtForThis}</p>
{/if}
{#if plan.id !== null}<p class="no-print">
    <a href="/api/v1/jobs/{plan.id}/parts.csv" download>{texts.saveTheShoppingListAs}</a>
  </p>{/if}

<style>
  .lines {
    display: grid;
    gap: 0.75rem;
  }
  .line {
    border-left: 6px solid var(--plan);
  }
  .line.shelf,
  .line.resolved {
    border-left-color: var(--good);
  }
  .head {
    display: flex;
    gap: 0.5rem 1rem;
    align-items: flex-start;
    flex-wrap: wrap;
  }
  .head h2 {
    margin: 0;
  }
  .count {
    font-size: 2rem;
    line-height: 1;
    min-width: 2rem;
  }
  .state {
    text-align: right;
    line-height: 1.3;
    min-width: 8rem;
  }
  .supplies {
    margin: 0.5rem 0;
  }
  .supplies li {
    display: flex;
    flex-wrap: wrap;
    justify-content: space-between;
    gap: 0.25rem 1rem;
    padding: 0.2rem 0;
  }
  .supplies label {
    display: grid;
    grid-template-columns: 2rem 1fr;
    line-height: 1.35;
    font-size: 1rem;
  }
  input[type="radio"],
  input[type="checkbox"] {
    width: 1.35rem;
    height: 1.35rem;
    margin: 0;
    accent-color: var(--petrol);
  }
  .checks {
    margin: 0.25rem 0;
    padding-left: 2rem;
    list-style: none;
  }
  .fits {
    color: var(--good);
  }
  .differs {
    color: var(--stop);
    font-weight: 600;
  }
  .unknown {
    color: var(--doubt);
  }
  .actions {
    gap: 0 1.1rem;
  }
  .supplies .link {
    margin-right: 0.75rem;
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
</style>
