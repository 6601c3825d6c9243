<script lang="ts">
  import { Button } from "carbon-components-svelte";
  import { api, type Schemas } from "../../api/client";
  import AxleSection from "../../parts/AxleSection.svelte";
  import Choose from "../../parts/Choose.svelte";
  import ClaimCheck from "./ClaimCheck.svelte";
  import FindingCard from "./FindingCard.svelte";
  import Problem from "../../parts/Problem.svelte";
  import StateMark from "../../parts/StateMark.svelte";
  import SymptomQuestions from "./SymptomQuestions.svelte";
  import { day, exact, lowerFirst, partMm, rough, upperFirst } from "../../format/words";
  import { Loader } from "../../parts/loader.svelte";

  let { params }: { params: { id: string } } = $props();
  const loaded = new Loader<{ findings: Schemas["Findings"]; states: Schemas["State"][] }>();
  const id = $derived(Number(params.id));
  const load = (of: number) =>
    loaded.load(async () => {
      const [findings, { states }] = await Promise.all([api.findings(of), api.catalogue()]);
      return { findings, states };
    });
  $effect(() => {
    void load(id);
  });

  async function choose(kind: string, option: string) {
    await api.chooseSchools({ [kind]: option });
    await load(id);
  }
  const since = (change: Schemas["ReadingChange"]) => change.now_mm - change.before_mm;
</script>

