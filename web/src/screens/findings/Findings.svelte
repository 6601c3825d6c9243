<script lang="ts">
  import Compared from "./Compared.svelte";
  import Skeleton from "../../parts/Skeleton.svelte";
  import { currentPage } from "../../parts/currentPage.svelte";
  import * as common from "../../texts/common";
  import * as texts from "../../texts/findings";
  import { say } from "../../texts/say";
  import { lazyApi } from "../../api/lazyApi";
  import { api, type Schemas } from "../../api/client";
  import AxleSection from "../../parts/AxleSection.svelte";
  import SelectField from "../../parts/controls/SelectField.svelte";
  import ClaimCheck from "./ClaimCheck.svelte";
  import FindingCard from "./FindingCard.svelte";
  import { matters } from "./matters";
  import TermText from "../../parts/TermText.svelte";
  import Problem from "../../parts/Problem.svelte";
  import StateMark from "../../parts/StateMark.svelte";
  import SymptomQuestions from "./SymptomQuestions.svelte";
  import { thickness } from "../../format/lengths";
  import { degrees, degreeUnit } from "../../format/temperature";
  import { axleTitle, axleWord, brakesAt, lowerFirst, ofBrake, rough, upperFirst } from "../../format/words";
  import { Loader } from "../../parts/loader.svelte";

  let { params }: { params: { id: string } } = $props();
  const loaded = new Loader<{ findings: Schemas["Findings"]; states: Schemas["State"][] }>();
  const id = $derived(Number(params.id));
  $effect(() => currentPage.at({ vehicle: id }, "findings"));
  const load = (of: number) =>
    loaded.load(async () => {
      const [findings, { states }] = await Promise.all([api.findings(of), api.catalogue()]);
      return { findings, states };
    });
  $effect(() => {
    void load(id);
  });

  async function choose(kind: string, option: string) {
    await api.chooseApproaches({ [kind]: option }, loaded.value?.findings.revision);
    await load(id);
  }
  async function answer(finding: Schemas["Finding"], cause: string) {
    await lazyApi.answerCause(id, { rule: finding.rule, axle_id: finding.axle_id!, side: finding.side, cause });
    await load(id);
  }
  const found = $derived(matters(loaded.value?.findings.findings ?? []));
  /** A link to plan the job: once per axle, at its first matter. */
  function plannedAt(finding: Schemas["Finding"]) {
    const axle = loaded.value!.findings.axles.find((each) => each.id === finding.axle_id);
    const first = found.find((each) => each.lead.axle_id === finding.axle_id)?.lead;
    if (!axle || first !== finding || !["plan", "stop"].includes(finding.severity)) return null;
    return { href: `#/axles/${axle.id}/job-plan`, label: say(texts.planJob, { name: axleWord(axle.name) }) };
  }
</script>

