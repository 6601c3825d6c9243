<script lang="ts">
  import { Button, Select, SelectItem, TextInput } from "carbon-components-svelte";
  import { api, type Schemas } from "../../api/client";
  import AxleSection from "../../parts/AxleSection.svelte";
  import Problem from "../../parts/Problem.svelte";
  import Timeline from "../../parts/Timeline.svelte";
  import { axleLane, vehicleLane, type Lane } from "../../parts/timelineScale";
  import Shortcuts from "../../parts/Shortcuts.svelte";
  import StateMark from "../../parts/StateMark.svelte";
  import { amount } from "../../format/jobs";
  import { day, exact, month, rough, span, upperFirst, inUnit } from "../../format/words";
  import { Loader } from "../../parts/loader.svelte";
  import { push } from "svelte-spa-router";
  import { FormState } from "../../parts/formState.svelte";

  let { params }: { params: { id: string } } = $props();
  const loaded = new Loader<{ vehicle: Schemas["Vehicle"]; timeline: Schemas["Timeline"]; today: string }>();
  const id = $derived(Number(params.id));
  let renaming = $state(false);
  let newName = $state("");
  let newUnit = $state<Schemas["DistanceUnit"]>("km");
  let renewing = $state(false);
  let renewedOn = $state("");
  let renewedAt = $state("");
  const form = new FormState();

  async function fetchIt(of: number) {
    const [vehicle, timeline, catalogue] = await Promise.all([api.vehicle(of), api.timeline(of), api.catalogue()]);
    return { vehicle, timeline, today: catalogue.today };
  }
  $effect(() => {
    const of = id;
    loaded.load(() => fetchIt(of));
  });

  const vehicle = $derived(loaded.value?.vehicle);
  const today = $derived(loaded.value?.today ?? "");

  // Small letters for the front axle, capitals for the rear.
  const actions = { w: "wear", j: "job-plan", b: "brake-data" };
  const keyed = (letter: string, at: number) => (at === 0 ? letter : letter.toUpperCase());
  const keys = $derived(
    Object.fromEntries([
      ["l", () => push(`/vehicles/${id}/look-over`)],
      ["v", () => push(`/vehicles/${id}/findings`)],
      ["r", () => push(`/vehicles/${id}/timeline`)],
      ...(vehicle?.axles ?? []).flatMap((axle, at) => [
        [keyed("f", at), () => push(`/vehicles/${id}/look-over?axle=${axle.id}`)],
        ...Object.entries(actions).map(([letter, screen]) => [
          keyed(letter, at),
          () => push(screen === "job-plan" && axle.job ? `/jobs/${axle.job.id}` : `/axles/${axle.id}/${screen}`),
        ]),
      ]),
    ]),
  );

  function lanes(of: Schemas["Vehicle"]): Lane[] {
    const events = loaded.value?.timeline.events ?? [];
    const whole = vehicleLane(events, "Vehicle", today);
    return [...of.axles.map((axle) => axleLane(axle, upperFirst(axle.name), today, events)), ...(whole ? [whole] : [])];
  }

  const fault = form.fault;

  async function renew(event: SubmitEvent) {
    event.preventDefault();
    await form.act(async () => {
      await api.renewFluid(id, { date: renewedOn, odometer: { value: renewedAt } });
      loaded.value = await fetchIt(id);
      renewing = false;
    });
  }

  async function rename(event: SubmitEvent) {
    event.preventDefault();
    await form.act(async () => {
      await api.changeVehicle(id, { name: newName, distance_unit: newUnit });
      loaded.value = await fetchIt(id);
      renaming = false;
    });
  }

  function startRenaming(of: Schemas["Vehicle"]) {
    [newName, newUnit, renaming] = [of.name, of.distance_unit, true];
  }

  let failed = $state.raw<unknown>(null);
  async function act(action: () => Promise<unknown>) {
    try {
      await action();
      loaded.value = await fetchIt(id);
      failed = null;
    } catch (error) {
      failed = error;
    }
  }
  const archive = (archived: boolean) => act(() => api.changeVehicle(id, { archived }));
</script>

<Shortcuts {keys} />
<svelte:head><title>{vehicle?.name ?? "Vehicle"} - Graver</title></svelte:head>

