<script lang="ts">
  import PositionTable from "./PositionTable.svelte";
  import SelectField from "../../parts/controls/SelectField.svelte";
  import Skeleton from "../../parts/Skeleton.svelte";
  import { currentPage } from "../../parts/currentPage.svelte";
  import * as common from "../../texts/common";
  import * as texts from "../../texts/wear";
  import { say } from "../../texts/say";
  import { Button } from "carbon-components-svelte";
  import { lazyApi } from "../../api/lazyApi";
  import { api, type Schemas } from "../../api/client";
  import AxleSection from "../../parts/AxleSection.svelte";
  import Problem from "../../parts/Problem.svelte";
  import Shortcuts from "../../parts/Shortcuts.svelte";
  import StateMark from "../../parts/StateMark.svelte";
  import ForecastQuality from "./ForecastQuality.svelte";
  import SaveSvg from "../../parts/SaveSvg.svelte";
  import WearChart from "./WearChart.svelte";
  import WearWhy from "./WearWhy.svelte";
  import WhatIf from "./WhatIf.svelte";
  import { limitLength } from "../../format/lengths";
  import {
    axleWord,
    day,
    lowerFirst,
    month,
    ofBrake,
    position as named,
    rough,
    span,
    upperFirst,
  } from "../../format/words";
  import { Loader } from "../../parts/loader.svelte";
  import { push } from "svelte-spa-router";

  let { params }: { params: { id: string } } = $props();
  const wear = new Loader<Schemas["Wear"]>();
  let limit = $state("");
  let shown = $state("");
  const id = $derived(Number(params.id));
  $effect(() => currentPage.at({ axle: id }, "wear"));

  $effect(() => {
    const [axle, asked] = [id, limit];
    wear.load(() => api.wear(axle, asked));
  });

  const quality = new Loader<Schemas["ForecastQuality"]>();
  $effect(() => {
    const axle = id;
    quality.load(() => lazyApi.forecastQuality(axle));
  });

  const value = $derived(wear.value);
  const pads = $derived(value?.components.filter((component) => component.part === "pad") ?? []);
  const rotors = $derived(value?.components.filter((component) => component.part === "rotor") ?? []);
  const first = $derived([...pads].sort((a, b) => (a.life?.distance_km.p50 ?? 0) - (b.life?.distance_km.p50 ?? 0))[0]);
  const positions = $derived(
    shown === "pads"
      ? pads.map((pad) => pad.position)
      : shown === "rotors"
        ? rotors.map((rotor) => rotor.position)
        : shown
          ? [shown]
          : first
            ? [first.position]
            : [],
  );
</script>

<Shortcuts
  keys={{
    l: () => value && push(`/vehicles/${value.axle_name.vehicle_id}/inspection?axle=${id}`),
    j: () => push(`/axles/${id}/job-plan`),
  }}
