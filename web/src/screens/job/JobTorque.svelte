<script lang="ts">
  import TextField from "../../parts/controls/TextField.svelte";
  import * as texts from "../../texts/job";
  import { say } from "../../texts/say";
  import { lazyApi } from "../../api/lazyApi";
  import type { Schemas } from "../../api/client";
  import { figure, readings } from "../../format/jobs";
  import { upperFirst } from "../../format/words";
  import type { JobPlanState } from "../../parts/jobPlan.svelte";
  import StarOrder from "./StarOrder.svelte";
  import { FormState } from "../../parts/formState.svelte";

  /** The torque card: figures that read at two metres, and which wrench is set to what. */
  let { job }: { job: JobPlanState } = $props();
  const plan = $derived(job.plan!);
  const several = $derived(plan.axles.length > 1);

  // The third unit, for a wrench that has only that.
  const third = (line: Schemas["TorqueLine"]) =>
    line.entered_unit === "lbf·in"
      ? say(texts.figureLbfFt, { figure: figure(line.pound_feet) })
      : say(texts.figureLbfIn, { figure: figure(line.pound_inches) });

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
    const asking = new FormState();
    const settings = async (axle: { id: number; name: string }) =>
      (await lazyApi.torqueSettings(axle.id, extension)).settings.map(
        (each) => [`${axle.name}.${each.fastener}`, each.wrench] as const,
      );
    await asking.act(async () => {
      const answers = await Promise.all(plan.axles.map(({ axle }) => settings(axle)));
      if (mine === turn) extended = Object.fromEntries(answers.flat());
    });
    if (mine === turn) extensionFault = asking.first;
  }
</script>

<section class="sheet">
  {#if plan.torque.length}
    <ul class="plain-list torque">
      {#each plan.torque as line (line.id)}
        <li>
          <div class="what">
            {#if line.star}<figure>
                <StarOrder order={line.star} />
                <figcaption>{texts.starPasses}</figcaption>
              </figure>{/if}
            <h3>
              {several ? `${upperFirst(line.axle)} ` : ""}{several
                ? line.label.toLowerCase()
                : line.label}{#if line.count !== null}{" "}<span class="quiet"
                  >{say(texts.countInAll, { count: line.count })}</span
                >{/if}
            </h3>
            <p class="quiet">
              {[line.drive ?? texts.sizeUnknown, line.thread].filter(Boolean).join(", ")}{#if line.single_use}; <strong
                  >{texts.newOnesEachTime}</strong
                >{/if}{#if line.threadlocker}; {say(texts.threadlockerUse, {
                  toLowerCase: line.threadlocker.toLowerCase(),
                })}{/if}
            </p>
            <p class="quiet">{line.note}</p>
            {#if line.range}<p>
                <strong>{say(texts.torqueRange, { range: line.range })}.</strong>
                {texts.theMiddleIsShown}
              </p>{/if}
            {#if line.doubt}<p class="doubt">{line.doubt}</p>{/if}
            {#if line.wrench}
              {@const with_ = extended?.[line.id] ?? line.wrench}
              <p class="set" class:none-of={!with_.wrench} class:late={with_.overdue}>
                {#if with_.wrench}{texts.set} <strong class="number">{figure(with_.setting)} {with_.unit}</strong>
                  {extended
                    ? say(texts.onWrenchWithExtension, { wrench: with_.wrench, trim: extension.trim() })
                    : say(texts.onWrench, { wrench: with_.wrench })}
                  <span class="quiet">({with_.sentence})</span>{:else}{with_.sentence}{/if}
              </p>
            {/if}
            {#if line.reached.length}<p><strong>{texts.reachedBolts}</strong> {line.reached.join(", ")}</p>{/if}
            {#if line.source}<p class="quiet">
                {say(texts.torqueSource, {
                  toLowerCase: line.source.toLowerCase(),
                  entered: line.entered,
                  third: third(line),
                })}
              </p>{/if}
          </div>
          {#if line.newton_metres !== null}
            {#each readings(line) as [value, unit], at (unit)}
              <p class="value number" class:second={at > 0}>{figure(value)}<small>{unit}</small></p>
            {/each}
            {#if line.angle_degrees}<p class="value number angle">
                + {figure(line.angle_degrees)}°<small>{texts.secondStage}</small>
              </p>{/if}
          {:else}
            <p class="value none" class:snug={line.snug}>
              {line.snug ? texts.justSnug : texts.torqueUnknownStop}
            </p>
          {/if}
        </li>
      {/each}
    </ul>
    {#if plan.torque.some((line) => line.wrench)}
      <div class="extension no-print">
        <TextField
          id="extension"
          label={texts.extensionLabel}
          inputmode="decimal"
          bind:value={extension}
          oninput={extend}
          fault={extensionFault}
        />
        <span class="quiet">{texts.extensionFormula}</span>
      </div>
    {/if}
  {:else}
    <p>{texts.torqueNeedsSteps}</p>
  {/if}
</section>

<style>
  .torque li {
    display: flex;
    flex-wrap: wrap;
    gap: 0.5rem 2rem;
    align-items: center;
    padding: 0.6rem 0;
    border-top: 1px solid var(--line);
    break-inside: avoid;
  }
  .torque li:first-child {
    border-top: 0;
  }
  .what {
    flex: 1 1 16rem;
  }
  .what p {
    line-height: 1.3;
  }
  .value {
    font-size: 3rem;
    line-height: 1;
    min-width: 9.5rem;
    text-align: right;
  }
  .value small {
    font-size: 1.05rem;
    margin-left: 0.3rem;
  }
  .second {
    color: var(--quiet);
    font-size: 2.1rem;
  }
  .angle {
    font-size: 2.4rem;
  }
  .none {
    font-size: 1.05rem;
    font-weight: 600;
    color: var(--stop);
    text-align: left;
    max-width: 16rem;
    line-height: 1.2;
  }
  .snug {
    color: var(--good);
  }
  .what .set {
    font-size: 1.05rem;
    margin: 0.2rem 0;
  }
  .set strong {
    font-size: 1.3rem;
  }
  .none-of,
  .late {
    color: var(--plan);
  }
  .doubt {
    color: var(--doubt);
    font-weight: 600;
  }
  /* Within the text, so that the figures stand in one column. */
  figure {
    float: right;
    margin: 0 0 0 1rem;
    text-align: center;
  }
  figcaption {
    font-size: 0.875rem;
    color: var(--quiet);
    max-width: 7rem;
    line-height: 1.2;
  }
  .extension {
    display: flex;
    flex-wrap: wrap;
    gap: 0.5rem 0.9rem;
    align-items: center;
    border-top: 1px solid var(--line);
    padding-top: 0.75rem;
  }
  @media (max-width: 40rem) {
    .value {
      font-size: 2.4rem;
      text-align: left;
      min-width: 0;
    }
    .second {
      font-size: 1.6rem;
    }
  }
  @media print {
    .value {
      font-size: 3.4rem;
    }
  }
</style>