{#if loaded.error ?? failed}<Problem error={loaded.error ?? failed} />{/if}
{#if vehicle}
  <div class="stack">
    <div class="row spread">
      <div class="row">
        <h1>{vehicle.name}</h1>
        <StateMark state={vehicle.state} large />
      </div>
      <Button size="field" href="#/vehicles/{vehicle.id}/look-over"
        >Start a look-over<kbd aria-hidden="true">l</kbd></Button
      >
      <Button size="field" kind="tertiary" href="#/vehicles/{vehicle.id}/findings"
        >Findings<kbd aria-hidden="true">v</kbd></Button
      >
      <p class="quiet">
        {#if vehicle.odometer_km !== null}{vehicle.odometer_estimated ? "about " : ""}{exact(
            vehicle.odometer_km,
            vehicle.distance_unit,
          )} today, {Math.round(inUnit(vehicle.km_per_day, vehicle.distance_unit))}
          {vehicle.distance_unit} a day{:else}No odometer yet{/if}
      </p>
    </div>

    {#if vehicle.seen.length}
      <ul class="sheet plain-list seen">
        {#each vehicle.seen as mark (mark.text)}
          <li class={mark.severity}>
            <strong>{upperFirst(mark.text)}</strong> ({day(mark.date)}). {mark.caution ?? ""}
          </li>
        {/each}
      </ul>
    {/if}
    {#if vehicle.archived}<p class="sheet" role="status">
        {vehicle.name} is archived: it is not in the garage.
        <button type="button" class="link" onclick={() => archive(false)}>Undo</button>
      </p>{/if}
    {#if vehicle.skipped.length}
      <ul class="sheet plain-list seen">
        {#each vehicle.skipped as step (step.job + step.step)}
          <li class="watch">
            <strong>Done another way on {day(step.day)}:</strong>
            {step.text} <span class="quiet">Reason: {step.because}.</span>
            <button type="button" class="link" onclick={() => act(() => api.clearSkipped(step.job, step.step))}
              >Made good</button
            >
          </li>
        {/each}
      </ul>
    {/if}
    {#each vehicle.axles as axle, at (axle.id)}
      <section class="sheet axle" aria-label="{axle.name} axle">
        <div class="row spread">
          <h2>{upperFirst(axle.name)}</h2>
          <StateMark state={axle.state} />
        </div>
        <div class="body">
          <AxleSection corners={axle.corners} scale={4.2} legend />
          <div class="say stack">
            {#if axle.pads_life}
              <div>
                <p class="quiet">Pads to your limit of {axle.limit_mm} mm</p>
                <p class="number figure">{span(axle.pads_life.distance_km, vehicle.distance_unit)}</p>
                {#if axle.pads_life.distance_km.p50 > 0}
                  <p>
                    most likely {rough(axle.pads_life.distance_km.p50, vehicle.distance_unit)}, {month(
                      axle.pads_life.date.p50,
                      today,
                    )}
                  </p>
                {/if}
              </div>
              <p>
                <strong
                  >Look again {axle.look_again && axle.look_again.distance_km > 99
                    ? `within ${rough(axle.look_again.distance_km, vehicle.distance_unit)} or by ${month(axle.look_again.date, today)}`
                    : "now"}</strong
                >
              </p>
            {/if}
            <ul class="reasons">
              {#each axle.reasons as reason (reason.rule)}<li>{reason.sentence}</li>{/each}
            </ul>
            {#if axle.job}
              <p>
                <a href="#/jobs/{axle.job.id}"
                  >Job {axle.job.state === "started"
                    ? "in progress"
                    : `${axle.job.state === "ready" ? "ready" : "planned, not ready yet"}${axle.job.planned_for ? `, ${day(axle.job.planned_for)}` : ""}`}</a
                >
              </p>
            {/if}
          </div>
        </div>
        <div class="row actions">
          <Button size="field" kind="tertiary" href="#/vehicles/{vehicle.id}/look-over?axle={axle.id}"
            >Look over the {axle.name}<kbd aria-hidden="true">{keyed("f", at)}</kbd></Button
          >
          <Button size="field" kind="tertiary" href="#/axles/{axle.id}/wear"
            >Wear<kbd aria-hidden="true">{keyed("w", at)}</kbd></Button
          >
          <Button size="field" kind="tertiary" href={axle.job ? `#/jobs/${axle.job.id}` : `#/axles/${axle.id}/job-plan`}
            >{axle.job ? "The job" : "Plan a job"}<kbd aria-hidden="true">{keyed("j", at)}</kbd></Button
          >
          <Button size="field" kind="tertiary" href="#/axles/{axle.id}/brake-data"
            >Brake data<kbd aria-hidden="true">{keyed("b", at)}</kbd></Button
          >
        </div>
      </section>
    {/each}

    <section class="sheet">
      <div class="row spread">
        <h2>Timeline</h2>
        <Button size="small" kind="ghost" href="#/vehicles/{vehicle.id}/timeline"
          >Trips, reminders, calendar<kbd aria-hidden="true">r</kbd></Button
        >
      </div>
      <Timeline
        lanes={lanes(vehicle)}
        {today}
        kmPerDay={vehicle.km_per_day}
        unit={vehicle.distance_unit}
        label="When pads, rotors and fluid of {vehicle.name} are due"
      />
      <div class="row fluid">
        {#if vehicle.fluid}
          <p class:late={vehicle.fluid.overdue_days > 0}>
            Brake fluid renewed {vehicle.fluid.estimated ? "about " : ""}{day(vehicle.fluid.renewed_on)}, {vehicle.fluid
              .overdue_days > 0
              ? "was due"
              : "due"}
            {day(vehicle.fluid.due_on)} (every two years, common practice).
          </p>
        {:else}
          <p class="quiet">Not known when the brake fluid was last renewed.</p>
        {/if}
        {#if !renewing}<Button size="small" kind="ghost" on:click={() => (renewing = true)}>Note a renewal</Button>{/if}
      </div>
      {#if renewing}
        <form class="row" onsubmit={renew} novalidate>
          <TextInput
            labelText="Day of renewal"
            type="date"
            max={today}
            bind:value={renewedOn}
            invalid={!!fault("date")}
            invalidText={fault("date")}
          />
          <TextInput
            labelText="Odometer ({vehicle.distance_unit})"
            inputmode="decimal"
            bind:value={renewedAt}
            invalid={!!fault("odometer.value")}
            invalidText={fault("odometer.value")}
          />
          <Button type="submit" size="field">Save</Button>
          <Button kind="ghost" size="field" on:click={() => (renewing = false)}>Cancel</Button>
        </form>
      {/if}
    </section>

    <section class="sheet">
      <h2>Logbook</h2>
      {#if vehicle.log.length}
        <div class="scroll">
          <table>
            <thead><tr><th>Day</th><th>Odometer</th><th>What</th><th>Note</th></tr></thead>
            <tbody>
              {#each vehicle.log as entry (entry.id)}
                <tr
                  ><td><a href="#/look-overs/{entry.id}">{day(entry.date)}</a></td><td
                    >{exact(entry.odometer_km, vehicle.distance_unit)}</td
                  ><td>{upperFirst(entry.what)}</td><td>{entry.note ?? ""}</td></tr
                >
              {/each}
            </tbody>
          </table>
        </div>
      {:else}
        <p>Nothing logged yet. Start with a look-over: wheels off one by one, two pads and a rotor at each.</p>
      {/if}
      {#if vehicle.jobs_open.length || vehicle.jobs_done.length}
        <h3 class="jobs">Jobs</h3>
        <ul class="plain-list">
          {#each vehicle.jobs_open as job (job.id)}<li>
              <a href="#/jobs/{job.id}">{job.what}</a>, {job.state === "started"
                ? "in progress"
                : job.state}{job.planned_for ? `, ${day(job.planned_for)}` : ", no date yet"}
            </li>{/each}
          {#each vehicle.jobs_done as job (job.id)}<li>
              <a href="#/jobs/{job.id}">{day(job.day)}</a>
              {job.what}{job.hours ? `, ${job.hours} h` : ""}{job.spent !== null ? `, ${amount(job.spent)} spent` : ""}
            </li>{/each}
        </ul>
        {#if vehicle.jobs_done.length}<p class="quiet">
            {amount(vehicle.jobs_done.reduce((sum, job) => sum + (job.spent ?? 0), 0))} spent on these brakes so far.
          </p>{/if}
      {/if}
      <div class="row fluid">
        <a href="#/vehicles/{vehicle.id}/import">Import a spreadsheet</a>
        <a href="/api/v1/vehicles/{vehicle.id}/log.csv" download>Export CSV</a>
      </div>
    </section>
    <div class="row">
      {#if vehicle.archived}
        <Button size="small" kind="ghost" on:click={() => archive(false)}>Restore vehicle</Button>
      {:else if renaming}
        <form class="row" onsubmit={rename} novalidate>
          <TextInput
            labelText="Name"
            maxlength={60}
            bind:value={newName}
            invalid={!!fault("name")}
            invalidText={fault("name")}
          />
          <Select labelText="Odometer shows" bind:selected={newUnit}>
            <SelectItem value="km" text="kilometres" />
            <SelectItem value="mi" text="miles" />
          </Select>
          <Button type="submit" size="field">Save</Button>
          <Button kind="ghost" size="field" on:click={() => (renaming = false)}>Cancel</Button>
        </form>
      {:else}
        <Button size="small" kind="ghost" on:click={() => startRenaming(vehicle)}>Rename, change unit</Button>
        <Button size="small" kind="ghost" on:click={() => archive(true)}>Archive vehicle</Button>
      {/if}
    </div>
  </div>
{/if}

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
  .seen {
    display: grid;
    gap: 0.4rem;
    padding: 0.6rem 1.25rem;
  }
  .seen .stop {
    color: var(--stop);
  }
  .seen .plan {
    color: var(--plan);
  }
  .late {
    color: var(--plan);
    font-weight: 600;
  }
  .jobs {
    margin-top: 0.75rem;
  }
  .fluid {
    margin-top: 0.75rem;
  }
</style>