<svelte:head><title>Findings - Graver</title></svelte:head>
{#if loaded.error}<Problem error={loaded.error} />{/if}
{#if loaded.value}
  {@const { findings, states } = loaded.value}
  {@const vehicle = findings.vehicle}
  {@const stateOf = (severity: string) => states.find((each) => each.severity === severity)!}
  <div class="stack">
    <div class="row spread">
      <div>
        <p class="quiet"><a href="#/vehicles/{vehicle.id}">{vehicle.name}</a></p>
        <h1>Findings</h1>
      </div>
      <div class="row">
        {#each findings.axles as axle (axle.id)}<span class="row axle"
            ><strong>{upperFirst(axle.name)}</strong><StateMark state={axle.state} /></span
          >{/each}
      </div>
    </div>
    <div class="columns wide">
      <section class="stack" aria-label="What was found">
        {#each findings.findings as finding (finding.rule + finding.sentence)}
          <FindingCard {finding} state={stateOf(finding.severity)} />
        {:else}
          <p class="sheet">
            Nothing was found that needs you. {findings.silent.length ? "But see what cannot be said." : ""}
          </p>
        {/each}
        {#if findings.silent.length}
          <div class="sheet silent">
            <h2>What cannot be said</h2>
            <ul>
              {#each findings.silent as sentence (sentence)}<li>{sentence}</li>{/each}
            </ul>
            <p class="quiet">No known limit means no verdict, not a pass.</p>
          </div>
        {/if}
      </section>
      <div class="stack">
        {#each findings.axles as axle (axle.id)}
          <section class="sheet" aria-label="{axle.name} rotors">
            <AxleSection corners={axle.corners} scale={2.6} />
            <h2>
              {upperFirst(axle.name)} axle{axle.rotors.with_pads ? ", with new pads" : " today"}: {lowerFirst(
                axle.rotors.label,
              )}
            </h2>
            {#each axle.rotors.sides as side (side.side)}<p>{side.sentence}</p>{/each}
            {#if axle.rotors.cut_left_mm !== null && axle.rotors.outcome !== "stay"}<p class="quiet">
                {axle.rotors.cut_left_mm >= 0
                  ? `Machined, it would end ${axle.rotors.cut_left_mm.toFixed(2)} mm above its minimum`
                  : `Not worth machining: it would end ${(-axle.rotors.cut_left_mm).toFixed(2)} mm below its minimum`}.
              </p>{/if}
            <details>
              <summary>What would change this</summary
              >{#each [...new Set(axle.rotors.sides.map((side) => side.change))] as change (change)}<p>
                  {change}
                </p>{/each}
            </details>
            <div class="row">
              <Button size="small" kind="tertiary" href="#/axles/{axle.id}/job-plan">Plan the {axle.name}</Button>
            </div>
          </section>
        {/each}
        {#if findings.fluid}
          {@const fluid = findings.fluid}
          <section class="sheet">
            <h2>Fluid{fluid.grade ? `: ${fluid.grade}` : ""}</h2>
            {#if fluid.dry_celsius}<p>
                Boils at {fluid.dry_celsius} °C dry, {fluid.wet_celsius} °C wet, at least (49 CFR 571.116).
              </p>{/if}
            {#if fluid.may.length}<p>
                May be filled with {fluid.may.join(", ")}. <strong>Never with {fluid.never.join(", ")}.</strong>
              </p>{/if}
            <p>{fluid.sentence}</p>
            {#each fluid.axles as axle (axle.name)}
              {#if axle.pushed_ml !== null}<p>
                  {upperFirst(axle.name)} pistons home for new pads: <span class="number">{axle.pushed_ml} ml</span>
                  come back{#if axle.draw_off_ml !== null};
                    {axle.draw_off_ml > 0
                      ? `draw off ${axle.draw_off_ml} ml first, or let it out at the bleed screw`
                      : "there is room for it, watch the level"}{/if}.
                </p>{/if}
            {/each}
          </section>
        {/if}
        {#if findings.next_readings.length}
          <section class="sheet">
            <h2>Most useful next measurement</h2>
            <ol>
              {#each findings.next_readings as next (next.axle + next.position)}<li>
                  {upperFirst(next.axle)}
                  {next.position} pad: a caliper reading narrows “when” by about {Math.round(next.narrows * 100)} % ({rough(
                    next.narrows_km,
                    vehicle.distance_unit,
                  )})
                </li>{/each}
            </ol>
          </section>
        {/if}
      </div>
    </div>
    <section class="sheet">
      <h2>Noticed something on the road?</h2>
      <SymptomQuestions vehicle={vehicle.id} {states} />
    </section>
    <section class="sheet">
      <h2>A shop's claim?</h2>
      <ClaimCheck {findings} />
    </section>
    {#if findings.changes.length}
      <section class="sheet">
        <h2>Against the look-over before</h2>
        <div class="scroll">
          <table>
            <thead><tr><th>Where</th><th>Before</th><th>Now</th><th>Worn</th><th>Over</th></tr></thead>
            <tbody>
              {#each findings.changes as change (change.axle + change.position + change.part)}
                <tr
                  ><td>{upperFirst(change.axle)} {change.position} {change.part}</td><td
                    >{partMm(change.before_mm, change.part)} mm, {day(change.before_on)}</td
                  ><td>{partMm(change.now_mm, change.part)} mm, {day(change.now_on)}</td><td
                    >{partMm(-since(change), change.part)} mm</td
                  ><td>{exact(change.km, vehicle.distance_unit)}</td></tr
                >
              {/each}
            </tbody>
          </table>
        </div>
      </section>
    {/if}
    <section class="sheet row">
      {#each findings.schools as school (school.id)}
        <label class="school"
          ><span>{school.label}</span><Choose
            value={school.chosen}
            options={school.options}
            onchoose={(id) => choose(school.id, id)}
          /></label
        >
      {/each}
      <p class="quiet">
        Practitioners disagree; these hold for the whole household. A limit of your own in the brake data comes first,
        and never below the maker's.
      </p>
    </section>
  </div>
{/if}

<style>
  .wide {
    grid-template-columns: minmax(0, 1.5fr) minmax(0, 1fr);
  }
  .axle {
    gap: 0.5rem;
  }
  .school {
    display: grid;
    gap: 0.25rem;
    font-weight: 600;
    min-width: 0;
    flex: 1 1 18rem;
  }
  .silent {
    border-style: dashed;
  }
  ul,
  ol {
    margin: 0;
    padding-left: 1.2rem;
    display: grid;
    gap: 0.25rem;
    list-style: revert;
  }
  summary {
    cursor: pointer;
    color: var(--petrol);
    min-height: 40px;
    display: flex;
    align-items: center;
  }
  @media (max-width: 60rem) {
    .wide {
      grid-template-columns: 1fr;
    }
  }
</style>
