<script lang="ts">
  import { Button } from "carbon-components-svelte";
  import { api, type Schemas } from "../../api/client";
  import { picked, ticked } from "../../parts/boxes";
  import { figure, money } from "../../format/jobs";
  import { day } from "../../format/words";
  import type { JobPlanState } from "./jobPlan.svelte";
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
    shelf: "On the shelf",
    order: "To order",
    choose: "Not chosen",
    resolved: "You have it",
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
      ? `${check.what}: ${check.old_mm === null ? "the old one's is not in the brake data" : "not given"}`
      : `${check.what} ${figure(check.new_mm)} mm, the old one's ${figure(check.old_mm)} mm`;
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
            <strong>{line.optional && line.state === "choose" ? "In case" : STATES[line.state]}</strong>
            {#if line.order_by}<br />order by {day(line.order_by)}{/if}
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
                    ><strong>{supply.name}</strong>{#if supply.number}, {supply.number}{/if}{#if supply.supplier}, {supply.supplier}{/if}{#if supply.price},
                      {currency}
                      {supply.price} each{/if}{#if supply.lead_days !== null}, {supply.lead_days} days{/if}{#if supply.on_shelf && supply.on_shelf !== "0"},
                      <strong>{supply.on_shelf} on the shelf</strong>{/if}{#if supply.compound}, {supply.compound}{/if}</span
                  ></label
                >
                {#if job.open}
                  <span class="actions"
                    ><button type="button" class="link" onclick={() => (entering = { line: line.id, known: supply })}
                      >Change</button
                    ><button type="button" class="link" onclick={() => job.restock(supply.id, { retired: true })}
                      >Put away</button
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
                  >{check.verdict === "fits" ? "Fits" : check.verdict === "differs" ? "Differs" : "Not known"}:</strong
                >
                {said(check)}
              </li>{/each}
          </ul>
        {/if}
        {#if line.lays.length}<p class="quiet">Lay new and old side by side: {line.lays.join(", ")}.</p>{/if}
        {#if job.open}
          <div class="row actions">
            <button type="button" class="link" onclick={() => (entering = { line: line.id, known: null })}
              >Enter a part</button
            >
            {#if counter}<button type="button" class="link" onclick={() => ask(line)}>Ask the counter</button>{/if}
            {#if line.state !== "shelf"}<label class="have"
                ><input
                  type="checkbox"
                  checked={line.state === "resolved"}
                  onchange={(event) => ticked(event.currentTarget, (on) => job.resolve(line.resolves, on))}
                /> I have it</label
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
                A simulated counter answers: its prices and numbers are made up, to try this out.
              </p>{/if}
            <ul class="plain-list">
              {#each asked.answer.offers as offer (offer.number)}
                <li>
                  <span
                    ><strong>{offer.name}</strong>, {offer.number}, {currency}
                    {offer.price}, {offer.lead_days} days{#each offer.checks as check (check.what)}<br /><span
                        class={check.verdict}
                        >{check.verdict === "fits" ? "Fits" : check.verdict === "differs" ? "Differs" : "Not known"}: {said(
                          check,
                        )}</span
                      >{/each}</span
                  >
                  <Button size="small" kind="tertiary" on:click={() => take(line, offer)}>Take this one</Button>
                </li>
              {/each}
            </ul>
          </div>
        {/if}
      </section>
    {/each}
  </div>
{:else}
  <p class="sheet">Nothing is bought for this scope.</p>
{/if}
{#if plan.id !== null}<p class="no-print">
    <a href="/api/v1/jobs/{plan.id}/parts.csv" download>Save the shopping list as a table (CSV)</a>
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
