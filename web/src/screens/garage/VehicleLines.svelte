<script lang="ts">
  import * as texts from "../../texts/garage";
  import { say } from "../../texts/say";
  import type { Schemas } from "../../api/client";
  import StateMark from "../../parts/StateMark.svelte";
  import { day, listed, month, ofBrake, SINGLE, upperFirst } from "../../format/words";

  /** Above all else: each vehicle in one line, with what to do and by when. */
  let { vehicles, today }: { vehicles: Schemas["Vehicle"][]; today: string } = $props();

  function todo(vehicle: Schemas["Vehicle"]): string {
    if (vehicle.state.severity === "stop" || !vehicle.calculated) return vehicle.why ?? "";
    return listed(soonest(vehicle), fluid(vehicle)) || (vehicle.why ?? texts.nothingKnownYet);
  }

  function soonest(vehicle: Schemas["Vehicle"]): string | undefined {
    const due = vehicle.axles.filter((axle) => axle.look_again);
    const [axle] = due.sort((one, other) => one.look_again!.date.localeCompare(other.look_again!.date));
    if (!axle) return;
    const { renew, date } = axle.look_again!;
    const what = { axle: upperFirst(axle.name), by: month(date, today) };
    const said =
      what.by === "now" ? (renew ? texts.renewNow : texts.inspectNow) : renew ? texts.renewBy : texts.inspectBy;
    const text = say(said, what);
    return upperFirst(ofBrake(axle.name === SINGLE ? text.slice(what.axle.length + 2) : text, axle.brakes));
  }

  const fluid = ({ fluid: level }: Schemas["Vehicle"]) =>
    !!level && level.overdue_days > 0 && say(texts.fluidOverdue, { day: day(level.due_on) });
</script>

<section class="sheet" aria-label={texts.whatEachVehicleNeeds}>
  <ul class="plain-list">
    {#each vehicles as vehicle (vehicle.id)}
      <li>
        <StateMark state={vehicle.state} />
        <a href="#/vehicles/{vehicle.id}">{vehicle.name}</a>
        <span class={vehicle.state.severity}>{todo(vehicle)}</span>
      </li>
    {/each}
  </ul>
</section>

<style>
  ul {
    display: grid;
    grid-template-columns: auto auto 1fr;
    gap: 0.5rem 1.25rem;
  }
  li {
    display: grid;
    grid-column: 1 / -1;
    grid-template-columns: subgrid;
    align-items: baseline;
  }
  a {
    font-weight: 600;
  }
  span.stop {
    color: var(--stop);
    font-weight: 600;
  }
  @media (max-width: 40rem) {
    ul {
      grid-template-columns: auto 1fr;
    }
    span {
      grid-column: 1 / -1;
    }
  }
</style>
