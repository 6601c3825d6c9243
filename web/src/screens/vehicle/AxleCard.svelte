<script lang="ts">
  import * as common from "../../texts/common";
  import * as parts from "../../texts/parts";
  import * as texts from "../../texts/vehicle";
  import { say } from "../../texts/say";
  import { Button } from "carbon-components-svelte";
  import type { Schemas } from "../../api/client";
  import AxleSection from "../../parts/AxleSection.svelte";
  import StateMark from "../../parts/StateMark.svelte";
  import { limitLength } from "../../format/lengths";
  import { axleTitle, axleWord, day, month, ofBrake, rough, span } from "../../format/words";

  /** One axle as it stands: drawn, how long it lasts, why, and where to go from here. */
  interface Props {
    vehicle: Schemas["Vehicle"];
    axle: Schemas["Axle"];
    today: string;
    /** Keys of what it leads to, shown beside it. */
    keys: { look: string; wear: string; job: string; data: string };
  }
  let { vehicle, axle, today, keys }: Props = $props();
</script>

<section class="sheet axle" aria-label={say(common.nameAxle, { name: axleWord(axle.name) })}>
  <div class="row spread">
    <h2>{axleTitle(axle.name)}</h2>
    <StateMark state={axle.state} />
  </div>
  <div class="body">
    <AxleSection
      corners={axle.corners}
      scale={4.2}
      legend
      title={say(parts.sectionOf, { name: vehicle.name, axle: axleWord(axle.name) })}
    />
    <div class="say stack">
      {#if axle.pads_life}
        <div>
          <p class="quiet">
            {ofBrake(say(texts.padsToLimitLabel, { limit: limitLength(axle.limit_mm, "pad") }), axle.brakes)}
          </p>
          <p class="number figure">{span(axle.pads_life.distance_km, vehicle.distance_unit)}</p>
          {#if axle.pads_life.distance_km.p50 > 0}
            <p>
              {say(texts.mostLikelyDue, {
                rough: rough(axle.pads_life.distance_km.p50, vehicle.distance_unit),
                month: month(axle.pads_life.date.p50, today),
              })}
            </p>
          {/if}
        </div>
        <p>
          <strong
            >{say(ofBrake(axle.look_again?.renew ? texts.renewBy : texts.inspectBy, axle.brakes), {
              by:
                axle.look_again && axle.look_again.distance_km > 99
                  ? say(common.inspectByRange, {
                      rough: rough(axle.look_again.distance_km, vehicle.distance_unit),
                      month: month(axle.look_again.date, today),
                    })
                  : common.now,
            })}</strong
          >
        </p>
      {/if}
      <ul class="reasons">
        {#each axle.reasons as reason (reason.rule)}<li>{reason.sentence}</li>{/each}
      </ul>
      {#if axle.job}
        <p>
          <a href="#/jobs/{axle.job.id}"
            >{say(common.jobAnd, {
              state:
                axle.job.state === "in_progress"
                  ? common.inProgress
                  : `${axle.job.state === "ready" ? texts.ready : texts.plannedNotReadyYet}${axle.job.planned_for ? `, ${day(axle.job.planned_for)}` : ""}`,
            })}</a
          >
        </p>
      {/if}
    </div>
  </div>
  <div class="row actions">
    <Button size="field" kind="tertiary" href="#/vehicles/{vehicle.id}/inspection?axle={axle.id}"
      >{say(texts.inspectionTheName, { name: axleWord(axle.name) })}<kbd aria-hidden="true">{keys.look}</kbd></Button
    >
    <Button size="field" kind="tertiary" href="#/axles/{axle.id}/wear"
      >{texts.wear}<kbd aria-hidden="true">{keys.wear}</kbd></Button
    >
    <Button size="field" kind="tertiary" href={axle.job ? `#/jobs/${axle.job.id}` : `#/axles/${axle.id}/job-plan`}
      >{axle.job ? texts.openJob : common.planAJob}<kbd aria-hidden="true">{keys.job}</kbd></Button
    >
    <Button size="field" kind="tertiary" href="#/axles/{axle.id}/brake-data"
      >{texts.brakeData}<kbd aria-hidden="true">{keys.data}</kbd></Button
    >
  </div>
</section>

<style>
  .body {
    display: flex;
    flex-wrap: wrap;
    gap: 1rem 2rem;
    align-items: flex-start;
    justify-content: space-between;
  }
  .say {
    flex: 1 1 18rem;
    gap: 0.6rem;
  }
  .figure {
    font-size: 1.7rem;
    line-height: 1.15;
  }
  .reasons {
    margin: 0;
    padding-left: 1.1rem;
    display: grid;
    gap: 0.25rem;
    list-style: disc;
  }
  .actions {
    margin-top: 1rem;
    gap: 0.5rem;
  }
</style>