/>
{#if wear.error}<Problem error={wear.error} />{/if}
{#if value}
  {@const unit = value.axle_name.distance_unit}
  {@const axle = value.axle}
  {@const today = value.as_of.date}
  <div class="stack">
    <div>
      <div class="row spread">
        <h1>{say(texts.nameWear, { name: upperFirst(axleWord(axle.name)) })}</h1>
        <StateMark state={axle.state} large />
      </div>
    </div>

    {#if axle.pads_life}
      <section class="sheet answer">
        <div class="say">
          <p class="quiet">
            {ofBrake(say(texts.padsToLimit, { limit: limitLength(axle.limit_mm, "pad") }), axle.brakes)}
          </p>
          <p class="number big">{span(axle.pads_life.distance_km, unit)}</p>
          {#if axle.pads_life.distance_km.p50 > 0}
            <p>
              {say(texts.mostLikelyWithRange, {
                rough: rough(axle.pads_life.distance_km.p50, unit),
                month: month(axle.pads_life.date.p50, today),
                month2: month(axle.pads_life.date.p10, today),
                month3: month(axle.pads_life.date.p90, today),
              })}
            </p>
          {:else}
            <p>
              {ofBrake(
                say(texts.aPadHasMostLikely, { round: Math.round(axle.pads_life.chance_now * 100) }),
                axle.brakes,
              )}{#if value.passed}{" "}{say(texts.passedAgo, {
                  rough: rough(value.passed.distance_km, unit),
                  day: day(value.passed.date),
                })}{/if}.
            </p>
          {/if}
          <p class="again">
            {say(ofBrake(axle.look_again?.renew ? texts.renewBy : texts.inspectBy, axle.brakes), {
              by:
                axle.look_again && axle.look_again.distance_km > 99
                  ? say(common.inspectByRange, {
                      rough: rough(axle.look_again.distance_km, unit),
                      month: month(axle.look_again.date, today),
                    })
                  : common.now,
            })}{#if axle.look_again && axle.look_again.chance >= 0.01}{" "}{say(texts.chanceByThen, {
                percent: Math.round(axle.look_again.chance * 100),
              })}{/if}
          </p>
          <SelectField
            label={texts.replacedAt}
            bind:value={limit}
            options={[
              { id: "", label: texts.myLimit },
              ...value.limits.map((each) => ({
                id: String(each.mm),
                label: say(texts.limitLabel, { limit: limitLength(each.mm, "pad"), label: lowerFirst(each.label) }),
              })),
            ]}
          />
        </div>
        <AxleSection corners={axle.corners} scale={3.6} legend />
      </section>
    {:else}
      <section class="sheet stack">
        <h2>{texts.noForecastYet}</h2>
        <p>{ofBrake(say(texts.whyNotLogAInspection, { whyNot: upperFirst(axle.why_not.join("; ")) }), axle.brakes)}</p>
        <div>
          <Button href="#/vehicles/{value.axle_name.vehicle_id}/inspection?axle={axle.id}"
            >{common.startInspection}</Button
          >
        </div>
      </section>
    {/if}

    {#if value.readings.length && positions.length}
      <section class="sheet" data-picture>
        <div class="row spread">
          <h2>{texts.thicknessOverDistance}</h2>
          <SelectField
            label={texts.show}
            bind:value={shown}
            options={[
              {
                id: "",
                label: first ? say(texts.theFirstToGoNamed, { named: named(first.position) }) : texts.theFirstToGo,
              },
              { id: "pads", label: texts.allPads },
              ...pads.map((pad) => ({ id: pad.position, label: named(pad.position) })),
              ...(rotors.length ? [{ id: "rotors", label: common.rotors }] : []),
            ]}
          />
        </div>
        <WearChart wear={value} {positions} />
        <p class="quiet">
          {texts.chartNote}
          <SaveSvg title={say(texts.chartOf, { vehicle: value.axle_name.vehicle_name, axle: axle.name })} />
        </p>
      </section>
    {/if}

    {#if axle.pads_life && quality.value}
      <section class="sheet">
        <h2>{texts.whatIf}</h2>
        {#key id}<WhatIf
            brakes={axle.brakes}
            axle={id}
            sides={axle.sides}
            {unit}
            {today}
            {limit}
            kmPerDay={value.km_per_day}
            choices={quality.value.choices}
          />{/key}
      </section>
      <ForecastQuality quality={quality.value} {unit} />
    {/if}

    {#if value.components.length}
      <PositionTable components={value.components} {unit} />
    {/if}

    <WearWhy {axle} why={value.why} />
    <div class="row no-print">
      <Button href="#/axles/{axle.id}/job-plan">{common.planAJob}<kbd aria-hidden="true">j</kbd></Button>
      <Button kind="tertiary" href="#/vehicles/{value.axle_name.vehicle_id}/inspection?axle={axle.id}"
        >{common.startInspection}<kbd aria-hidden="true">l</kbd></Button
      >
    </div>
  </div>
{:else if wear.loading}
  <Skeleton />
{/if}

<style>
  .answer {
    display: flex;
    flex-wrap: wrap;
    gap: 1rem 2.5rem;
    justify-content: space-between;
    align-items: center;
  }
  .say {
    display: grid;
    gap: 0.4rem;
    flex: 1 1 20rem;
  }
  .big {
    font-size: 2.6rem;
    line-height: 1.05;
  }
  .again {
    font-weight: 600;
    font-size: 1.1rem;
  }
</style>
