<script lang="ts">
  import { api, Refusal, type Schemas } from "../api/client";
  import { upperFirst } from "../format/words";
  import AxleSection from "./AxleSection.svelte";
  import StarOrder from "./StarOrder.svelte";

  interface Props {
    card: Schemas["JobCard"];
    ticked?: string[];
    ontick?: ((step: string, done: boolean) => void) | null;
  }
  let { card, ticked = [], ontick = null }: Props = $props();

  // Steps as they follow each other, cut where the stage or the side changes.
  const stages = $derived.by(() => {
    const cut: { id: string; title: string; steps: Schemas["JobStep"][] }[] = [];
    for (const step of card.steps ?? []) {
      const title = step.side ? `${upperFirst(step.side)}: ${step.stage.toLowerCase()}` : step.stage;
      if (cut.at(-1)?.title === title) cut.at(-1)!.steps.push(step);
      else cut.push({ id: `${cut.length}`, title, steps: [step] });
    }
    return cut;
  });
  const number = (value: number | null) => (value === null ? "?" : value.toLocaleString("en-GB", { maximumFractionDigits: 2 }));
  // The unit it was entered in, which is the wrench's, is read first.
  function readings(line: Schemas["TorqueLine"]): [number | null, string][] {
    const metric: [number | null, string] = [line.newton_metres, "N·m"];
    const imperial: [number | null, string] = line.entered?.endsWith("lbf·in") ? [line.pound_inches, "lbf·in"] : [line.pound_feet, "lbf·ft"];
    return line.entered?.endsWith("N·m") ? [metric, imperial] : [imperial, metric];
  }
  // Settings with a crow-foot or offset, asked for as its length is typed.
  let extension = $state("");
  let extended = $state.raw<Record<string, Schemas["WrenchSetting"]> | null>(null);
  let extensionFault = $state("");
  // A slower answer to an earlier figure never stands beside a later one.
  let turn = 0;
  async function extend() {
    const mine = ++turn;
    [extended, extensionFault] = [null, ""];
    if (!extension.trim()) return;
    try {
      const { settings } = await api.torqueSettings(card.axle_name.id, extension);
      if (mine === turn) extended = Object.fromEntries(settings.map((each) => [each.fastener, each.wrench]));
    } catch (error) {
      if (!(error instanceof Refusal)) throw error;
      if (mine === turn) extensionFault = error.faults[0]?.message ?? error.message;
    }
  }
  const torqueOf = (fastener: string) => card.torque.find((line) => line.fastener === fastener);
  const bad = $derived(["replace", "measure_again", "unknown_limit", "unmeasured", "will_not_outlast"].includes(card.rotor.outcome));
</script>