{#if loaded.error}<Problem error={loaded.error} />{/if}
{#if loaded.value}
  {@const { findings, states } = loaded.value}
  {@const vehicle = findings.vehicle}
  {@const stateOf = (severity: string) => states.find((each) => each.severity === severity)!}
  <div class="stack">
    <div class="row spread">
      <div>
        <h1>{common.findings}</h1>
      </div>
      <div class="row">
        {#each findings.axles as axle (axle.id)}<span class="row axle"
            ><strong>{axleTitle(axle.name)}</strong><StateMark state={axle.state} /></span
          >{/each}
      </div>
    </div>
    <div class="columns wide">
      <section class="stack" aria-label={texts.whatWasFound}>
        {#each found as { key, lead, others } (key)}
          <FindingCard
            finding={lead}
            {others}
            state={stateOf(lead.severity)}
            plan={plannedAt(lead)}
            onanswer={(cause) => answer(lead, cause)}
          />
        {:else}
          <p class="sheet">
            {texts.nothingToDo}
            {findings.silent.length ? texts.seeNotEnoughData : ""}
          </p>
        {/each}
        {#if findings.silent.length}
          <div class="sheet silent">
            <h2>{texts.notEnoughData}</h2>
            <ul>
              {#each findings.silent as sentence (sentence)}<li>{sentence}</li>{/each}
            </ul>
            <p class="quiet">{texts.noKnownLimitMeansNo}</p>
          </div>
        {/if}
      </section>
      <div class="stack">
        {#each findings.axles as axle (axle.id)}
          <section class="sheet" aria-label={say(texts.nameRotors, { name: axleWord(axle.name) })}>
            <AxleSection corners={axle.corners} scale={2.6} />
            <h2>
              {ofBrake(
                say(axle.rotors.with_pads ? texts.rotorsWithNewPads : texts.rotorsToday, {
                  name: upperFirst(axleWord(axle.name)),
                  label: lowerFirst(axle.rotors.label),
                }),
                axle.corners[0]?.drum ? "drum" : "disc",
              )}
            </h2>
            {#each [...new Set(axle.rotors.sides.map((side) => side.sentence))] as sentence (sentence)}<p>
                <TermText text={sentence} />
              </p>{/each}
            {#if axle.rotors.cut_left_mm !== null && axle.rotors.outcome !== "stay"}<p class="quiet">
                {axle.rotors.cut_left_mm >= 0
                  ? say(texts.machinedItWouldBe, { left: thickness(axle.rotors.cut_left_mm, "rotor") })
                  : say(texts.notWorthMachiningItWould, { value: thickness(-axle.rotors.cut_left_mm, "rotor") })}.
              </p>{/if}
            <details>
              <summary>{texts.whatWouldChangeThis}</summary
              >{#each [...new Set(axle.rotors.sides.map((side) => side.change))] as change (change)}<p>
                  {change}
                </p>{/each}
            </details>
            {#if axle.rotors.outcome !== "stay"}<a href="#/axles/{axle.id}/job-plan"
                >{say(texts.planJob, { name: axleWord(axle.name) })}</a
              >{/if}
          </section>
        {/each}
        {#if findings.fluid}
          {@const fluid = findings.fluid}
          <section class="sheet">
            <h2>{fluid.grade ? say(texts.fluidOfGrade, { grade: fluid.grade }) : texts.fluidHeading}</h2>
            <p>{fluid.sentence}</p>
            {#each fluid.axles as axle (axle.name)}
              {#if axle.pushed_ml !== null}<p>
                  {say(texts.namePistonsHomeForNew, { name: axleWord(axle.name) })}
                  <span class="number">{say(common.pushedMlMl, { pushedMl: axle.pushed_ml })}</span>
                  {texts.pushedBack}{#if axle.draw_off_ml !== null};
                    {axle.draw_off_ml > 0
                      ? say(texts.drawOffDrawOffMlMlFirst, { drawOffMl: axle.draw_off_ml })
                      : texts.thereIsRoomForIt}{/if}.
                </p>{/if}
            {/each}
            {#if fluid.may.length}<details>
                <summary>{texts.whatMayGoIn}</summary>
                <p>
                  {say(texts.mayBeFilledWithMay, { may: fluid.may.join(", ") })}
                  <strong>{say(texts.neverWithNever, { never: fluid.never.join(", ") })}</strong>
                  {#if fluid.dry_celsius !== null && fluid.wet_celsius !== null}
                    {say(texts.boilsAt, {
                      dry: degrees(fluid.dry_celsius),
                      wet: degrees(fluid.wet_celsius),
                      unit: degreeUnit,
                    })}
                  {/if}
                </p>
              </details>{/if}
          </section>
        {/if}
        {#if findings.next_readings.length}
          <section class="sheet">
            <h2>{common.mostUsefulNextMeasurement}</h2>
            <ol>
              {#each findings.next_readings as next (next.axle + next.position)}<li>
                  {ofBrake(
                    say(texts.axlePositionPadACaliper, {
                      axle: upperFirst(axleWord(next.axle)),
                      position: next.position,
                      round: Math.round(next.narrows * 100),
                      rough: rough(next.narrows_km, vehicle.distance_unit),
                    }),
                    brakesAt(next.position),
                  )}
                </li>{/each}
            </ol>
          </section>
        {/if}
      </div>
    </div>
    <section class="sheet">
      <h2>{texts.noticedSomethingOnTheRoad}</h2>
      <SymptomQuestions vehicle={vehicle.id} kind={vehicle.kind} {states} />
    </section>
    <details class="sheet matter">
      <summary>{texts.aShopsClaim}</summary>
      {#key vehicle.id}<ClaimCheck {findings} />{/key}
    </details>
    {#if findings.changes.length}
      <Compared changes={findings.changes} unit={vehicle.distance_unit} />
    {/if}
    <details class="sheet matter">
      <summary>{texts.limitsYouChose}</summary>
      <div class="row">
        {#each findings.approaches as approach (approach.id)}
          <SelectField
            label={approach.label}
            width="long"
            value={approach.chosen}
            options={approach.options}
            onchoose={(id) => choose(approach.id, id)}
          />
        {/each}
      </div>
      <p class="quiet">
        {texts.approachesNote}
      </p>
    </details>
  </div>
{:else if loaded.loading}
  <Skeleton />
{/if}

<style>
  .wide {
    grid-template-columns: minmax(0, 1.5fr) minmax(0, 1fr);
  }
  .axle {
    gap: 0.5rem;
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
  @media (max-width: 60rem) {
    .wide {
      grid-template-columns: 1fr;
    }
  }
</style>