{#if card.missing.length}
  <section class="sheet missing">
    <h2>Missing: settle this before anything is undone</h2>
    <ul>
      {#each card.missing as gap (gap.key)}
        <li><strong>{gap.label}.</strong> {upperFirst(gap.waits)}. Find it: {gap.find}.</li>
      {/each}
    </ul>
    <p class="no-print"><a href="#/axles/{card.axle_name.id}/brake-data">Fill in the brake data</a></p>
  </section>
{/if}

<section class="sheet">
  <h2>Torque</h2>
  {#if card.torque.length}
    <ul class="plain-list torque">
      {#each card.torque as line (line.fastener)}
        <li>
          <div class="what">
            <h3>{line.label}{#if line.count !== null}<span class="quiet">, {line.count} in all</span>{/if}</h3>
            <p class="quiet">{line.drive ?? "size not known"}{#if line.single_use}; <strong>new ones each time</strong>{/if}</p>
            <p class="quiet">{line.note}</p>
            {#if line.doubt}<p class="doubt">{line.doubt}</p>{/if}
            {#if line.wrench}
              {@const with_ = extended?.[line.fastener] ?? line.wrench}
              <p class="set" class:none-of={!with_.wrench} class:late={with_.overdue}>
                {#if with_.wrench}Set <strong class="number">{number(with_.setting)} {with_.unit}</strong> on {with_.wrench}{extended ? ` with the ${extension.trim()} mm extension` : ""} <span class="quiet">({with_.sentence})</span>{:else}{with_.sentence}{/if}
              </p>
            {/if}
            {#if line.source}<p class="quiet">From: {line.source.toLowerCase()}, entered as {line.entered}</p>{/if}
          </div>
          {#if line.newton_metres !== null}
            {#each readings(line) as [value, unit], at (unit)}
              <p class="value number" class:second={at > 0}>{number(value)}<small>{unit}</small></p>
            {/each}
          {:else}
            <p class="value none">No value: stop. Maker's manual, never by feel.</p>
          {/if}
          {#if line.star}<StarOrder order={line.star} />{/if}
        </li>
      {/each}
    </ul>
    {#if card.torque.some((line) => line.wrench)}
      <div class="extension no-print">
        <label for="extension">Crow-foot or offset in line with the handle (mm)</label>
        <input id="extension" inputmode="decimal" autocomplete="off" bind:value={extension} oninput={extend} aria-invalid={!!extensionFault} />
        {#if extensionFault}<span role="alert" class="doubt">{upperFirst(extensionFault)}</span>{:else}<span class="quiet">setting = torque × L / (L + offset); at right angles to the handle nothing changes</span>{/if}
      </div>
    {/if}
  {:else}
    <p>The torque card needs the caliper kind first.</p>
  {/if}
</section>

<div class="columns">
  <section class="sheet">
    <h2>Parts</h2>
    <ul class="plain-list parts">
      {#each card.parts as part (part.id + part.label)}
        <li><span class="count number">{part.count ?? "?"}</span><span><strong>{part.label}</strong><br /><span class="quiet">{part.note}</span></span></li>
      {/each}
    </ul>
    <h3>Consumables</h3>
    <ul class="list">
      {#each card.consumables as each (each.label)}<li>{each.label}: {each.amount}{#if each.where}{" "}<span class="quiet">({each.where})</span>{/if}</li>{/each}
      {#if card.fluid_ml !== null}<li>Pushing the pistons home sends about {Math.round(card.fluid_ml)} ml of fluid back.</li>{/if}
    </ul>
  </section>
  <section class="sheet">
    <h2>Tools</h2>
    <ul class="list">{#each card.tools as tool (tool)}<li>{tool}</li>{/each}</ul>
  </section>
</div>

<section class="sheet rotor">
  <div class="grow">
    <h2 class:bad>{card.rotor.label}</h2>
    <ul class="list">
      {#each card.rotor.sides as side (side.side)}<li>{side.sentence} <span class="quiet">{side.change}</span></li>{/each}
    </ul>
  </div>
  <AxleSection corners={card.axle.corners} scale={3.4} legend />
</section>

<section class="sheet steps">
  <h2>Steps</h2>
  {#if card.steps}
    {#each stages as stage (stage.id)}
      <h3>{stage.title}</h3>
      <ol class="plain-list">
        {#each stage.steps as step (step.key)}
          <li class:done={ticked.includes(step.key)} data-step={step.key}>
            <label>
              <input type="checkbox" checked={ticked.includes(step.key)} disabled={!ontick} onchange={(event) => ontick?.(step.key, event.currentTarget.checked)} />
              <span>
                {step.text}
                {#each step.tighten as fastener (fastener)}
                  {@const line = torqueOf(fastener)}
                  {#if line?.newton_metres != null}<strong class="number at">{number(line.newton_metres)} N·m ({number(line.pound_feet)} lbf·ft)</strong>{/if}
                {/each}
                {#if step.gate}<span class="gate">not to be skipped</span>{/if}
                {#if step.why}{" "}<span class="quiet">{step.why}</span>{/if}
              </span>
            </label>
            {#each step.cautions as caution (caution.text)}
              <p class="caution {caution.severity}"><strong>{upperFirst(caution.severity)}:</strong> {caution.text}</p>
            {/each}
          </li>
        {/each}
      </ol>
    {/each}
  {:else}
    <p>The steps depend on what is missing above: with it they are put in order.</p>
  {/if}
</section>

<style>
  .missing { border-left: 6px solid var(--plan); }
  .missing ul, .list { margin: 0; padding-left: 1.1rem; display: grid; gap: 0.3rem; list-style: disc; line-height: 1.35; }
  .torque li { display: flex; flex-wrap: wrap; gap: 0.5rem 2rem; align-items: center; padding: 0.6rem 0; border-top: 1px solid var(--line); }
  .torque li:first-child { border-top: 0; }
  .what { flex: 1 1 16rem; }
  .what p { line-height: 1.3; }
  .value { font-size: 3rem; line-height: 1; min-width: 9.5rem; text-align: right; }
  .value small { font-size: 1.05rem; margin-left: 0.3rem; }
  .second { color: var(--quiet); font-size: 2.1rem; }
  .none { font-size: 1.05rem; font-weight: 600; color: var(--stop); text-align: left; max-width: 16rem; line-height: 1.2; }
  .what .set { font-size: 1.05rem; margin: 0.2rem 0; }
  .set strong { font-size: 1.3rem; }
  .none-of, .late { color: var(--plan); }
  .extension { display: flex; flex-wrap: wrap; gap: 0.5rem 0.9rem; align-items: center; border-top: 1px solid var(--line); padding-top: 0.75rem; }
  .extension label { display: block; font-weight: 600; font-size: 1rem; min-height: 0; }
  .extension input { width: 6rem; min-height: 48px; height: auto; font: inherit; border: 1px solid var(--quiet); background: var(--sheet); color: var(--ink); padding: 0 0.5rem; }
  .doubt { color: var(--doubt); font-weight: 600; }
  .parts { display: grid; gap: 0.5rem; margin-bottom: 1rem; }
  .parts li { display: grid; grid-template-columns: 2.2rem 1fr; line-height: 1.3; }
  .count { font-size: 1.6rem; line-height: 1; }
  .rotor { display: flex; flex-wrap: wrap; gap: 1rem 2rem; align-items: flex-start; }
  .bad { color: var(--plan); }
  .steps h3 { margin: 1.1rem 0 0.4rem; padding-bottom: 0.25rem; border-bottom: 2px solid var(--ink); }
  .steps li { padding: 0.35rem 0; break-inside: avoid; }
  label { display: grid; grid-template-columns: 2rem 1fr; line-height: 1.4; font-size: 1.0625rem; }
  input { width: 1.35rem; height: 1.35rem; margin: 0.1rem 0 0; accent-color: var(--petrol); }
  .done label > span { color: var(--quiet); text-decoration: line-through; text-decoration-thickness: 1px; }
  .at { font-size: 1.2rem; margin: 0 0.35rem; white-space: nowrap; }
  .gate { border: 1px solid currentColor; font-size: 0.8125rem; padding: 0 0.35rem; margin-left: 0.35rem; white-space: nowrap; }
  .caution { margin: 0.2rem 0 0.2rem 2rem; padding-left: 0.6rem; border-left: 4px solid var(--line); font-size: 0.9688rem; line-height: 1.35; }
  .danger { border-color: var(--stop); color: var(--stop); }
  .warning { border-color: var(--plan); color: var(--plan); }
  .notice { border-color: var(--petrol); color: var(--petrol); }
  @media (max-width: 40rem) { .value { font-size: 2.4rem; text-align: left; min-width: 0; } .second { font-size: 1.6rem; } input { width: 1.8rem; height: 1.8rem; } label { grid-template-columns: 2.6rem 1fr; min-height: 48px; } }
  @media print {
    .sheet { break-inside: auto; }
    h2, h3 { break-after: avoid; }
    label, .caution, .list, .parts { font-size: 0.85rem; line-height: 1.25; }
    .steps li { padding: 0.15rem 0; }
    .columns { display: grid; grid-template-columns: 1fr 1fr; }
  }
</style>
